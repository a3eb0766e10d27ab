# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # What the commands on boards share: finding marks, guarding locks, signing entries.
      class BoardCommand < Command
        looks_at :sitting, :staff, :place

        private

        def board = state

        # @param ops [Array<Hash>] see {Edit}
        # @return [Streams::Draft] the entry for some operations
        def edited(ops, way: nil, **more)
          Soundness.check!(board.marks, ops)
          signed('edited', { ops: ops, way: way }.compact.merge(more))
        end

        # Gives the author's name once per board, so that boards can be read without the class.
        def signed(kind, body)
          body = body.merge(author: by.name) if board.authors[by.id] != by.name
          entry(kind, body)
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
          return if by.staff?

          open_page!(mark[:page])
          raise Refusal.new(:mark_locked, 'That mark is locked by the instructor.') if mark[:locked]
        end

        # @raise [Refusal] `board_locked`, `page_locked`
        def open_page!(page)
          open_board!
          raise Refusal.new(:page_locked, 'This page is locked by the instructor.') if board.page_locked?(page) && !by.staff?
        end

        def open_board!
          raise Refusal.new(:board_locked, 'This board is locked by the instructor.') if board.locked? && !by.staff?
        end

        def locked?(mark) = mark[:locked] || board.locked? || board.page_locked?(mark[:page])

        # What others put on a board is changed only by those who have the right to.
        def changeable!(mark)
          unlocked!(mark)
          return if mark[:by] == by.id || arranges?

          raise Refusal.new(:not_your_mark, arrange.says)
        end

        def arrange = @arrange ||= scene.right(:arrange)
        def arranges? = arrange.allowed?

        # @return [Array<Hash>] those of them that may be done to marks as they are now
        def permitted(ops)
          return ops if by.staff?

          ops.select do |op|
            mark = board.marks[op[:id]]
            next !locked?(op[:mark] || {}) unless mark

            !locked?(mark) && !board.page_locked?(op.dig(:set, :page)) && (mark[:by] == by.id || arranges?)
          end
        end
      end
    end
  end
end
