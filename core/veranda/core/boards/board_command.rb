# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # What the commands on boards share: finding marks, guarding locks, signing entries.
      class BoardCommand < Command
        private

        def board = state

        # @return [Array(String, Hash)] the entry for some operations
        def edited(ops, way: nil)
          signed('edited', { ops: ops, way: way }.compact)
        end

        # Gives the author's name once per board, so that boards can be read without the class.
        def signed(kind, body)
          body = body.merge(author: by.name) if board.authors[by.id] != by.name
          [kind, body]
        end

        def page!(page)
          return if board.pages.include?(page)

          raise Refusal.new(:no_such_page, 'That page is no longer on this board.')
        end

        # @return [Hash] the mark
        def mark!(id)
          board.marks[id] || raise(Refusal.new(:no_such_mark, 'That mark has been taken off by someone else.'))
        end

        def unlocked!(mark)
          return unless mark[:locked] && !by.staff?

          raise Refusal.new(:mark_locked, 'That mark is locked by the instructor.')
        end
      end
    end
  end
end
