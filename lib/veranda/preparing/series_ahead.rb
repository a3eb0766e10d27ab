# frozen_string_literal: true

module Veranda
  module Preparing
    # What a series would come to, before anybody plans it: how it is said, when its lessons would be, and who would be elsewhere.
    class SeriesAhead
      # Lessons that are told by their days, and those that are looked at for clashes.
      MOST_TOLD = 120
      MOST_LOOKED_AT = 60

      # @param archive [Store::Archive]
      # @param course [String] id
      # @param by [String] id of whoever asks
      # @param series [String, nil] id of the one that is changed
      def initialize(archive, course, by:, series: nil)
        @near = ClashesNear.new(archive, course, by: by, series: series)
      end

      # @param part [Hash] of a {Core::Calendar::Series}
      # @return [Hash] see `SeriesAhead` in {Shapes::Answers}
      # @raise [Core::Refusal] `bad_rule`, `no_such_zone`
      def call(part, now:)
        part = { except: [], **part, from: nil }
        # Those that are left out are told too, so that they can be had back.
        slots = Core::Calendar::Series.new(title: '', parts: [part.merge(except: [])]).slots
        kept = slots.reject { |slot| part[:except].include?(slot.of) }
        { words: Core::Calendar::InWords.new(part).to_s, count: kept.length, ends: Core::Calendar::Rule.parse(part[:rule]).ends?,
          past: kept.count { |slot| slot.starts_at < now }, clashing: clashing(kept.first(MOST_LOOKED_AT)),
          lessons: slots.first(MOST_TOLD).map { |slot| { of: slot.of, starts_at: slot.starts_at } } }
      end

      private

      def clashing(slots)
        slots.filter_map do |slot|
          found = @near.at(slot.starts_at, slot.minutes)
          { of: slot.of, **found } if found[:count].positive?
        end
      end
    end
  end
end
