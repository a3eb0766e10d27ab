# frozen_string_literal: true

module Veranda
  module Store
    # Plays a recording back from the log: the state at any moment, and what follows.
    # A moment costs one snapshot and at most {Performer::SNAPSHOT_EVERY} entries per stream.
    class Replay
      # @param log [Log]
      # @param sitting_id [String]
      # @param recording [Core::Recordings::Recording]
      def initialize(log, sitting_id, recording)
        @log = log
        @recording = recording
        @exchange = Core::Streams::StreamName.exchange(sitting_id)
      end

      # @param t [Integer] ms into the recording
      # @return [Hash] `{ t:, wall:, streams: { name => view } }`; `wall` is the time of day in ms
      def at(t)
        wall = @recording.clock.wall(t)
        views = @recording.streams.to_h { |name| [name, @log.state(name, upto: wall).first.view] }
        taken_back = deleted
        views[@exchange][:posts].reject! { |post| taken_back.include?(post[:id]) } if views[@exchange]
        { t: t, wall: wall, streams: views }
      end

      # @param from [Integer] ms into the recording
      # @param to [Integer]
      # @return [Array<Hash>] entries after `from`, up to `to`, each with its time `t`
      def between(from, to)
        clock = @recording.clock
        taken_back = deleted
        entries = @log.between(@recording.streams, clock.wall(from) + 1, clock.wall(to))
        entries.filter_map { |entry| @recording.place(entry, deleted: taken_back) }
      end

      private

      # A post that was deleted, even after the recording, is not shown at any moment of it.
      def deleted = @log.bodies(@exchange, 'deleted').to_set { |body| body[:id] }
    end
  end
end
