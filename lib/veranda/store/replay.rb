# frozen_string_literal: true

module Veranda
  module Store
    # Plays a recording back from the log: the state at any moment, and what follows. Going to a moment and playing up to it
    # show the same.
    #
    # A moment is the class, its main room (or a breakout room) with what was written there, its polls, and the board on show; each costs
    # one snapshot and the entries after it. Other boards are asked for when they come on show.
    class Replay
      # @param log [Log]
      # @param sitting_id [String]
      # @param recording [Core::Recordings::Recording]
      # @param room [Hash, nil] `{ id:, boards: }` of the breakout room that is watched instead of the main room
      def initialize(log, sitting_id, recording, room: nil)
        @log = log
        @recording = recording
        names = Core::Streams::StreamName
        @sitting = names.sitting(sitting_id)
        place = room ? room[:id] : Core::Sittings::Places::MAIN
        @place = names.place(sitting_id, place)
        @exchange = names.exchange(sitting_id, place)
        @streams = room ? [@sitting, @place, @exchange, *room[:boards].map { |board| names.board(board[:id]) }] : recording.streams
        @polls = log.parts_of('poll', sitting_id).select { |name| [nil, place].include?(log.state(name).first.place) }
        @questions = names.questions(sitting_id)
        @streams = @streams | @polls | [@questions]
      end

      # @param t [Integer] ms into the recording
      # @return [Hash] `{ t:, wall:, streams: { name => view } }`; `wall` is the time of day in ms
      def at(t)
        wall = @recording.clock.wall(t)
        states = [@sitting, @place, @exchange, @questions, *@polls].to_h { |name| [name, @log.state_at(name, wall)] }
        board = on_show(states[@place])
        states[board] = @log.state_at(board, wall) if board
        views = states.transform_values(&:view)
        views[@sitting] = views[@sitting].merge(seats: views[@sitting][:seats].select { |seat| people.include?(seat[:id]) })
        views[@exchange] = { **views[@exchange], posts: @recording.posts(states[@exchange].posts.values, deleted: deleted) }
        { t: t, wall: wall, streams: views }
      end

      # @param from [Integer] ms into the recording
      # @param to [Integer]
      # @return [Array<Hash>] entries after `from`, up to `to`, each with its time `t`. What happened while nothing was recorded
      #   comes at the moment when the recording goes on, except for what was said then.
      def between(from, to)
        clock = @recording.clock
        entries = @log.between(@streams, clock.wall(from) + 1, clock.wall(to))
        entries.filter_map { |entry| @recording.place(entry, deleted: deleted, people: people) }
      end

      # @return [Set<String>] ids of everyone who was there while it was recorded
      def people = @people ||= @recording.people(@log.entries(@sitting))

      private

      # @return [String, nil] stream of the board on show, if it may be shown in a recording
      def on_show(place)
        board = place.shown && Core::Streams::StreamName.board(place.shown[:board])
        board if @streams.include?(board)
      end

      # A post that was deleted, even after the recording, is not shown at any moment of it.
      def deleted = @deleted ||= @log.bodies(@exchange, 'deleted').to_set { |body| body[:id] }
    end
  end
end
