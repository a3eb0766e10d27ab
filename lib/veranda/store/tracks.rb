# frozen_string_literal: true

require 'que'

module Veranda
  module Store
    # Sounds and pictures of recorded classes, each a stretch of what one person sent.
    class Tracks
      # The job that makes them playable, by name, since it lives above; and the queue of what takes minutes.
      JOB = 'Veranda::Workshop::KeepTracks'
      LISTENS = 'Veranda::Workshop::MeasureTracks'
      QUEUE = 'documents'
      # What is told of each but its levels, which are many.
      COLUMNS = %i[id sitting_id place person_id kind began_at length size file].freeze
      # s after the end of a class, by when the media server has closed its files.
      PAUSE = 1

      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      # Notes where sound and picture of a class are written, before any are.
      # @param folder [String] of the media server
      def written_to(sitting_id, folder)
        @db[:stage_folders].insert_conflict.insert(sitting_id: sitting_id, folder: folder)
      end

      # Has what media servers wrote of a class made playable. Asked for twice it is done once.
      def want(sitting_id)
        folders = @db[:stage_folders].where(sitting_id: sitting_id).select_order_map(:folder)
        return if folders.empty?

        Que.connection = @db
        @db.transaction do
          report(sitting_id, 'waiting')
          Que.enqueue(sitting_id, folders, job_options: { job_class: JOB, run_at: Time.now + PAUSE, queue: QUEUE })
        end
      end

      # @param state [String] `waiting`, `ready`, or `partly` when some of it could not be made playable
      def report(sitting_id, state)
        @db[:recordings].insert_conflict(target: :sitting_id, update: { sound: state }).insert(sitting_id: sitting_id, sound: state)
      end

      # @return [String, nil] nil for classes without sound and picture
      def state(sitting_id) = @db[:recordings].where(sitting_id: sitting_id).get(:sound)

      # @param take [Core::Recordings::Take]
      # @param name [String] of the file that the media server wrote
      # @param path [String] of what was made of it, which is moved
      def add(take, name:, path:, kind:, began_at:, length:)
        names = Core::Recordings::ScreenName
        kind = 'screen' if kind == 'picture' && names.screen?(take.person)
        facts = { kind: kind, began_at: began_at, length: length, size: File.size(path),
                  file: @files.move(path, "tracks/#{take.sitting}/#{name}.webm") }
        @db[:tracks].insert_conflict(target: :file)
                    .insert(id: Ids.call, sitting_id: take.sitting, place: take.place, person_id: names.person(take.person), **facts)
      end

      # @return [Array<Hash>] `{ id:, place:, person_id:, kind:, began_at:, length:, size:, file: }` in order of time
      def of(sitting_id)
        @db[:tracks].where(sitting_id: sitting_id).order(:began_at, :id).select(*COLUMNS).all
      end

      # Has it listened to how loud they are, once they can be played.
      def measure(sitting_id)
        Que.connection = @db
        Que.enqueue(sitting_id, job_options: { job_class: LISTENS, queue: QUEUE })
      end

      # @return [Array<Hash>] `{ id:, file: }` of sounds that nobody has listened to yet
      def unmeasured(sitting_id) = @db[:tracks].where(sitting_id: sitting_id, kind: 'sound', levels: nil).select(:id, :file).all

      # @return [Array<Hash>] `{ began_at:, levels: }` of what was heard in a place
      def levels(sitting_id, place)
        @db[:tracks].where(sitting_id: sitting_id, place: place).exclude(levels: nil).select(:began_at, :levels).all
      end

      # @param levels [Array<Integer>] of each second, 0 to 100
      def measured(id, levels) = @db[:tracks].where(id: id).update(levels: Sequel.pg_array(levels, :smallint))

      # @param sitting_ids [Array<String>]
      # @return [Hash{String => Integer}] bytes by class
      def sizes(sitting_ids)
        @db[:tracks].where(sitting_id: sitting_ids).group(:sitting_id).select_hash(:sitting_id,
                                                                                   Sequel.function(:sum, :size).cast(:bigint).as(:size))
      end

      # @return [Hash, nil] with the name of its `file` in the store
      def find(sitting_id, id) = @db[:tracks].select(*COLUMNS).first(sitting_id: sitting_id, id: id)
    end
  end
end
