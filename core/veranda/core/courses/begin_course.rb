# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # There is a course, with its first people.
      class BeginCourse < CourseCommand
        on :course, 'course.begin'
        begins :course, :people

        contract do
          required(:name).value(:string, max_size?: SetCourse::LONGEST)
          required(:people).value(:array, min_size?: 1, max_size?: People::MOST).each { hash(Enrol::PERSON) }
        end

        def decide
          return if state.begun?

          [entry('course_begun', { name: Title.clean(input[:name], missing: 'Give the course a name.') }),
           entry('enrolled', { people: input[:people] }, on: :people)]
        end
      end
    end
  end
end
