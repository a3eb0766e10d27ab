# frozen_string_literal: true

module Veranda
  module Http
    # What all that is asked of one recording begins with: whether the visitor may watch it, and how much of it.
    module OfRecording
      private

      # @return [Array] the row, the recording, its lesson, and whether the visitor is staff there
      # @raise [Core::Refusal] the same for what does not exist as for what one may not see
      def watchable(id)
        row = archive.recordings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        staff = visitor.in_lesson(lesson)&.staff? || false
        recording = reader.recording?(row, lesson) && archive.recordings.recording(row)
        raise archive.recordings.no_such_recording unless recording

        @only = visitor.stretch(id) unless reader.whole_recording?(row, lesson)
        recording = recording.only(*@only) if @only
        # All that a link showed may have been cut since.
        raise archive.recordings.no_such_recording if recording.clock.stretches.empty?

        [row, recording, lesson, staff]
      end

      # @return [Core::Person]
      # @raise [Core::Refusal] `staff_only`
      def staff_of_recording!(id) = staff!(archive.lessons.fetch(archive.recordings.fetch(id)[:lesson_id]))

      # Once it is known that they may watch it.
      # @return [Hash] the stretch that they may watch, unless it is all
      def only(*) = { only: @only }.compact

      def viewer(staff) = { viewer: visitor.person&.fetch(:id), teaches: staff }
    end
  end
end
