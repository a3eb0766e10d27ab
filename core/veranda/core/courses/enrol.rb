# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # People belong to the course from now on. Whether there are such people, whoever gives this command has looked.
      class Enrol < CourseCommand
        on :people, 'people.enrol'

        PERSON = Contract.define do
          required(:id).value(Types::ID)
          required(:name).value(:string, max_size?: Name::LIMIT)
          required(:role).value(:string, included_in?: People::ROLES)
        end

        contract { required(:people).value(:array, min_size?: 1, max_size?: People::MOST).each { hash(PERSON) } }

        def decide
          fresh = input[:people].uniq { |person| person[:id] }.reject { |person| state[person[:id]] }
          too_many! if state.to_a.length + fresh.length > People::MOST
          entry('enrolled', { people: fresh }) if fresh.any?
        end

        private

        def too_many!
          raise Refusal.new(:too_many_people, "A course has #{People::MOST} people at most. Make another one for the rest.")
        end
      end
    end
  end
end
