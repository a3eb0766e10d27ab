# frozen_string_literal: true

require 'date'

module Veranda
  module Core
    module Calendar
      # When something recurs: the moments of a {Rule} from a first one on, in order and without a zone (as UTC), as RFC 5545, 3.3.10 and
      # 3.8.5.3, has them. Days that a month or year does not have are left out.
      #
      #   Recurrence.new(Rule.parse('FREQ=MONTHLY;BYMONTHDAY=31'), Time.utc(2026, 1, 31, 18)).first(3)
      #
      # The first moment counts only where the rule has it, which the RFC leaves open.
      class Recurrence
        include Enumerable

        # Periods (days, weeks, months …) that are looked through in vain or not, and years: rules that never hold end too.
        MOST_PERIODS = 60_000
        MOST_YEARS = 40
        STEPS = { 'DAILY' => 86_400, 'HOURLY' => 3_600, 'MINUTELY' => 60, 'SECONDLY' => 1 }.freeze
        private_constant :STEPS

        # @param rule [Rule]
        # @param start [Time] the first moment, UTC
        def initialize(rule, start)
          @rule = rule
          @start = start
          @last = [rule.until_at, Time.utc(start.year + MOST_YEARS, 12, 31, 23, 59, 59)].compact.min
          @days = DaysOfRule.new(rule, start.to_date)
          @times = times
        end

        # @yieldparam at [Time]
        def each
          return enum_for unless block_given?

          given = 0
          periods do |moments|
            moments.each do |at|
              next if at < @start
              return self if at > @last

              yield at
              return self if (given += 1) == @rule.count
            end
          end
          self
        end

        private

        # Each period's moments, in order.
        def periods
          MOST_PERIODS.times do |turn|
            first = period(turn * @rule.interval)
            break if over?(first)

            yield chosen(moments(first))
          end
        end

        def over?(first) = first.is_a?(Date) ? first.year > @last.year : first > @last

        # @return [Date, Time] when the nth period begins; a day, or where they are shorter than one a moment
        def period(number)
          case @rule.frequency
          when 'YEARLY' then Date.new(@start.year + number, 1, 1)
          when 'MONTHLY' then Date.new(@start.year, @start.month, 1) >> number
          when 'WEEKLY' then week + (7 * number)
          when 'DAILY' then @start.to_date + number
          else short(number)
          end
        end

        def short(number)
          step = STEPS.fetch(@rule.frequency)
          Time.at(@start.to_i - (@start.to_i % step) + (number * step)).utc
        end

        def week
          day = @start.to_date
          day - ((day.wday - @rule.week_start) % 7)
        end

        def moments(first)
          return within(first) if first.is_a?(Time)

          @days.of(first).flat_map { |day| @times.map { |seconds| Time.at(midnight(day) + seconds).utc } }
        end

        # Of an hour, a minute or a second.
        def within(first)
          return [] unless @days.has?(first.to_date)

          seconds = first.to_i % 86_400
          step = STEPS.fetch(@rule.frequency)
          from = @times.bsearch_index { |time| time >= seconds } or return []
          @times[from, step].take_while { |time| time < seconds + step }.map { |time| Time.at(first.to_i - seconds + time).utc }
        end

        def midnight(day) = (day.jd - 2_440_588) * 86_400

        # s of the day at which it may be. Where a rule says nothing the first moment does, or, where periods are shorter, any will do.
        def times
          said = [['BYHOUR', 3_600, @start.hour, 0..23], ['BYMINUTE', 60, @start.min, 0..59], ['BYSECOND', 1, @start.sec, 0..59]]
          each = said.map do |name, length, first, all|
            list = @rule.list(name)
            values = if list.any?
                       list
                     else
                       shorter?(length) ? all.to_a : [first]
                     end
            values.map { |value| value * length }
          end
          each.reduce { |so_far, more| so_far.product(more).map(&:sum) }.sort
        end

        def shorter?(length) = (STEPS[@rule.frequency] || 86_400) <= length

        def chosen(moments)
          places = @rule.list('BYSETPOS')
          return moments if places.empty?

          places.filter_map { |place| moments[place.positive? ? place - 1 : place] }.uniq.sort
        end
      end
    end
  end
end
