# frozen_string_literal: true

module Veranda
  module Preparing
    # What staff do to the recording of a class, by the course's own rules. What was made of it before goes: nobody is to get it, and
    # what is hidden now has no place on the disk either.
    class EditingRecording
      # Edits after which other pieces of sounds and pictures are left.
      CUTTING = %w[cut take_back].freeze

      # @param archive [Store::Archive]
      # @param sitting [String] id
      # @param by [Core::Person] of its staff
      def initialize(archive, sitting, by:)
        @archive = archive
        @sitting = sitting
        @by = by
      end

      # @param edit [String] of {Core::Commands::EDITING}
      # @param input [Hash] as it came
      # @raise [Core::Refusal]
      def call(edit, input)
        only_recorded! if edit == 'add_stretch'
        @archive.db.transaction do
          Deciding::Perform.call(@archive.log, "recording.#{edit}", input, stream: Core::Streams::StreamName.recording(@sitting), by: @by)
          @archive.track_parts.want(@sitting) if CUTTING.include?(edit)
        end
        @archive.exports.clear(@sitting)
      end

      private

      # @raise [Core::Refusal] `only_recorded`
      def only_recorded!
        lesson = @archive.lessons.fetch(@archive.sittings.fetch(@sitting)[:lesson_id])
        return if @archive.course(lesson[:course_id])[:add_missed]

        raise Core::Refusal.new(:only_recorded,
                                'In this course only what was recorded is shown. An instructor can decide otherwise for the course.')
      end
    end
  end
end
