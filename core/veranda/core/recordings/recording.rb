# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What of a class was recorded: which stretch of which streams, and its chapters.
      class Recording
        # @param sitting [Sittings::Sitting] an ended class
        # @param cuts [Array<Array(Integer, Integer)>] ms since the epoch
        def initialize(sitting, cuts: [])
          @sitting = sitting
          @cuts = cuts
        end

        # @return [Boolean] false when nobody ever switched the recording on
        def any? = @sitting.stretches.any?

        # @return [Clock]
        def clock
          @clock ||= Clock.new(@sitting.stretches.map { |stretch| stretch.values_at(:from, :to) }, cuts: @cuts)
        end

        # What a student of the class could read. Staff boards are never part of it.
        # @return [Array<String>] names of streams
        def streams
          watcher = Person.new(id: 'watcher', name: 'Watcher', role: 'student')
          Streams::Audience.readable(watcher, @sitting)
        end

        # Chapters begin where the class moved to another step. Those that were cut out
        # whole are left out.
        # @return [Array<Hash>] `{ title:, from:, to: }` in ms of the recording
        def chapters
          starts = @sitting.moves.map { |move| [clock.time(move[:at]), @sitting.step_by_id(move[:step])[:title]] }
          return [] if starts.empty?

          starts[0] = [0, starts[0][1]]
          ends = starts.drop(1).map(&:first) << clock.length
          starts.zip(ends).filter_map { |(from, title), to| { title: title, from: from, to: to } if to > from }
        end

        # What may be shown of an entry, placed in recording time.
        # @param entry [Streams::Entry]
        # @param deleted [Set<String>] ids of posts that were deleted later on
        # @return [Hash, nil] nil when it falls outside, or was a post taken back
        def place(entry, deleted:)
          return unless clock.covers?(entry.at)
          return if entry.kind == 'posted' && deleted.include?(entry.body[:id])

          { stream: entry.stream, seq: entry.seq, t: clock.time(entry.at), at: entry.at, by: entry.actor,
            kind: entry.kind, body: entry.body }
        end
      end
    end
  end
end
