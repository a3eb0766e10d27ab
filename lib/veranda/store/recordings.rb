# frozen_string_literal: true

module Veranda
  module Store
    # Recordings: the classes that were recorded, and how they were edited and shared since.
    class Recordings
      def initialize(db, log, sittings)
        @db = db
        @log = log
        @sittings = sittings
      end

      # @param lesson_ids [Array<String>]
      # @return [Array<Hash>] `{ sitting_id:, lesson_id:, shared: }` of real classes, newest first
      def of_lessons(lesson_ids)
        rows.where(lesson_id: lesson_ids, rehearsal: false).reverse(:made_at).map { |row| tidy(row) }
      end

      # @return [Hash]
      # @raise [Core::Refusal] `no_such_recording`
      def fetch(sitting_id)
        row = rows.first(Sequel[:sittings][:id] => sitting_id)
        row ? tidy(row) : raise(no_such_recording)
      end

      # Of edits that take long to read, and are asked for by themselves.
      LONG = %w[captions_set].freeze

      # @param row [Hash] as from {#fetch}
      # @param captions [Boolean] whether it has its captions
      # @return [Core::Recordings::Recording, nil] nil while the class goes on or when nothing was recorded
      def recording(row, captions: false)
        sitting = @sittings.state(row[:sitting_id])
        return unless sitting.ended?

        recording = Core::Recordings::Recording.new(sitting, edits: edits(row[:sitting_id], captions: captions))
        recording if recording.any?
      end

      # @return [Core::Recordings::Edits]
      def edits(sitting_id, captions: false)
        name = Core::Streams::StreamName.recording(sitting_id)
        Core::Streams::Fold.over(name, @log.entries(name, without: captions ? [] : LONG))
      end

      # @param sitting_id [String]
      # @param changes [Hash] `shared`
      def update(sitting_id, **changes)
        @db[:recordings].insert_conflict(target: :sitting_id, update: changes).insert(sitting_id: sitting_id, **changes)
      end

      # @return [Boolean] whether the students of the course may watch it
      def shared?(sitting_id) = @db[:recordings].where(sitting_id: sitting_id, shared: true).any?

      # @return [Core::Refusal]
      def no_such_recording = Core::Refusal.new(:no_such_recording, 'There is no such recording.')

      private

      def rows
        @db[:sittings].left_join(:recordings, sitting_id: :id)
                      .select(Sequel[:sittings][:id].as(:sitting_id), :lesson_id, :shared, :made_at, :rehearsal)
      end

      def tidy(row) = row.merge(shared: row[:shared] || false)
    end
  end
end
