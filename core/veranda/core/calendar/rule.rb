# frozen_string_literal: true

require 'date'

module Veranda
  module Core
    module Calendar
      # A rule of recurrence as RFC 5545, 3.3.10, writes it, taken apart and checked.
      #
      #   Rule.parse('FREQ=WEEKLY;COUNT=10;BYDAY=FR').count #=> 10
      #
      # What it says of times is without a zone, as the clock on the wall has them; an end in UTC is brought into the zone of what recurs.
      class Rule
        FREQUENCIES = %w[SECONDLY MINUTELY HOURLY DAILY WEEKLY MONTHLY YEARLY].freeze
        DAYS = %w[SU MO TU WE TH FR SA].freeze
        # Of a list, and of a rule; nobody plans by longer ones.
        MOST_VALUES = 400
        LONGEST = 1_000
        # Least and largest of each list; whether they may count from the end.
        LISTS = {
          'BYSECOND' => [0, 59, false], 'BYMINUTE' => [0, 59, false], 'BYHOUR' => [0, 23, false], 'BYMONTHDAY' => [1, 31, true],
          'BYYEARDAY' => [1, 366, true], 'BYWEEKNO' => [1, 53, true], 'BYMONTH' => [1, 12, false], 'BYSETPOS' => [1, 366, true]
        }.freeze
        # Where a list makes no sense, as the RFC says it.
        NOT_WITH = { 'BYWEEKNO' => FREQUENCIES - %w[YEARLY], 'BYYEARDAY' => %w[DAILY WEEKLY MONTHLY], 'BYMONTHDAY' => %w[WEEKLY] }.freeze
        private_constant :NOT_WITH

        # A day of the week, and which of its kind in the month or year; nil for each.
        Day = Struct.new(:wday, :nth)

        # @return [String] one of {FREQUENCIES}
        attr_reader :frequency
        # @return [Integer]
        attr_reader :interval
        # @return [Integer, nil]
        attr_reader :count
        # @return [Time, nil] the last moment, without a zone (as UTC)
        attr_reader :until_at
        # @return [Array<Day>]
        attr_reader :days
        # @return [Integer] the day that weeks begin with, 0 for Sunday
        attr_reader :week_start
        # @return [String] as it was written
        attr_reader :text
        alias to_s text

        # @param text [String]
        # @param zone [Zone, nil] of what recurs; nil for UTC
        # @return [Rule]
        # @raise [Refusal] `bad_rule`
        def self.parse(text, zone: nil) = new(text, zone)

        # @return [Array<Integer>] one of {LISTS}
        def list(name) = @lists.fetch(name, [])

        # @return [Boolean] whether it says for itself when it ends
        def ends? = !(@count || @until_at).nil?

        # @return [Boolean] whether it has days by which it says when it is, besides months
        def says_days? = @days.any? || %w[BYWEEKNO BYYEARDAY BYMONTHDAY].any? { |name| list(name).any? }

        private

        def initialize(text, zone)
          @text = text
          @zone = zone
          parts = split(text)
          @frequency = parts.delete('FREQ')
          refuse!('It does not say how often.') unless FREQUENCIES.include?(@frequency)
          read(parts)
          sound!
          freeze
        end

        def split(text)
          refuse!('It is longer than any rule.') if text.length > LONGEST
          pairs = text.upcase.split(';').map { |part| part.split('=', 2) }
          refuse!('It is no list of names and values.') unless pairs.any? && pairs.all? { |pair| pair.length == 2 && !pair.last.empty? }
          refuse!('It says something twice.') unless pairs.map(&:first).uniq.length == pairs.length
          pairs.to_h
        end

        def read(parts)
          @interval = number(parts.delete('INTERVAL') || '1', 1, 10_000)
          @count = parts.delete('COUNT')&.then { |value| number(value, 1, 100_000) }
          @until_at = parts.delete('UNTIL')&.then { |value| moment(value) }
          @week_start = day(parts.delete('WKST') || 'MO')
          @days = list_of(parts.delete('BYDAY')) { |value| nth_day(value) }
          @lists = LISTS.to_h { |name, limits| [name, list_of(parts.delete(name)) { |value| counted(value, *limits) }] }
          refuse!("It says #{parts.keys.first.inspect}, which no rule has.") if parts.any?
        end

        # What the RFC rules out.
        def sound!
          refuse!('It says both how often and until when.') if @count && @until_at
          NOT_WITH.each { |name, with| refuse!("#{name} has no meaning there.") if list(name).any? && with.include?(@frequency) }
          refuse!('BYSETPOS needs something to choose from.') if list('BYSETPOS').any? && !chooses?
          counted_days! if @days.any?(&:nth)
        end

        def counted_days!
          refuse!('It counts days of a week where there are no more than one.') unless %w[MONTHLY YEARLY].include?(@frequency)
          refuse!('It counts days of the week in a week.') if list('BYWEEKNO').any?
        end

        def chooses? = @days.any? || (LISTS.keys - ['BYSETPOS']).any? { |name| list(name).any? }

        def list_of(text, &)
          values = (text || '').split(',', -1)
          refuse!('One of its lists is too long.') if values.length > MOST_VALUES
          values.map(&).uniq.freeze
        end

        def counted(text, least, most, from_end)
          value = number(text.delete_prefix('+'), from_end ? -most : least, most)
          refuse!('It counts from the first, not from none.') if value.zero? && least.positive?
          value
        end

        def number(text, least, most)
          value = Integer(text, 10, exception: false)
          refuse!("“#{text[0, 20]}” is no number that can stand there.") unless value&.between?(least, most)
          value
        end

        def day(text) = DAYS.index(text) || refuse!("“#{text[0, 20]}” is no day of the week.")

        def nth_day(text)
          nth, name = text.match(/\A([+-]?\d{1,2})?([A-Z]{2})\z/)&.captures
          refuse!("“#{text[0, 20]}” is no day of the week.") unless name
          Day.new(day(name), nth && counted(nth, 1, 53, true))
        end

        # A day alone is meant to its end.
        def moment(text)
          day, time, utc = text.match(/\A(\d{8})(?:T(\d{6})(Z)?)?\z/)&.captures
          refuse!("“#{text[0, 20]}” is no day.") unless day && Date.valid_date?(*numbers(day, 4))
          at = Time.utc(*numbers(day, 4), *numbers(time || '235959', 2))
          @zone && utc ? @zone.wall(at.to_i * 1000) : at
        rescue ArgumentError
          refuse!("“#{text[0, 20]}” is no time of day.")
        end

        # @return [Array<Integer>] three, of which the first has so many digits
        def numbers(text, first) = [text[0, first], text[first, 2], text[first + 2, 2]].map(&:to_i)

        def refuse!(why) = raise(Refusal.new(:bad_rule, "That is no rule by which something recurs. #{why}"))
      end
    end
  end
end
