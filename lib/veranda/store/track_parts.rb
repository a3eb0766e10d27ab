# frozen_string_literal: true

require 'que'

module Veranda
  module Store
    # What is left of sounds and pictures of which some was cut out.
    class TrackParts
      # The job that makes them, by name, since it lives above.
      JOB = 'Veranda::Workshop::CutTracks'

      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      # Has made what is missing now, and thrown away what is wanted no more.
      # @param sitting_id [String]
      def want(sitting_id)
        Que.connection = @db
        Que.enqueue(sitting_id, job_options: { job_class: JOB, queue: Tracks::QUEUE })
      end

      # @return [Array<Hash>] `{ id:, track_id:, began_at:, ended_at:, length:, size:, file: }`
      def of(sitting_id)
        @db[:track_parts].where(track_id: @db[:tracks].where(sitting_id: sitting_id).select(:id)).order(:began_at, :id).all
      end

      # @return [Hash, nil]
      def find(id) = @db[:track_parts].first(id: id)

      # @param made [Hash, nil] `{ path:, length: }` of what was made, which is moved; nil where nothing of it can be heard or seen
      def add(track, from, to, made)
        id = Ids.call
        file = made && @files.move(made[:path], "tracks/#{track[:sitting_id]}/parts/#{id}.webm")
        size = file ? File.size(@files.path(file)) : 0
        facts = { id: id, track_id: track[:id], began_at: from, ended_at: to, file: file, size: size, length: made ? made[:length] : 0 }
        taken = @db[:track_parts].insert_conflict.returning(:id).insert(facts)
        # Somebody else has made it meanwhile.
        @files.clear(file) if file && taken.empty?
      rescue Sequel::Error
        # Such as when the recording was let go of.
        @files.clear(file) if file
        raise
      end

      # @param parts [Array<Hash>]
      def drop(parts)
        @db[:track_parts].where(id: parts.map { |part| part[:id] }).delete
        parts.filter_map { |part| part[:file] }.each { |file| FileUtils.rm_f(@files.path(file)) }
      end
    end
  end
end
