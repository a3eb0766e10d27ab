# frozen_string_literal: true

module Veranda
  module Store
    # Who is connected to which server process, so that processes agree on who is there.
    class Presences
      # A process that has not said so for this long (s) is taken to be gone.
      STALE = 30

      def initialize(db, process)
        @db = db
        @process = process
      end

      # @param tabs [Integer] connections of the person to this process now
      def set(sitting_id, person_id, tabs)
        own = @db[:presences].where(process: @process, sitting_id: sitting_id, person_id: person_id)
        return own.delete if tabs.zero?

        now = { tabs: tabs, beat_at: Sequel.function(:now) }
        @db[:presences].insert_conflict(target: %i[process sitting_id person_id], update: now)
                       .insert(process: @process, sitting_id: sitting_id, person_id: person_id, tabs: tabs)
      end

      # Says that this process lives, and that nobody is connected to it but these.
      # @param connected [Array<Array(String, String)>] ids of sitting and person
      def beat(connected)
        own = @db[:presences].where(process: @process)
        own.exclude(%i[sitting_id person_id] => connected).delete
        own.update(beat_at: Sequel.function(:now))
      end

      # @return [Array<String>] people connected to any living process
      def connected(sitting_id)
        @db[:presences].where(sitting_id: sitting_id)
                       .where { beat_at > Sequel.lit("now() - interval '#{STALE} seconds'") }.distinct.select_map(:person_id)
      end

      # Forgets processes that are gone.
      def sweep = @db[:presences].where { beat_at < Sequel.lit("now() - interval '#{STALE * 2} seconds'") }.delete
    end
  end
end
