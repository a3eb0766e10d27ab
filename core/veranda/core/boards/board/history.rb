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
          @size = [done, undone].sum { |steps| steps.each_value.sum { |own| lengths(own) } }
        end

        def initialize_copy(_other)
          super
          @done, @undone = [@done, @undone].map { |steps| steps.transform_values(&:dup) }
        end

        # @return [Integer] operations that could be taken back or done again
        attr_reader :size

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
          gone = case entry.body[:way]
                 when 'undo' then turn(done, undone, inverse)
                 when 'redo' then turn(undone, done, inverse)
                 else
                   done << { seq: entry.seq, ops: inverse }
                   undone.slice!(0..)
                 end
          gone += [done.shift] if done.length > DEPTH
          # Kept as it goes: counting all would take longer than all else about a stroke.
          @size += inverse.length - lengths(gone)
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

        private

        # A step goes from one pile to the other, turned round.
        # @return [Array<Hash>] the step that went
        def turn(from, to, inverse)
          step = from.pop
          to << { seq: step&.fetch(:seq), ops: inverse }
          [step].compact
        end

        def lengths(steps) = steps.sum { |step| step[:ops].length }
      end
    end
  end
end
