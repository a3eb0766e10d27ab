# frozen_string_literal: true

require 'date'

module Veranda
  module Core
    module Calendar
      # A series as people say it: `Fridays at 20:30, ten times from 6 November 2026, not on 25 December`.
      class InWords
        NUMBERS = %w[none once twice three four five six seven eight nine ten eleven twelve].freeze
        ORDINALS = { 1 => 'first', 2 => 'second', 3 => 'third', 4 => 'fourth', 5 => 'fifth', -1 => 'last', -2 => 'second to last' }.freeze
        UNITS = { 'DAILY' => 'day', 'WEEKLY' => 'week', 'MONTHLY' => 'month', 'YEARLY' => 'year' }.freeze
        # Days that are named; of more their number is told.
        MOST_NAMED = 4
        private_constant :NUMBERS, :ORDINALS, :UNITS, :MOST_NAMED

        # @param part [Hash] of a {Series}
        def initialize(part)
          @part = part
          @start = WallTime.parse(part[:start])
          @rule = Rule.parse(part[:rule], zone: Zone.of(part[:zone]))
        end

        # @return [String]
        def to_s = [how_often, how_long, exceptions].compact.join(', ')

        private

        def how_often
          days = said
          days ? "#{days} at #{@start.strftime('%H:%M')}" : "by the rule #{@rule.text}, at #{@start.strftime('%H:%M')}"
        end

        # Rules that people have words for.
        def said
          return if lists_besides('BYMONTHDAY').any? || @rule.list('BYMONTHDAY').length > 1

          case @rule.frequency
          when 'DAILY' then every if plain?
          when 'WEEKLY' then weekly if @rule.list('BYMONTHDAY').empty?
          when 'MONTHLY' then monthly
          when 'YEARLY' then "#{every} on #{day(@start)}" if plain?
          end
        end

        def lists_besides(name) = (Rule::LISTS.keys - [name]).select { |list| @rule.list(list).any? }
        def plain? = @rule.days.empty? && @rule.list('BYMONTHDAY').empty?

        def every
          unit = UNITS.fetch(@rule.frequency)
          case @rule.interval
          when 1 then "every #{unit}"
          when 2 then "every other #{unit}"
          else "every #{NUMBERS[@rule.interval] || @rule.interval} #{unit}s"
          end
        end

        def weekly
          days = @rule.days.any? ? @rule.days.map(&:wday) : [@start.wday]
          names = days.sort_by { |wday| (wday - @rule.week_start) % 7 }.map { |wday| Date::DAYNAMES[wday] }
          @rule.interval == 1 ? listed(names.map { |name| "#{name}s" }) : "#{every} on #{listed(names)}"
        end

        def monthly
          return "#{every} on the #{nth_day(@rule.list('BYMONTHDAY').first || @start.mday)}" if @rule.days.empty?
          return unless @rule.days.all? { |day| ORDINALS.key?(day.nth) } && @rule.list('BYMONTHDAY').empty?

          "#{every} on the #{listed(@rule.days.map { |day| "#{ORDINALS[day.nth]} #{Date::DAYNAMES[day.wday]}" })}"
        end

        def nth_day(number)
          return number == -1 ? 'last day' : "#{-number}th day from its end" if number.negative?

          ending = (11..13).cover?(number) ? 'th' : { 1 => 'st', 2 => 'nd', 3 => 'rd' }.fetch(number % 10, 'th')
          "#{number}#{ending}"
        end

        def how_long
          from = "from #{day(@start)} #{@start.year}"
          return "#{from} until #{day(@rule.until_at)} #{@rule.until_at.year}" if @rule.until_at
          return from unless @rule.count

          times = @rule.count < 3 ? NUMBERS[@rule.count] : "#{NUMBERS[@rule.count] || @rule.count} times"
          "#{times} #{from}"
        end

        def exceptions
          days = (@part[:except] || []).sort.map { |wall| day(WallTime.parse(wall)) }
          return if days.empty?

          days.length > MOST_NAMED ? "without #{days.length} of these days" : "not on #{listed(days)}"
        end

        def day(time) = "#{time.day} #{Date::MONTHNAMES[time.month]}"

        def listed(words) = words.length < 2 ? words.first : "#{words[0..-2].join(', ')} and #{words.last}"
      end
    end
  end
end
