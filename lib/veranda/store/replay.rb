# frozen_string_literal: true

module Veranda
  module Store
    # Plays a recording back from the log: the state at any moment, and what follows. Going to a moment and playing up to it
    # show the same. What may be shown of it says {Core::Recordings::Shown}.
    #
    # A moment is the class, its main room (or a breakout room) with what was written there, its polls, and the board on show; each costs
    # one snapshot and the entries after it. Other boards are asked for when they come on show.
    class Replay
      # Seams that are told at once: each is a moment.
      MOST_SEAMS = 120

      # @return [Core::Recordings::Recording]
      attr_reader :recording

      # @param log [Log]
      # @param sitting_id [String]
      # @param recording [Core::Recordings::Recording]
      # @param cast [#call] everybody who can be named, see {Casting}
      # @param room [Hash, nil] `{ id:, boards: }` of the breakout room that is watched instead of the main room
      def initialize(log, sitting_id, recording, cast: -> { [] }, room: nil)
        @log = log
        @recording = recording
        @cast = cast
        names = Core::Streams::StreamName
        @sitting = names.sitting(sitting_id)
        place = room ? room[:id] : Core::Sittings::Places::MAIN
        @place = names.place(sitting_id, place)
        @exchange = names.exchange(sitting_id, place)
        @streams = room ? [@sitting, @place, @exchange, *room[:boards].map { |board| names.board(board[:id]) }] : recording.streams
        @polls = log.parts_of('poll', sitting_id).select do |name|
          [nil, place].include?(log.state(name).first.place) && recording.poll?(log.entries(name))
        end
        @questions = names.questions(sitting_id)
        @streams = @streams | @polls | [@questions]
      end

      # @param t [Integer] ms into the recording
      # @param board [String, nil] id of one that is looked at besides what was on show
      # @return [Hash] `{ t:, wall:, streams: { name => view } }`; `wall` is the time of day in ms
      def at(t, board: nil) = moment(t, clock.wall(t), besides: boards.select { |name| Core::Streams::StreamName.id(name) == board })

      # @param from [Integer] ms into the recording
      # @param to [Integer]
      # @param seams [Boolean] whether they are told
      # @return [Array<Hash>] entries after `from`, up to `to`, each with its time `t`. Where the recording goes on after something was
      #   left out there is a seam, `{ kind: 'seam' }` with all that {#at} has: of what happened meanwhile only what it came to is told.
      def between(from, to, seams: true)
        entered = clock.wall(from)
        stretches = within(entered, clock.wall(to))
        (seams ? stretches.first(MOST_SEAMS) : stretches).flat_map do |start, stop|
          seam = start == entered || !seams ? [] : [{ kind: 'seam', **moment(clock.time(start), start) }]
          seam + told(start, stop)
        end
      end

      # All of it from its beginning, with every board from there on.
      # @return [Array<Hash>] the state where it begins, then entries; a seam wherever something was left out
      def all
        clock.stretches.flat_map do |start, stop|
          [{ kind: 'seam', **moment(clock.time(start), start, boards: boards) }, *told(start, stop)]
        end
      end

      # @return [Array<String>] streams of boards that were on show, written on or seen beneath what a poll came to, in what may be
      #   watched; of others nothing is told, not that they are there either
      def boards
        @boards ||= @streams.select { |name| Core::Streams::StreamName.kind(name) == :board }.then do |all|
          all & (@log.moved(all, clock.stretches) | on_show_meanwhile | asked_about_meanwhile)
        end
      end

      # @return [Hash] what it came to in the end, see {#at}, with every board
      def last = moment(clock.length, clock.stretches.last.last, boards: boards)

      # @return [Set<String>] ids of everyone who was there while it was recorded, and was not left out
      def people = @people ||= @recording.people(@log.entries(@sitting)) - @recording.edits.left_out

      # @return [Core::Recordings::Captioned]
      def captioned
        live = @log.of_kind(@place, Core::Recordings::Shown::CAPTION)
        Core::Recordings::Captioned.new(@recording, shown, live)
      end

      # @return [Core::Recordings::Shown]
      def shown
        @shown ||= Core::Recordings::Shown.new(
          @recording, cast: Core::Recordings::Cast.new(@recording.edits.people? ? @cast.call : [], @recording.edits), people: people,
                      posts: @log.state(@exchange).first.posts, questions: @log.state(@questions).first.all
        )
      end

      private

      def clock = @recording.clock

      def moment(t, wall, boards: nil, besides: [])
        # Where the recording ends in a cut, what happened in its first millisecond is cut as well.
        last = clock.cut?(wall) ? wall - 1 : wall
        states = [@sitting, @place, @exchange, @questions, *@polls].to_h { |name| [name, @log.state_at(name, last)] }
        seen = boards || [*besides, *on_show(states[@place]), *asked_about(states.values_at(*@polls))]
        seen.uniq.each { |board| states[board] = @log.state_at(board, last) }
        { t: t, wall: wall, streams: states.to_h { |name, state| [name, shown.view(name, state)] } }
      end

      # What of the recorded stretches lies between two times of day; each begins after its beginning.
      def within(from, to)
        clock.stretches.filter_map do |start, stop|
          [[start, from].max, [stop, to].min] if start <= to && stop > from
        end
      end

      def told(start, stop)
        entries = @log.between(@streams, start + 1, stop).reject { |entry| clock.cut?(entry.at) }
        marks = shown.folds? ? followed(entries, start) : {}
        entries.filter_map { |entry| shown.entry(entry, marks: marks[entry.stream]) }
      end

      def followed(entries, from)
        boards = entries.map(&:stream).uniq.select { |name| Core::Streams::StreamName.kind(name) == :board }
        left_out = @recording.edits.left_out.to_set
        boards.to_h { |name| [name, Core::Recordings::MarksOfOthers.new(@log.state_at(name, from), left_out)] }
      end

      def on_show_meanwhile
        shown = @log.of_kind(@place, 'shown')
        clock.stretches.flat_map do |start, stop|
          within = shown.select { |entry| entry.at.between?(start, stop) }.filter_map { |entry| entry.body[:board] }
          [*on_show(@log.state_at(@place, start)), *within.map { |board| Core::Streams::StreamName.board(board) }]
        end
      end

      # Boards beneath what polls came to, where that was shown at the beginning of a stretch or in it.
      def asked_about_meanwhile
        @polls.flat_map do |name|
          shown = clock.stretches.any? { |start, _| @log.state_at(name, start).shown } ||
                  @log.of_kind(name, 'poll_shown').any? { |entry| clock.covers?(entry.at) }
          shown ? grounds([@log.state(name).first]) : []
        end
      end

      def asked_about(polls) = grounds(polls.select(&:shown))

      # @return [Array<String>] streams of boards that polls are about, as far as they may be shown in a recording
      def grounds(polls)
        polls.filter_map { |poll| poll.question&.dig(:board) }.map { |board| Core::Streams::StreamName.board(board) } & @streams
      end

      # @return [String, nil] stream of the board on show, if it may be shown in a recording
      def on_show(place)
        board = place.shown && Core::Streams::StreamName.board(place.shown[:board])
        board if @streams.include?(board)
      end
    end
  end
end
