# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # What each person can undo and redo on one board, worked out from the stream alone,
      # so it is the same after a reconnection or on another server.
      #
      # A step is `{ seq:, ops: }`: the entry it would take back and the inverse operations.
      class History
        # Older steps are let go; the marks themselves are not.
        DEPTH = 100

        # @param done [Hash{String => Array<Hash>}] by person id
        # @param undone [Hash{String => Array<Hash>}]
        def initialize(done = {}, undone = {})
          @done = done
          @undone = undone
        end

        # @param person [String]
        # @return [Hash, nil] the latest step that the person could take back
        def last_done(person) = @done[person]&.last

        # @return [Hash, nil] the latest step that the person took back
        def last_undone(person) = @undone[person]&.last

        # Notes what an entry did.
        # @param entry [Streams::Entry] its `way` tells an undo or redo from a new edit
        # @param inverse [Array<Hash>]
        def note(entry, inverse)
          done = (@done[entry.actor] ||= [])
          undone = (@undone[entry.actor] ||= [])
          case entry.body[:way]
          when 'undo' then undone << { seq: done.pop&.fetch(:seq), ops: inverse }
          when 'redo' then done << { seq: undone.pop&.fetch(:seq), ops: inverse }
          else
            done << { seq: entry.seq, ops: inverse }
            undone.clear
          end
          done.shift if done.length > DEPTH
        end

        # @return [Array<Hash>] `{ person:, done:, undone: }` with the number of steps
        def counts
          @done.map { |person, steps| { person: person, done: steps.length, undone: @undone[person].length } }
        end

        # @return [Array<Hash>]
        def to_h
          @done.map { |person, steps| { person: person, done: steps, undone: @undone[person] } }
        end

        # @param rows [Array<Hash>] as written by {#to_h}
        def self.from(rows)
          new(rows.to_h { |row| [row[:person], row[:done]] }, rows.to_h { |row| [row[:person], row[:undone]] })
        end
      end
    end
  end
end
