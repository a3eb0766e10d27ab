# frozen_string_literal: true

module Veranda
  module Store
    # What somebody notes for themselves at a moment of a recording. Nobody else reads it.
    class Notes
      # Of one person in one recording; letters of one.
      MOST = 500
      LONGEST = 1_000

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @return [Array<Hash>] `{ id:, at:, words: }` in order of the time of day
      def of(sitting_id, person_id) = mine(sitting_id, person_id).order(:at, :made_at).select(:id, :at, :words).all

      # @param at [Integer] ms since the epoch
      # @raise [Core::Refusal] `too_many_notes`
      def add(sitting_id, person_id, at:, words:)
        Turn.of(@db, 'notes', sitting_id, person_id) do
          if mine(sitting_id, person_id).count >= MOST
            raise Core::Refusal.new(:too_many_notes, "You have #{MOST} notes in this recording. Throw some away first.")
          end

          @db[:notes].insert(id: Ids.call, sitting_id: sitting_id, person_id: person_id, at: at, words: words)
        end
      end

      def drop(sitting_id, person_id, id) = mine(sitting_id, person_id).where(id: id).delete

      private

      def mine(sitting_id, person_id) = @db[:notes].where(sitting_id: sitting_id, person_id: person_id)
    end
  end
end
