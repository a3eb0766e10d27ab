# frozen_string_literal: true

module Veranda
  module Core
    module Access
      # Somebody who looks at a lesson outside of its classes. Which of its boards they read, {Access.board?} says.
      class InLesson
        # @return [Person]
        attr_reader :person
        # @return [String] id of the lesson
        attr_reader :id

        # @param person [Person] in their role in the lesson's course
        # @param id [String] of the lesson
        def initialize(person, id)
          @person = person
          @id = id
        end

        def staff? = @person.staff?

        # @return [Array<String>] names of the streams that they are told of
        def streams = Streams::Kinds.belonging_to(:lesson).flat_map { |kind| kind.told(self) }
      end
    end
  end
end
