# frozen_string_literal: true

module Veranda
  module Store
    # Recordings: the classes that were recorded, and how they were edited and shared since.
    class Recordings
      # Tables of what goes with a recording; tracks take their parts with them.
      WITH_IT = %i[tracks exports watching notes recorded_words links].freeze
      # Folders of its files.
      FOLDERS = %w[tracks exports].freeze

      def initialize(db, log, sittings, files)
        @db = db
        @log = log
        @sittings = sittings
        @files = files
      end

      # @param lesson_ids [Array<String>]
      # @param limit [Integer, nil]
      # @return [Array<Hash>] `{ sitting_id:, lesson_id:, shared: }` of real classes, newest first
      def of_lessons(lesson_ids, limit: nil)
        rows.where(lesson_id: lesson_ids, rehearsal: false, deleted_at: nil).reverse(:made_at).limit(limit).map { |row| tidy(row) }
      end

      # @return [Hash]
      # @raise [Core::Refusal] `no_such_recording`
      def fetch(sitting_id) = find(sitting_id) || raise(no_such_recording)

      # @return [Hash, nil] nil also of one that was let go of
      def find(sitting_id) = rows.first(Sequel[:sittings][:id] => sitting_id, deleted_at: nil)&.then { |row| tidy(row) }

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

      # Lets go of a recording: its sounds and pictures, what was made of it, links to it, notes in it and who watched it. What was drawn
      # and written stays what it was, of the lesson and of the class.
      # @raise [Core::Refusal] `not_over` while the class goes on or is still to come
      def delete(sitting_id)
        @db.transaction do
          over = @db[:sittings].where(id: sitting_id).for_update.get(:status) == 'ended'
          raise Core::Refusal.new(:not_over, 'This class is not over. There is nothing to delete yet.') unless over

          update(sitting_id, deleted_at: Time.now, shared: false, sound: nil, read_at: nil)
          WITH_IT.each { |table| @db[table].where(sitting_id: sitting_id).delete }
        end
        FOLDERS.each { |folder| @files.clear("#{folder}/#{sitting_id}") }
      end

      # @return [Boolean]
      def deleted?(sitting_id) = @db[:recordings].where(sitting_id: sitting_id).exclude(deleted_at: nil).any?

      # @param now [Time]
      # @return [Array<String>] ids of classes whose recordings their courses keep no longer
      def due(now: Time.now)
        @db[:sittings].join(:lessons, id: :lesson_id).join(:courses, id: Sequel[:lessons][:course_id])
                      .left_join(:recordings, sitting_id: Sequel[:sittings][:id])
                      .where(status: 'ended', deleted_at: nil).exclude(keep_recordings: nil)
                      .where { Sequel[:sittings][:made_at] + (Sequel.lit("interval '1 day'") * :keep_recordings) < now }
                      .select_map(Sequel[:sittings][:id])
      end

      # Files of classes that are there no more, and those that no row knows.
      # @param now [Time]
      # @return [Array<String>] what was let go of
      def sweep(now: Time.now)
        gone = FOLDERS.flat_map do |folder|
          there = @files.children(folder)
          (there - @db[:sittings].where(id: there).select_map(:id)).map { |id| "#{folder}/#{id}" }
        end
        (gone + strays(now)).each { |name| @files.clear(name) }
      end

      # s in which a file may be on its way to its row, and the tables of those.
      ON_ITS_WAY = 6 * 3_600
      WITH_FILES = %i[tracks track_parts].freeze
      private_constant :ON_ITS_WAY, :WITH_FILES

      # Whatever ends in the middle of its work leaves a file behind.
      # @return [Array<String>] names of files of sounds and pictures that are in no row
      def strays(now)
        there = @files.below('tracks').select { |name| @files.changed_at(name) < now - ON_ITS_WAY }
        there.each_slice(1_000).flat_map do |names|
          names - WITH_FILES.flat_map { |table| @db[table].where(file: names).select_map(:file) }
        end
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
