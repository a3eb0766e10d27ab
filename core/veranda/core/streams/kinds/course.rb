# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `course/ID`: what a course is called and what it keeps of its classes, for everyone who belongs to it.
        class Course < Kind
          def owner = :course
          def state_class = Courses::Course
          def told(reader) = [name(reader.id)]
        end
      end
    end
  end
end
