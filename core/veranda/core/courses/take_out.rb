# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # Somebody does not belong to the course any more. What they did in its classes stays.
      class TakeOut < CourseCommand
        on :people, 'people.take_out'
        contract { required(:person).value(Types::ID) }

        def decide
          instructor!('Only instructors take somebody out of a course.')
          person = state[input[:person]] or return
          another_instructor!(person[:id]) if person[:role] == 'instructor'
          entry('taken_out', { id: person[:id] })
        end
      end
    end
  end
end
