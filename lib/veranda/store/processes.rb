# frozen_string_literal: true

module Veranda
  module Store
    # Which server processes live, on whichever machine. A setting would tell of this machine alone.
    class Processes
      # s for which one counts as living that has not said so.
      STALE = 30
      # s for which one that has just said so, and heard of no others, is alone for sure: others count it as gone only later.
      SURE = 20

      # @param db [Sequel::Database]
      # @param process [String] id of this one
      # @param clock [#call] seconds, monotonic
      def initialize(db, process, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @db = db
        @process = process
        @clock = clock
        # Until it is known.
        @others = true
        @sure_until = 0
      end

      # @return [Boolean] whether there are others, as far as is known
      def others? = @others

      # @return [Boolean] whether there are none for sure
      def alone? = !@others && @clock.call < @sure_until

      # Another one has begun.
      def arrival = @others = true

      # Says that this one lives, forgets those that are gone, and looks whether there are others.
      def beat
        asked = @clock.call
        @db[:server_processes].insert_conflict(target: :id, update: { beat_at: Sequel.function(:now) }).insert(id: @process)
        @db[:server_processes].where { beat_at < Sequel.lit("now() - interval '#{STALE} seconds'") }.delete
        @others = @db[:server_processes].exclude(id: @process).any?
        @sure_until = asked + SURE
      end
    end
  end
end
