# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # What the course is called, and what it keeps of its classes.
      class SetCourse < CourseCommand
        on :course, 'course.set'
        # Characters of a name.
        LONGEST = 120

        contract do
          optional(:name).value(:string, max_size?: LONGEST)
          optional(:private_in_transcripts).value(:bool)
          optional(:keep_recordings).maybe(:integer, gteq?: 1, lteq?: 3_650)
          optional(:add_missed).value(:bool)
          optional(:language).value(:string, format?: /\A[a-z]{2}\z/)
          optional(:zone).value(:string, max_size?: 60)
        end

        def decide
          instructor!('Only instructors decide that.')
          Calendar::Zone.of(input[:zone]) if input[:zone]
          wished = input.key?(:name) ? input.merge(name: Title.clean(input[:name], missing: 'Give the course a name.')) : input
          fresh = wished.reject { |field, value| state.facts[field] == value }
          entry('course_set', fresh) if fresh.any?
        end
      end
    end
  end
end
