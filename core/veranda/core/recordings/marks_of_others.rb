# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Recordings
      # Follows a board of which some people's marks are not shown, and tells what each entry did to the marks of the others. Whose a mark
      # is, when it was made and how high it lies is worked out from all that came before it; where some of that is not told, it has to be
      # said with the mark.
      class MarksOfOthers
        # @param board [Boards::Board] as it is before the entries that follow; it goes along with them
        # @param left_out [Set<String>] ids of people
        def initialize(board, left_out)
          @board = board
          @left_out = left_out
          @theirs = Set.new
          note
        end

        # @param entry [Streams::Entry] the next of this board
        # @return [Hash, nil] its body without what it did to their marks; nil when nothing else is in it
        def follow(entry)
          @board.apply(entry)
          note
          case entry.kind
          when 'edited' then edited(entry)
          when 'prop_used' then (entry.body unless @theirs.include?(entry.body[:id]))
          else entry.body
          end
        end

        private

        def note
          @board.marks.each_value { |mark| @theirs << mark[:id] if @left_out.include?(mark[:by]) }
        end

        def edited(entry)
          ops = entry.body[:ops].filter_map { |op| op[:op] == 'put' ? put(op, entry) : (op unless @theirs.include?(op[:id])) }
          entry.body.merge(ops: ops) if ops.any?
        end

        # One that was taken away again in the same breath lay on top.
        def put(op, entry)
          mark = { by: entry.actor, at: entry.at, z: @board.marks.dig(op[:mark][:id], :z) || @board.top, **op[:mark] }
          op.merge(mark: mark) unless @left_out.include?(mark[:by])
        end
      end
    end
  end
end
