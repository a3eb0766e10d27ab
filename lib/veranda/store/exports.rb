# frozen_string_literal: true

require 'que'

module Veranda
  module Store
    # What is made of recordings to be taken away, and takes longer than one waits for a page: films and zips.
    class Exports
      # The job that makes them, by name, since it lives above, and its own queue: one film holds up nothing else.
      JOB = 'Veranda::Workshop::MakeExport'
      QUEUE = 'films'
      KINDS = %w[film zip].freeze
      # Of one recording that are kept.
      MOST = 8
      # In which somebody works on it, or soon will.
      UNDER_WAY = %w[waiting making].freeze

      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      # @param wishes [Hash] see {Workshop::Film::Plan}
      # @return [String] id
      # @raise [Core::Refusal] `exports_full`
      def want(sitting_id, kind, wishes, by:)
        @db.transaction do
          # Two who ask at the same time take turns.
          @db[:sittings].where(id: sitting_id).for_update.get(:id)
          raise full if rows.where(sitting_id: sitting_id).count >= MOST

          id = Ids.call
          @db[:exports].insert(id: id, sitting_id: sitting_id, kind: kind, wishes: Sequel.pg_jsonb(wishes), made_by: by,
                               edits: edits(sitting_id))
          Que.connection = @db
          Que.enqueue(id, job_options: { job_class: JOB, queue: QUEUE })
          id
        end
      end

      # @return [Array<Hash>] newest first
      def of(sitting_id)
        last = edits(sitting_id)
        rows.where(sitting_id: sitting_id).reverse(:made_at).limit(MOST).map { |row| tidy(row, last) }
      end

      # @return [Hash, nil]
      def find(sitting_id, id) = rows.first(sitting_id: sitting_id, id: id)&.then { |row| tidy(row, edits(sitting_id)) }

      # @return [Hash, nil] nil once it was thrown away
      def row(id) = rows.first(id: id)&.then { |row| tidy(row, row[:edits]) }

      # @param facts [Hash] `state:`, `done:`, `says:`, `edits:`
      # @return [Boolean] false once it was thrown away
      def note(id, **facts) = @db[:exports].where(id: id).update(facts).positive?

      # @param made [Hash{String => String}] paths by name, which are moved
      def finish(id, made)
        row = row(id) or return
        files = made.map do |name, path|
          size = File.size(path)
          { name: name, size: size, file: @files.move(path, "exports/#{row[:sitting_id]}/#{id}/#{name}") }
        end
        kept = note(id, state: 'ready', done: 1, files: Sequel.pg_jsonb(files))
        @files.clear("exports/#{row[:sitting_id]}/#{id}") unless kept
      end

      # Throws away the files of all that was made of a recording before its last edit.
      def clear(sitting_id)
        of(sitting_id).select { |row| row[:state] == 'outdated' }.each { |row| @files.clear("exports/#{sitting_id}/#{row[:id]}") }
      end

      # Stops whoever works on it, too.
      def drop(sitting_id, id)
        @db[:exports].where(sitting_id: sitting_id, id: id).delete
        @files.clear("exports/#{sitting_id}/#{id}")
      end

      # @return [Integer] the last edit of a recording
      def edits(sitting_id) = @db[:streams].where(name: Core::Streams::StreamName.recording(sitting_id)).get(:head) || 0

      private

      def rows = @db[:exports].select_all

      # What was edited since shows what may be hidden now.
      def tidy(row, last)
        outdated = row[:state] == 'ready' && row[:edits] != last
        { **row, wishes: row[:wishes].to_h.transform_keys(&:to_sym), state: outdated ? 'outdated' : row[:state],
                 files: row[:files].map { |file| file.to_h.transform_keys(&:to_sym) } }
      end

      def full
        Core::Refusal.new(:exports_full, "There are #{MOST} files of this recording already. Throw one away first.")
      end
    end
  end
end
