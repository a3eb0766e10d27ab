# frozen_string_literal: true

module Veranda
  module Store
    # Plays a recording back from the log: the state at any moment, and what follows.
    # A moment is the class, its exchange and the board on show; each costs one snapshot and at
    # most {Performer::SNAPSHOT_EVERY} entries. Other boards are asked for when they come on show.
    class Replay
      # @param log [Log]
      # @param sitting_id [String]
      # @param recording [Core::Recordings::Recording]
      def initialize(log, sitting_id, recording)
        @log = log
        @recording = recording
        @sitting = Core::Streams::StreamName.sitting(sitting_id)
        @exchange = Core::Streams::StreamName.exchange(sitting_id)
      end

      # @param t [Integer] ms into the recording
      # @return [Hash] `{ t:, wall:, streams: { name => view } }`; `wall` is the time of day in ms
      def at(t)
        wall = @recording.clock.wall(t)
        states = [@sitting, @exchange].to_h { |name| [name, @log.state_at(name, wall)] }
        board = on_show(states[@sitting])
        states[board] = @log.state_at(board, wall) if board
        views = states.transform_values(&:view)
        taken_back = deleted
        views[@exchange][:posts].reject! { |post| taken_back.include?(post[:id]) }
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

      # @return [String, nil] stream of the board on show, if it may be shown in a recording
      def on_show(sitting)
        board = sitting.shown && Core::Streams::StreamName.board(sitting.shown[:board])
        board if @recording.streams.include?(board)
      end

      # A post that was deleted, even after the recording, is not shown at any moment of it.
      def deleted = @log.bodies(@exchange, 'deleted').to_set { |body| body[:id] }
    end
  end
end
