# frozen_string_literal: true

module Veranda
  module Store
    # Which server processes live, on whichever machine. A setting would tell of this machine alone.
    class Processes
      # s for which one counts as living that has not said so.
      STALE = 30

      # @param db [Sequel::Database]
      # @param process [String] id of this one
      def initialize(db, process)
        @db = db
        @process = process
      end

      # Says that this one lives, and forgets those that are gone.
      # @return [Boolean] whether there are others
      def beat
        @db[:server_processes].insert_conflict(target: :id, update: { beat_at: Sequel.function(:now) }).insert(id: @process)
        @db[:server_processes].where { beat_at < Sequel.lit("now() - interval '#{STALE} seconds'") }.delete
        @db[:server_processes].exclude(id: @process).any?
      end
    end
  end
end
