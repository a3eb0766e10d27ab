# frozen_string_literal: true

module Veranda
  module Preparing
    # What was asked in the classes of a lesson that are over.
    class LessonQuestions
      # Classes of one lesson.
      MOST = 20

      # @param archive [Store::Archive]
      # @param lesson_id [String]
      def initialize(archive, lesson_id)
        @archive = archive
        @lesson_id = lesson_id
      end

      # @param person [String] id
      # @param teaches [Boolean] whether they see all classes, and not only those that they were in, and what is yet to be reviewed
      # @return [Array<Hash>] `{ sitting:, title:, at:, recorded:, questions: }`, the latest first; `recorded` whether they may watch it
      def call(person, teaches:)
        rows = @archive.sittings.of_lesson(@lesson_id).select { |row| row[:status] == 'ended' }.first(MOST)
        rows.filter_map { |row| asked_in(row, person, teaches) }
      end

      private

      def asked_in(row, person, teaches)
        sitting = @archive.sittings.state(row[:id])
        return unless teaches || sitting.in?(person)

        asked = ClassQuestions.new(@archive, row[:id])
        questions = asked.questions + (teaches ? asked.to_review : [])
        return if questions.empty?

        { sitting: row[:id], title: sitting.title, at: sitting.opened_at, recorded: recorded?(row, teaches), questions: questions }
      end

      def recorded?(row, teaches)
        found = @archive.recordings.find(row[:id]) or return false
        !@archive.recordings.recording(found).nil? && (teaches || found[:shared])
      end
    end
  end
end
