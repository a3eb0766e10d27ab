# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # What the commands on lessons that recur share.
      class SeriesCommand < CourseCommand
        # Characters of a rule.
        LONGEST = Calendar::Rule::LONGEST
        # Days on which there is no lesson after all.
        MOST_EXCEPTIONS = 600

        # A rule for minutes would have to be looked through for years before it is known to hold nowhere.
        DAILY_OR_LESS = %w[DAILY WEEKLY MONTHLY YEARLY].freeze
        private_constant :DAILY_OR_LESS

        # What a part of a series has, each of which may be changed.
        PART = lambda do |dsl, kind|
          dsl.public_send(kind, :start).value(:string, :wall_time?)
          dsl.public_send(kind, :zone).value(:string, max_size?: 60)
          dsl.public_send(kind, :minutes).value(:integer, gteq?: 5, lteq?: 600)
          dsl.public_send(kind, :rule).value(:string, max_size?: LONGEST)
          dsl.optional(:except).value(:array, max_size?: MOST_EXCEPTIONS).each(:string, :wall_time?)
        end

        # The same, and what its lessons are called.
        FIELDS = lambda do |dsl, kind|
          dsl.public_send(kind, :title).value(:string, max_size?: SetCourse::LONGEST)
          PART.call(dsl, kind)
        end

        private

        def teacher!
          raise Refusal.new(:staff_only, 'Only instructors and assistants plan lessons.') unless Person::STAFF.include?(role)
        end

        # @param series [Calendar::Series]
        # @return [Calendar::Series] what can be held
        # @raise [Refusal]
        def sound!(series)
          series.parts.each { |part| ends!(Calendar::Rule.parse(part[:rule], zone: Calendar::Zone.of(part[:zone]))) }
          slots = series.slots
          raise Refusal.new(:no_lesson, 'By that rule there is no lesson at all. Look at the day it begins with.') if slots.empty?
          return series if slots.length < Calendar::Series::MOST_SLOTS

          most = Calendar::Series::MOST_SLOTS
          raise Refusal.new(:too_many_lessons, "A series has fewer than #{most} lessons. Begin another one after it.")
        end

        def ends!(rule)
          unless DAILY_OR_LESS.include?(rule.frequency)
            raise Refusal.new(:too_often, 'Lessons recur by days, weeks, months or years. Plan several on a day as several series.')
          end

          raise Refusal.new(:no_end, 'Say how often, or until when: every lesson of a series is made, so it has to end.') unless rule.ends?
        end
      end
    end
  end
end
