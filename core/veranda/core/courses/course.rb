# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # A course: what it is called, and what it keeps of its classes.
      class Course
        # What is decided for all classes of a course, and what holds until somebody decides otherwise.
        POLICIES = {
          # Whether what staff and one student wrote to each other is in the transcripts that staff save.
          private_in_transcripts: false,
          # Days for which recordings are kept; nil for as long as the course is there.
          keep_recordings: nil,
          # Whether time in which nobody had pressed *Record* may be added to a recording afterwards.
          add_missed: true,
          # By whose grammar recordings are searched.
          language: 'en'
        }.freeze
        FIELDS = [:name, *POLICIES.keys].freeze

        # @return [String, nil] nil until the course was begun
        attr_reader :name

        def initialize
          @policies = POLICIES
        end

        # @return [Boolean]
        def begun? = !@name.nil?

        # @return [Hash] `name:` and all policies
        def facts = { name: @name, **@policies }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          restore(facts.merge(entry.body)) if %w[course_begun course_set].include?(entry.kind)
          self
        end

        # @return [Integer]
        def size = 1

        alias to_h facts
        alias view facts

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |course| course.send(:restore, facts) }

        private

        def restore(facts)
          @name = facts[:name]
          @policies = POLICIES.merge(facts.slice(*POLICIES.keys))
        end
      end
    end
  end
end
