# frozen_string_literal: true

module Veranda
  module Store
    # What was asked in classes that are over and has no answer yet, or was not even reviewed.
    class QuestionList
      OVER = %w[question_answered question_merged question_reviewed].freeze

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param lessons [Array<String>]
      # @return [Hash{String => Integer}] how many are unanswered, by lesson; rehearsals left out
      def unanswered(lessons)
        sittings = @db[:sittings].where(lesson_id: lessons, rehearsal: false, status: 'ended').select_hash(:id, :lesson_id)
        names = Core::Streams::StreamName
        streams = sittings.keys.flat_map { |id| [names.questions(id), names.asked(id)] }
        rows = @db[:entries].where(stream: streams,
                                   kind: ['question_asked',
                                          *OVER]).select_map([:stream, :kind, Sequel.lit("body->>'id'").as(:id)])
        by_lesson = rows.group_by { |stream, *| sittings[names.id(stream)] }
        by_lesson.transform_values { |some| left(some) }.reject { |_, count| count.zero? }
      end

      private

      def left(rows)
        asked, over = rows.partition { |_, kind, _| kind == 'question_asked' }
        # What was let through is asked anew, on the stream that all read.
        key = ->((stream, _, id)) { [stream, id] }
        (asked.map(&key) - over.map(&key)).length
      end
    end
  end
end
