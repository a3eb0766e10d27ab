# frozen_string_literal: true

module Veranda
  module Preparing
    # The recordings that somebody may watch without a link, newest first.
    class RecordingList
      # @param archive [Store::Archive]
      # @param titles [#call] of the chapters of a recording in which people are called otherwise, by the id of its class
      def initialize(archive, titles:)
        @archive = archive
        @titles = titles
      end

      # @param person [String] id
      # @return [Array<Hash>] `{ id:, title:, number:, course:, at:, length:, chapters:, shared:, staff:, taught:, size:, sound: }`,
      #   `size` in bytes of sound and picture
      def of(person)
        roles = @archive.people.courses(person)
        lessons = @archive.lessons.of_courses(roles.keys).to_h { |lesson| [lesson[:id], lesson] }
        rows = @archive.recordings.of_lessons(lessons.keys)
        @sizes = @archive.tracks.sizes(rows.map { |row| row[:sitting_id] })
        rows.filter_map do |row|
          lesson = lessons[row[:lesson_id]]
          staff = Core::Person::STAFF.include?(roles[lesson[:course_id]])
          facts(row, lesson, staff) if staff || row[:shared]
        end
      end

      private

      def facts(row, lesson, staff)
        recording = @archive.recordings.recording(row) or return
        # All of it may have been cut by what came before edits were checked.
        return if recording.clock.stretches.empty?

        { id: row[:sitting_id], title: lesson[:title], number: lesson[:number], course: course(lesson[:course_id]),
          at: recording.clock.stretches.first.first, length: recording.clock.length, chapters: chapters(recording),
          shared: row[:shared], staff: staff, taught: taught(recording), size: @sizes.fetch(row[:sitting_id], 0),
          sound: @archive.tracks.state(row[:sitting_id]) }
      end

      def course(id) = (@courses ||= {})[id] ||= @archive.course(id)[:name]
      def taught(recording) = recording.sitting.seats.each_value.select { |seat| seat.role == 'instructor' }.map(&:name)

      # Where people are called by numbers, they are so in titles too.
      def chapters(recording)
        recording.edits.people? ? @titles.call(recording.sitting.id) : recording.chapters.map { |chapter| chapter[:title] }
      end
    end
  end
end
