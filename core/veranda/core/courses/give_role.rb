# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # Somebody plays another part in the course from now on.
      class GiveRole < CourseCommand
        on :people, 'people.give_role'

        contract do
          required(:person).value(Types::ID)
          required(:role).value(:string, included_in?: People::ROLES)
        end

        def decide
          instructor!('Only instructors say who plays which part.')
          person = member!(input[:person])
          return if person[:role] == input[:role]

          another_instructor!(person[:id]) if person[:role] == 'instructor'
          entry('role_given', { id: person[:id], role: input[:role] })
        end
      end
    end
  end
end
