# frozen_string_literal: true

module Veranda
  module Preparing
    # The lessons of somebody's courses from one day to another, as their calendar shows them. However many there are, so many queries.
    class LessonsBetween
      # Lessons that are told at once, and ms that are looked at.
      MOST = 600
      LONGEST = 400 * 86_400_000

      # @param archive [Store::Archive]
      # @param person [String] id
      def initialize(archive, person)
        @archive = archive
        @person = person
      end

      # @param from [Integer] ms since the epoch
      # @param to [Integer] the same
      # @param course [String, nil] id of the one that is asked for; nil for all
      # @return [Hash] see `CalendarFacts` in {Shapes::Answers}
      # @raise [Core::Refusal] `bad_input`
      def call(from, to, course: nil)
        raise Core::Refusal.new(:bad_input, 'That is no stretch of time that can be shown.') unless from < to && to - from <= LONGEST

        roles = @archive.people.courses(@person)
        roles = roles.slice(course) if course
        rows = @archive.lessons.between(roles.keys, Time.at(from/1000r), Time.at(to/1000r), limit: MOST + 1)
        { lessons: cards(rows.first(MOST), roles), more: rows.length > MOST }
      end

      # @param id [String] of a lesson that they may come to
      # @param role [String] the part they play in it
      # @return [Hash] that one, whenever it is
      def one(id, role)
        row = @archive.lessons.fetch(id)
        cards([row], { row[:course_id] => role }).first
      end

      private

      OWN = %i[id title number minutes course_id series cancelled held version].freeze
      private_constant :OWN

      def cards(rows, roles)
        courses = of_courses(roles)
        classes = @archive.sittings.latest(rows.map { |row| row[:id] })
        rows.map do |row|
          row.slice(*OWN).merge(courses.fetch(row[:course_id])).merge(
            starts_at: (row[:starts_at].to_r * 1000).round, said: row[:slot]&.fetch(:of), open: classes[row[:id]]&.fetch(:status) == 'open'
          )
        end
      end

      # What is the same for all lessons of a course.
      def of_courses(roles)
        hosts = @archive.people.hosts(roles.keys)
        sizes = @archive.lessons.counts(roles.keys)
        @archive.courses_by_id(roles.keys).to_h do |id, course|
          [id, { course: course[:name], zone: course[:zone], role: roles[id], host: hosts[id], of: sizes.fetch(id, 0) }]
        end
      end
    end
  end
end
