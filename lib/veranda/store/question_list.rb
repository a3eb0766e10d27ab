# frozen_string_literal: true

module Veranda
  module Store
    # What was asked in classes that are over and has no answer yet.
    class QuestionList
      OVER = %w[question_answered question_merged].freeze

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param lessons [Array<String>]
      # @return [Hash{String => Integer}] how many are unanswered, by lesson; rehearsals left out
      def unanswered(lessons)
        sittings = @db[:sittings].where(lesson_id: lessons, rehearsal: false, status: 'ended').select_hash(:id, :lesson_id)
        streams = sittings.keys.map { |id| Core::Streams::StreamName.questions(id) }
        rows = @db[:entries].where(stream: streams,
                                   kind: ['question_asked',
                                          *OVER]).select_map([:stream, :kind, Sequel.lit("body->>'id'").as(:id)])
        by_lesson = rows.group_by { |stream, *| sittings[Core::Streams::StreamName.id(stream)] }
        by_lesson.transform_values { |some| left(some) }.reject { |_, count| count.zero? }
      end

      private

      def left(rows)
        asked, over = rows.partition { |_, kind, _| kind == 'question_asked' }
        (asked.map(&:last) - over.map(&:last)).length
      end
    end
  end
end
