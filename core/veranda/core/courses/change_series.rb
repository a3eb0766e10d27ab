# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # Lessons recur by another rule, at another time or on other days: all of them that were not held, or those from one on.
      class ChangeSeries < SeriesCommand
        on :course, 'course.change_series'

        contract do
          required(:series).value(Types::ID)
          # The lesson from which on, as the series says it; nil for all.
          optional(:from).maybe(:string, :wall_time?)
          required(:set).hash { FIELDS.call(self, :optional) }
        end

        def decide
          teacher!
          series = state.series[input[:series]] or raise Refusal.new(:no_such_series, 'There is no such series any more.')
          by_rule! if input[:from]
          too_many! if input[:from] && series.parts.length >= Calendar::Series::MOST_PARTS
          changed = sound!(series.changed(input[:from], **set))
          entry('series_set', { id: input[:series], **changed.to_h }) if changed.to_h != series.to_h
        end

        private

        def set
          @set ||= input[:set].key?(:title) ? input[:set].merge(title: Title.clean(input[:set][:title])) : input[:set]
        end

        # Of the lessons from one on it has to be said how many they are.
        def by_rule!
          return if %i[start rule].all? { |field| input[:set].key?(field) }

          raise Refusal.new(:no_rule, 'Say when the lessons from there on begin, and by which rule.')
        end

        def too_many!
          raise Refusal.new(:too_many_changes, 'This series was changed too often in its midst. Begin another one.')
        end
      end
    end
  end
end
