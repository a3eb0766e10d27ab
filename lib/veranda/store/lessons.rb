# frozen_string_literal: true

module Veranda
  module Store
    # Lessons with their steps and boards: what is edited as a form.
    class Lessons
      # The lesson was saved by someone else since it was read.
      class Outdated < StandardError; end

      # @param db [Sequel::Database]
      # @param log [Log]
      def initialize(db, log)
        @db = db
        @log = log
      end

      # @return [Hash] `{ id:, course_id:, number:, title:, starts_at: Time, minutes:, steps: [{id:, title:, minutes:,
      #   shortest:, notes:, board:}], record_from:, version: }`
      # @raise [Core::Refusal] `no_such_lesson`
      def fetch(id)
        tidy(@db[:lessons].first(id: id)) || raise(Core::Refusal.new(:no_such_lesson, 'There is no such lesson.'))
      end

      # @param course_ids [Array<String>]
      # @return [Array<Hash>] in order of time
      def of_courses(course_ids)
        @db[:lessons].where(course_id: course_ids).order(:starts_at).map { |row| tidy(row) }
      end

      # @return [String] id of the new lesson
      def create(course_id:, title:, starts_at:, minutes:, steps: [], number: nil, id: Ids.call)
        number ||= (@db[:lessons].where(course_id: course_id).max(:number) || 0) + 1
        @db[:lessons].insert(id: id, course_id: course_id, number: number, title: title, starts_at: starts_at,
                             minutes: minutes, steps: Sequel.pg_jsonb(steps), record_from: steps.first&.fetch(:id))
        id
      end

      # @param version [Integer] the version that was edited
      # @param changes [Hash] any of `title`, `starts_at`, `minutes`, `steps`, `record_from`
      # @return [Hash] the lesson as it is now
      # @raise [Outdated]
      def update(id, version:, **changes)
        changes[:steps] = Sequel.pg_jsonb(changes[:steps]) if changes[:steps]
        changed = @db[:lessons].where(id: id, version: version).update(**changes, version: version + 1)
        raise Outdated if changed.zero?

        fetch(id)
      end

      # @param rehearsal_id [String, nil] for the copies that one rehearsal uses
      # @return [Array<Hash>] `{ id:, lesson_id:, name:, audience:, outside:, template:, material_id:, first_page: }`, oldest first
      def boards(lesson_id, rehearsal_id: nil)
        @db[:boards].where(lesson_id: lesson_id, rehearsal_id: rehearsal_id).order(:made_at).select(*BOARD_COLUMNS).all
      end

      BOARD_COLUMNS = %i[id lesson_id name audience outside template material_id first_page].freeze

      # @return [Hash] the board
      # @raise [Core::Refusal] `no_such_board`
      def board(id)
        @db[:boards].first(id: id) || raise(Core::Refusal.new(:no_such_board, 'There is no such board.'))
      end

      # @return [String] id of the new board, whose stream is ready
      def add_board(lesson_id, name:, audience: 'everyone', id: Ids.call, **more)
        @db.transaction do
          @db[:boards].insert(id: id, lesson_id: lesson_id, name: name, audience: audience, **more)
          @log.begin(Core::Streams::StreamName.board(id))
        end
        id
      end

      # @param changes [Hash] any of `name`, `audience`, `outside`, `template`, `first_page`
      # @return [Hash] the board
      def update_board(id, **changes)
        @db[:boards].where(id: id).update(changes) unless changes.empty?
        board(id)
      end

      # Copies a lesson's boards, with all that happened on them, for a rehearsal.
      def copy_boards(lesson_id, rehearsal_id)
        boards(lesson_id).each do |board|
          id = Ids.call
          @db[:boards].insert(**board, id: id, rehearsal_id: rehearsal_id)
          @log.fork(Core::Streams::StreamName.board(board[:id]), Core::Streams::StreamName.board(id))
        end
      end

      private

      def tidy(row)
        row&.merge(steps: JSON.parse(JSON.generate(row[:steps]), symbolize_names: true).map do |step|
          Core::Lessons::LessonContract::PLAIN.merge(step)
        end)
      end
    end
  end
end
