# frozen_string_literal: true

module Veranda
  module Core
    module Calendar
      # What has to be done so that the lessons of a series are those that it says: which are to be made, and what others are to be set to.
      # Nothing is done to a lesson that was held. One that was moved, lengthened or named by itself stays so; one that the series has no
      # more takes its turn with what it has instead, so that what was prepared for the third goes to the third, or is called off.
      #
      # A lesson's `slot` is what its series said of it last: `{ of:, at:, minutes:, title: }`, and `dropped: true` once it was called off
      # by it.
      class Laying
        FIELDS = { at: :starts_at, minutes: :minutes, title: :title }.freeze
        private_constant :FIELDS

        # @return [Array<Hash>] slots for which a lesson is to be made, in order
        attr_reader :missing
        # @return [Hash{String => Hash}] by lesson what it is to be set to
        attr_reader :changes

        # @param series [Series]
        # @param lessons [Array<Hash>] `{ id:, slot:, starts_at:, minutes:, title:, cancelled:, held: }`
        def initialize(series, lessons)
          slots = series.slots.map { |slot| { of: slot.of, at: slot.starts_at, minutes: slot.minutes, title: series.title } }
          said = slots.to_h { |slot| [slot[:of], slot] }
          stay, rest = lessons.sort_by { |lesson| lesson[:slot][:of] }.partition { |lesson| said.key?(lesson[:slot][:of]) }
          left = after_held(slots - stay.map { |lesson| said[lesson[:slot][:of]] }, lessons, rest)
          turns = rest.reject { |lesson| lesson[:held] }
          pairs = stay.map { |lesson| [lesson, said[lesson[:slot][:of]]] } + turns.each_with_index.map { |lesson, i| [lesson, left[i]] }
          @missing = left.drop(turns.length)
          @changes = pairs.reject { |lesson, _| lesson[:held] }.to_h { |lesson, slot| [lesson[:id], slot ? change(lesson, slot) : drop(lesson)] }
          @changes.reject! { |_, set| set.empty? }
        end

        private

        # Each that was held had its turn, and what is earlier than it is over.
        def after_held(slots, lessons, rest)
          over = lessons.select { |lesson| lesson[:held] }.map { |lesson| lesson[:starts_at] }.max
          slots.drop(rest.count { |lesson| lesson[:held] }).reject { |slot| over && slot[:at] <= over }
        end

        def change(lesson, slot)
          before = lesson[:slot]
          set = FIELDS.select { |says, has| lesson[has] == before[says] && slot[says] != before[says] }.to_h { |says, has| [has, slot[says]] }
          set[:cancelled] = false if before[:dropped]
          slot == before && set.empty? ? {} : { **set, slot: slot }
        end

        def drop(lesson)
          lesson[:cancelled] ? {} : { cancelled: true, slot: lesson[:slot].merge(dropped: true) }
        end
      end
    end
  end
end
