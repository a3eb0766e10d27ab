# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What commands share that do something to a stretch of the class.
      class PartCommand < EditCommand
        contract do
          required(:id).value(Types::ID)
          required(:from).value(:integer, :moment?)
          required(:to).value(:integer, :moment?)
        end

        private

        # @param kind [String] see {Edits::Part}
        # @return [Streams::Draft]
        # @raise [Refusal] `too_many_edits`, `wrong_way_round`, `outside`, `nothing_left`
        def part(kind)
          raise Refusal.new(:too_many_edits, "A recording takes #{Edits::MOST_PARTS} cuts and blanks. Take one back first.") if full?

          from, to = within(input[:from], input[:to])
          raise Refusal.new(:part_exists, 'There is a part by that name already.') if edits.parts.key?(input[:id])

          entry('part_set', { id: input[:id], kind: kind, from: from, to: to })
        end

        def full? = edits.parts.length >= Edits::MOST_PARTS

        # @return [Array(Integer, Integer)] what of it lies within the class
        def within(from, to)
          raise Refusal.new(:wrong_way_round, 'The end comes before the beginning. Choose them the other way round.') if to <= from

          from, to = [from, to].map { |at| at.clamp(sitting.opened_at || 0, sitting.ended_at) }
          raise Refusal.new(:outside, 'That is not within the class.') if to - from < 1

          [from, to]
        end
      end
    end
  end
end
