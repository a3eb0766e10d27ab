# frozen_string_literal: true

module Veranda
  module Core
    module Access
      # Somebody who looks at a course: which of its streams they read. What they are there, its people say as they are now.
      class InCourse
        # @return [Person]
        attr_reader :person
        # @return [String] id of the course
        attr_reader :id

        # @param person [Person]
        # @param id [String] of the course
        # @param people [Courses::People]
        def initialize(person, id, people)
          @person = person
          @id = id
          @people = people
        end

        # @return [Symbol, nil] `:staff`, `:in`, or nil for those who do not belong to it
        def standing
          return unless @people.role(@person.id)

          staff? ? :staff : :in
        end

        def staff? = @people.staff?(@person.id)

        # @return [Array<String>] names of the streams that they are told of
        def streams = standing ? Streams::Kinds.belonging_to(:course).flat_map { |kind| kind.told(self) } : []

        # @param stream [String]
        # @return [Boolean]
        def reads?(stream)
          kind = Streams::Kinds.of(stream)
          kind.owner == :course && !standing.nil? && kind.reads?(self, stream)
        end
      end
    end
  end
end
