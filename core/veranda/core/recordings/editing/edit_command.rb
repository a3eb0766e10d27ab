# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What commands that edit a recording share: staff give them, once the class is over.
      class EditCommand < Command
        looks_at :sitting
        begins :home

        # ms; of less there is nothing to watch.
        LEAST = 1_000

        private

        def edits = state

        def editing!
          staff!('Only instructors and assistants edit a recording.')
          return if sitting.ended? && (sitting.stretches.any? || is_a?(AddStretch))

          raise Refusal.new(:not_recorded, 'There is no recording of this class to edit.')
        end

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
