# frozen_string_literal: true

module Veranda
  module Core
    module Calendar
      # Lessons of a course that recur: by which rule, at which time on the wall of which zone, how long, and on which days not after all.
      # Whoever changes a series from some lesson on gives it another part; what came before stays as it was.
      #
      #   series = Series.new(title: 'Evening', parts: [{ start: '2026-11-06T20:30', zone: 'Europe/London', minutes: 90,
      #                                                   rule: 'FREQ=WEEKLY;COUNT=10', except: ['2026-12-25T20:30'], from: nil }])
      #   series.slots.length #=> 9
      class Series
        # Lessons of one series, at most: ten years of a weekly one.
        MOST_SLOTS = 530
        # Of a course, and changes of one from some lesson on.
        MOST = 60
        MOST_PARTS = 40
        PART = %i[start zone minutes rule except from].freeze

        # When a lesson of it is: `of` is what the series says, which tells it from all others (as RECURRENCE-ID of RFC 5545), `starts_at`
        # ms since the epoch.
        Slot = Struct.new(:of, :starts_at, :minutes)

        # @return [String]
        attr_reader :title
        # @return [String, nil] id of the lesson whose run sheet and boards each of its lessons begins with
        attr_reader :sheet
        # @return [Array<Hash>] each with {PART}; `from` is the lesson from which on it speaks and not the part before it, nil for the first
        attr_reader :parts

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new(**facts.slice(:title, :parts, :sheet))

        def initialize(title:, parts:, sheet: nil)
          @title = title
          @parts = parts
          @sheet = sheet
        end

        # @return [Series] with some of its fields as they are from a lesson on
        # @param from [String, nil] a time on the wall; nil for all of it
        # @param set [Hash] any of {PART} and `title:`. A rule, or the time that it begins at, takes the place of all rules from there on;
        #   what else there is holds for each part that there is.
        def changed(from, **set)
          title = set.fetch(:title, @title)
          set = set.slice(*PART)
          parts = set.key?(:rule) || set.key?(:start) ? ruled(from, set) : @parts.map { |part| part.merge(set) }
          Series.new(title: title, parts: parts, sheet: @sheet)
        end

        # @return [Array<Slot>] in order of what the series says
        # @raise [Refusal] `bad_rule`, `no_such_zone`
        def slots
          found = @parts.each_with_index.flat_map { |part, i| of_part(part, @parts[i + 1]&.fetch(:from)) }
          found.uniq(&:of).sort_by(&:of).first(MOST_SLOTS)
        end

        def to_h = { title: @title, parts: @parts, sheet: @sheet }

        private

        def ruled(from, set)
          kept = from ? @parts.take_while { |part| part[:from].nil? || part[:from] < from } : []
          [*kept, { **(kept.last || @parts.first), **set, from: kept.any? ? from : nil }]
        end

        def of_part(part, ends)
          zone = Zone.of(part[:zone])
          except = part[:except] || []
          walls(part, zone, ends).filter_map { |of, wall| Slot.new(of, zone.moment(wall), part[:minutes]) unless except.include?(of) }
        end

        # What does not end is planned as far as a series may go.
        # @return [Array<Array(String, Time)>] times on the wall
        def walls(part, zone, ends)
          found = Recurrence.new(Rule.parse(part[:rule], zone: zone), WallTime.parse(part[:start]))
          moments = found.lazy.map { |wall| [WallTime.text(wall), wall] }
          moments = moments.take_while { |of, _| of < ends } if ends
          moments.first(MOST_SLOTS)
        end
      end
    end
  end
end
