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
          @said = series.slots.to_h { |slot| [slot.of, { of: slot.of, at: slot.starts_at, minutes: slot.minutes, title: series.title }] }
          @lessons = lessons.sort_by { |lesson| lesson[:slot][:of] }
          stay, rest = @lessons.partition { |lesson| slot_of(lesson) }
          left = after_held(@said.values - stay.map { |lesson| slot_of(lesson) }, rest)
          turns = rest.reject { |lesson| lesson[:held] }
          @missing = left.drop(turns.length)
          @changes = changed(stay.map { |lesson| [lesson, slot_of(lesson)] } + turns.each_with_index.map { |lesson, i| [lesson, left[i]] })
        end

        private

        def slot_of(lesson) = @said[lesson[:slot][:of]]

        # Each that was held had its turn, and what is earlier than it is over.
        def after_held(slots, rest)
          over = @lessons.select { |lesson| lesson[:held] }.map { |lesson| lesson[:starts_at] }.max
          slots.drop(rest.count { |lesson| lesson[:held] }).reject { |slot| over && slot[:at] <= over }
        end

        def changed(pairs)
          free = pairs.reject { |lesson, _| lesson[:held] }
          free.to_h { |lesson, slot| [lesson[:id], slot ? change(lesson, slot) : drop(lesson)] }.reject { |_, set| set.empty? }
        end

        def change(lesson, slot)
          before = lesson[:slot]
          follows = FIELDS.select { |says, has| lesson[has] == before[says] && slot[says] != before[says] }
          set = follows.to_h { |says, has| [has, slot[says]] }
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
