# frozen_string_literal: true

module Veranda
  module Store
    # Who watched which minutes of a recording, and where they stopped.
    class Watching
      # Of one recording, that are kept.
      MOST = 5_000

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param watcher [String] a person's id, or that of a browser
      # @param person_id [String, nil]
      # @param minutes [Array<Integer>] of the class, from 0 on
      # @param stopped_at [Integer] ms since the epoch
      def note(sitting_id, watcher, person_id:, minutes:, stopped_at:)
        Turn.of(@db, 'watching', sitting_id) do
          next if @db[:watching].where(sitting_id: sitting_id).count >= MOST && stopped(sitting_id, watcher).nil?

          @db[ADD, sitting_id: sitting_id, watcher: watcher, person_id: person_id, stopped_at: stopped_at,
                   minutes: Sequel.pg_array(minutes, :integer)].insert
        end
      end

      # @return [Integer, nil] where somebody stopped, ms since the epoch
      def stopped(sitting_id, watcher) = @db[:watching].where(sitting_id: sitting_id, watcher: watcher).get(:stopped_at)

      # @return [Array<Hash>] `{ name:, minutes:, seen_at: }`, `name` nil for those who came by link, `minutes` how many
      def of(sitting_id)
        @db[:watching].left_join(:people, id: :person_id).where(sitting_id: sitting_id).reverse(:seen_at)
                      .select(Sequel[:people][:name], Sequel.function(:cardinality, :minutes).as(:minutes), :seen_at).all
      end

      # @return [Hash{Integer => Integer}] by how many each minute was watched
      def minutes(sitting_id)
        @db[:watching].where(sitting_id: sitting_id).select(Sequel.function(:unnest, :minutes).as(:minute)).from_self
                      .group_and_count(:minute).as_hash(:minute, :count)
      end

      ADD = <<~SQL
        INSERT INTO watching (sitting_id, watcher, person_id, minutes, stopped_at) VALUES (:sitting_id, :watcher, :person_id, :minutes, :stopped_at)
        ON CONFLICT (sitting_id, watcher) DO UPDATE SET stopped_at = :stopped_at, seen_at = now(), person_id = :person_id,
          minutes = ARRAY (SELECT DISTINCT unnest(watching.minutes || :minutes) ORDER BY 1)
      SQL
      private_constant :ADD
    end
  end
end
