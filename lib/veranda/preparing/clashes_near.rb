# frozen_string_literal: true

module Veranda
  module Preparing
    # Who of a course would be in another lesson at some time, as those who teach it may know: the people are theirs, but what the other
    # lesson is they are told only where they belong to its course too.
    class ClashesNear
      # Clashes that are told.
      MOST = 60

      # @param archive [Store::Archive]
      # @param course [String] id
      # @param by [String] id of whoever asks
      # @param lesson [String, nil] id of the one that is moved, which clashes with nothing of its own
      # @param series [String, nil] id of the one that is changed, as a whole
      def initialize(archive, course, by:, lesson: nil, series: nil)
        @series = series
        @archive = archive
        @course = course
        @by = by
        @lesson = lesson
      end

      # @param from [Integer] ms since the epoch
      # @param minutes [Integer]
      # @return [Hash] `{ clashes:, count: }`, of whom no more are told by name than a page shows
      def at(from, minutes)
        found = clashes(from).at(from, from + (minutes * 60_000))
        { clashes: told(found.first(MOST)), count: found.map { |clash| clash[:person] }.uniq.length }
      end

      # @param now [Integer] ms since the epoch
      # @return [Hash] see `Clashes` in {Shapes::Answers}
      def call(from, minutes, now:)
        found = at(from, minutes)
        zone = Core::Calendar::Zone.of(@archive.course(@course)[:zone])
        { **found, free: (clashes(from).free_near(from, minutes * 60_000, zone: zone, after: now) if found[:count].positive?) }
      end

      private

      def roster = @roster ||= @archive.people.roster(@course)

      # What is looked through for one moment does for those near it.
      def clashes(from)
        reach = (Core::Calendar::Clashes::NEAR + 1) * DAY
        return @clashes if @near&.cover?(from)

        @near = (from - DAY)..(from + (60 * DAY))
        @clashes = Core::Calendar::Clashes.new(roster.to_h { |person| person.values_at(:id, :role) }, busy(from - reach, @near.end + reach))
      end

      DAY = 86_400_000
      private_constant :DAY

      def busy(from, to)
        rows = @archive.lessons.with_people(roster.map { |person| person[:id] }, Time.at(from/1000r), Time.at(to/1000r))
        rows = rows.reject { |row| row[:id] == @lesson || (@series && row.values_at(:course_id, :series) == [@course, @series]) }
        @rows = rows.to_h { |row| [row[:id], row] }
        @rows.values.map do |row|
          starts_at = (row[:starts_at].to_r * 1000).round
          { id: row[:id], from: starts_at, to: starts_at + (row[:minutes] * 60_000), people: row[:people] }
        end
      end

      def told(found)
        names = roster.to_h { |person| person.values_at(:id, :name) }
        mine = (@mine ||= @archive.people.courses(@by))
        found.map do |clash|
          lesson = @rows.fetch(clash[:lesson])
          { person: { id: clash[:person], name: names.fetch(clash[:person]) }, role: clash[:role],
            lesson: (lesson.slice(:id, :title) if mine.key?(lesson[:course_id])) }
        end
      end
    end
  end
end
