# frozen_string_literal: true

require 'date'

module Veranda
  module Core
    module Calendar
      # Which days of a period a {Rule} holds on.
      class DaysOfRule
        # @param rule [Rule]
        # @param start [Date] the first day; where the rule says nothing of days it is what it means
        def initialize(rule, start)
          @rule = rule
          @months = rule.list('BYMONTH')
          @month_days = rule.list('BYMONTHDAY')
          @year_days = rule.list('BYYEARDAY')
          @weeks = rule.list('BYWEEKNO')
          @plain, @counted = rule.days.partition { |day| day.nth.nil? }
          @plain = @plain.map(&:wday)
          as_first(start) unless rule.says_days?
          @asked = asked
        end

        # @param first [Date] of the period
        # @return [Array<Date>]
        def of(first) = (first..last(first)).select { |day| has?(day) }

        # @return [Boolean]
        def has?(day) = @asked.all? { |of| send(of, day) }

        private

        # What the rule says anything of.
        def asked
          { of_month?: @months, in_month?: @month_days, in_year?: @year_days, in_week?: @weeks, on_weekday?: @plain + @counted }
            .reject { |_, list| list.empty? }.keys
        end

        def of_month?(day) = @months.include?(day.month)

        # The table of the RFC: what a rule leaves open is as it is on the first day.
        def as_first(start)
          case @rule.frequency
          when 'YEARLY'
            @months = [start.month] if @months.empty?
            @month_days = [start.mday]
          when 'MONTHLY' then @month_days = [start.mday]
          when 'WEEKLY' then @plain = [start.wday]
          end
        end

        def last(first)
          case @rule.frequency
          when 'YEARLY' then Date.new(first.year, 12, 31)
          when 'MONTHLY' then Date.new(first.year, first.month, -1)
          when 'WEEKLY' then first + 6
          else first
          end
        end

        def in_month?(day)
          @month_days.include?(day.mday) || @month_days.include?(day.mday - Date.new(day.year, day.month, -1).mday - 1)
        end

        def in_year?(day)
          @year_days.include?(day.yday) || @year_days.include?(day.yday - Date.new(day.year, 12, 31).yday - 1)
        end

        # Weeks are numbered as ISO 8601 has it, from the day that weeks begin with: the first has at least four days in the year.
        def in_week?(day)
          middle = day - ((day.wday - @rule.week_start) % 7) + 3
          number = ((middle.yday - 1) / 7) + 1
          of_year = ((Date.new(middle.year, 12, 31).yday - middle.yday) / 7) + number
          @weeks.include?(number) || @weeks.include?(number - of_year - 1)
        end

        def on_weekday?(day)
          @plain.include?(day.wday) || @counted.any? { |one| one.wday == day.wday && nth?(day, one.nth) }
        end

        # Counted in the month, or in the year where a rule for years names no months.
        def nth?(day, nth)
          whole = @rule.frequency == 'YEARLY' && @months.empty?
          place, length = whole ? [day.yday, Date.new(day.year, 12, 31).yday] : [day.mday, Date.new(day.year, day.month, -1).mday]
          nth.positive? ? ((place - 1) / 7) + 1 == nth : -(((length - place) / 7) + 1) == nth
        end
      end
    end
  end
end
