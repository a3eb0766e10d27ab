# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # Lessons recur by a rule from now on. Each is a lesson of its own, made after this.
      class PlanSeries < SeriesCommand
        on :course, 'course.plan_series'

        contract do
          required(:series).value(Types::ID)
          FIELDS.call(self, :required)
          # The lesson whose run sheet and boards each begins with.
          optional(:sheet).maybe(Types::ID)
        end

        def decide
          teacher!
          return if state.series.key?(input[:series])

          too_many! if state.series.length >= Calendar::Series::MOST
          series = sound!(Calendar::Series.new(title: Title.clean(input[:title]), parts: [part], sheet: input[:sheet]))
          entry('series_set', { id: input[:series], **series.to_h })
        end

        private

        def part = { except: [], **input.slice(*Calendar::Series::PART), from: nil }

        def too_many!
          raise Refusal.new(:too_many_series, "A course has #{Calendar::Series::MOST} series at most. Change one of those that are over.")
        end
      end
    end
  end
end
