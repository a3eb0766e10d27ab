# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # What the commands on a course and its people share. What somebody may do there, the course's people say as they are now, and not
      # what was known of them when they came.
      class CourseCommand < Command
        looks_at :people

        private

        def people = scene.of(:people)

        # @return [String, nil]
        def role = people.role(by.id)

        def instructor!(says)
          raise Refusal.new(:staff_only, says) unless role == 'instructor'
        end

        # @param id [String]
        # @return [Hash] the person, as the course knows them
        def member!(id) = people[id] || raise(Refusal.new(:not_in_course, 'They do not belong to this course any more.'))

        # Somebody has to be left who may decide.
        def another_instructor!(id)
          return if people.of_role('instructor').any? { |person| person[:id] != id }

          raise Refusal.new(:last_instructor, 'A course keeps at least one instructor. Make somebody else one first.')
        end
      end
    end
  end
end
