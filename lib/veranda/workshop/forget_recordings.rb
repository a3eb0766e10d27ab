# frozen_string_literal: true

require 'que'

module Veranda
  module Workshop
    # Once a day: lets go of recordings that their courses keep no longer, and of files that belong to no class any more.
    class ForgetRecordings < Que::Job
      self.maximum_retry_count = 3
      EVERY = 86_400

      # Sees to it that it is done from now on. Asked for twice it is done once.
      # @param db [Sequel::Database]
      def self.keep_doing(db)
        db.transaction do
          # Workers that start together take turns.
          db.get(Sequel.function(:pg_advisory_xact_lock, Sequel.function(:hashtext, name)).cast(:text))
          enqueue unless db[:que_jobs].where(job_class: name, finished_at: nil, expired_at: nil).any?
        end
      end

      def run
        recordings = Work.archive.recordings
        recordings.due.each { |id| recordings.delete(id) }
        recordings.sweep
        self.class.enqueue(job_options: { run_at: Time.now + EVERY })
      end

      private

      def log_level(_elapsed) = :debug
    end
  end
end
