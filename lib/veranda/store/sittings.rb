# frozen_string_literal: true

module Veranda
  module Store
    # Classes: where each one's streams begin, and which lesson it belongs to.
    class Sittings
      def initialize(db, log, lessons)
        @db = db
        @log = log
        @lessons = lessons
      end

      # @return [Hash] `{ id:, lesson_id:, rehearsal: }`
      # @raise [Core::Refusal] `no_such_class`
      def fetch(id)
        @db[:sittings].first(id: id) || raise(Core::Refusal.new(:no_such_class, 'There is no such class.'))
      end

      # @return [Array<Hash>] sittings of a lesson, newest first
      def of_lesson(lesson_id, rehearsal: false)
        @db[:sittings].where(lesson_id: lesson_id, rehearsal: rehearsal).reverse(:made_at).all
      end

      # Sets up a class, with its streams ready for `class.plan`.
      # @return [String] id
      def create(lesson_id, rehearsal: false, id: Ids.call)
        @db.transaction do
          @db[:sittings].insert(id: id, lesson_id: lesson_id, rehearsal: rehearsal)
          @log.begin(Core::Streams::StreamName.sitting(id))
          @log.begin(Core::Streams::StreamName.exchange(id))
        end
        id
      end

      # @return [Core::Sittings::Sitting]
      def state(id) = @log.state(Core::Streams::StreamName.sitting(id)).first

      # The input of `class.plan`, from the lesson as it stands.
      # @param sitting [Hash]
      # @return [Hash]
      def plan(sitting)
        lesson = @lessons.fetch(sitting[:lesson_id])
        course = @db[:courses].first(id: lesson[:course_id])
        { id: sitting[:id], title: lesson[:title], course: course[:name],
          starts_at: (lesson[:starts_at].to_f * 1000).round, minutes: lesson[:minutes],
          steps: lesson[:steps].map { |step| step.slice(:id, :title, :minutes, :shortest, :board) },
          boards: @lessons.boards(lesson[:id]).map { |board| board.slice(:id, :name, :audience) },
          record_from: lesson[:record_from], rehearsal: sitting[:rehearsal] }
      end
    end
  end
end
