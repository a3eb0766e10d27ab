# frozen_string_literal: true

module Veranda
  module Core
    module Courses
      # A course: what it is called, what it keeps of its classes, and by which rules its lessons recur.
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
          language: 'en',
          # By whose clocks its lessons are planned.
          zone: Calendar::Zone::FIRST
        }.freeze
        FIELDS = [:name, *POLICIES.keys].freeze

        # @return [String, nil] nil until the course was begun
        attr_reader :name

        # @return [Hash{String => Calendar::Series}] by id
        attr_reader :series

        def initialize
          @policies = POLICIES
          @series = {}
        end

        # @return [Boolean]
        def begun? = !@name.nil?

        # @return [Hash] `name:` and all policies
        def facts = { name: @name, **@policies }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'course_begun', 'course_set' then set(facts.merge(body))
          when 'series_set' then @series = @series.merge(body[:id] => Calendar::Series.from(body))
          end
          self
        end

        # @return [Integer]
        def size = 1 + @series.length

        # @return [Hash] {#facts}, and `series:` with those of its lessons
        def to_h = { **facts, series: @series.map { |id, series| { id: id, **series.to_h } } }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |course| course.send(:restore, facts) }

        private

        def restore(facts)
          set(facts)
          @series = (facts[:series] || []).to_h { |row| [row[:id], Calendar::Series.from(row)] }
        end

        def set(facts)
          @name = facts[:name]
          @policies = POLICIES.merge(facts.slice(*POLICIES.keys))
        end
      end
    end
  end
end
