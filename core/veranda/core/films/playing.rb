# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # Plays a recording for whoever draws it: what is told of it is taken in as its time comes, as a player does
      # (`web/src/screens/player/Recorder.ts`), and it is known when the picture changes next.
      #
      #   playing = Playing.new(sitting: '7', told: told, clock: clock)
      #   playing.advance(1_000)
      #   playing.front             #=> a board's page, or what a poll came to
      #   playing.following         #=> 1_240
      #   playing.moving            #=> 1_120
      #
      # All times are ms into the recording but for `wall`, the time of day.
      class Playing
        # Between two pictures of a stroke that grows.
        GROWTH = 120
        # For how long somebody is seen to point before and after each place that is known.
        POINTED = 120
        # A path tells where the pointer was during the second before, and is shown a second late.
        LATE = 1_000
        # Paths that are kept.
        TRAILS = 30
        # Streams that are seen in a film; what is written is not.
        SEEN = %i[place board poll].freeze

        # A page of a board at a moment. `moving` are marks that look different by themselves, by id, each as it looks now: strokes that are
        # being drawn, timers that run.
        Page = Struct.new(:board, :page, :state, :moving)

        # @return [Integer]
        attr_reader :time

        # @param sitting [String] id of the class
        # @param told [Array<Hash>] the whole state at its beginning, then entries and seams in order, see {Store::Replay#all}
        # @param clock [Recordings::Clock]
        def initialize(sitting:, told:, clock:)
          @sitting = sitting
          @told = told
          @clock = clock
          @next = 0
          @time = 0
          @trails = []
          @states = {}
          @versions = Hash.new(0)
          advance(0)
        end

        # @return [Integer] the time of day, ms since the epoch
        def wall = @clock.wall(@time)

        # Takes in all that happened up to a moment.
        # @param time [Integer]
        def advance(time)
          @time = time
          while (one = @told[@next]) && one[:t] <= time
            take(one)
            @next += 1
          end
        end

        # @return [Sittings::Place]
        def place = @states[Streams::StreamName.place(@sitting, Sittings::Places::MAIN)]

        # @return [Polls::Poll, nil] what of it is shown to all; the one that was opened last
        def poll
          shown = @states.select { |name, state| Streams::StreamName.kind(name) == :poll && state.begun? && state.shown }
          shown.each_value.max_by { |state| state.rounds.last&.fetch(:opened_at) || 0 }
        end

        # @return [Page, nil] the page on show
        def page
          shown = place&.shown or return
          state = @states[Streams::StreamName.board(shown[:board])] or return
          now = wall
          moving = state.marks.each_value.select { |mark| mark[:page] == shown[:page] && moves?(mark, now) }
          Page.new(shown[:board], shown[:page], state, moving.to_h { |mark| [mark[:id], look(mark, now)] })
        end

        # @return [Integer] goes up with every change of a board
        def version(board) = @versions[Streams::StreamName.board(board)]

        # @return [Hash, nil] `{ x:, y:, by: }`, where somebody points on the page on show
        def pointer
          shown, now = place&.shown, wall
          trails(shown).reverse_each do |trail|
            trail[:places].each { |at, x, y| return { x: x, y: y, by: trail[:by] } if (at - now).abs < POINTED }
          end
          nil
        end

        # @return [Integer, nil] when something happens next, nil when nothing follows
        def following = @told[@next]&.fetch(:t)

        # @return [Integer, nil] when what is already under way looks different next: a stroke that grows, and whoever points
        def moving = [growth, pointing].compact.min

        private

        def moves?(mark, now) = grows?(mark, now) || runs?(mark)
        def grows?(mark, now) = mark[:took].to_i.positive? && now >= mark[:at] && now < mark[:at] + mark[:took]
        def runs?(mark) = mark[:prop] == 'timer' && !mark.dig(:shows, :ends_at).nil?

        def look(mark, now)
          return { **mark, shows: { left: [mark[:shows][:ends_at] - now, 0].max } } if runs?(mark)

          # As `web/src/board/geometry/paths.ts` has it.
          count = [1, (mark[:points].length / 2 * (now - mark[:at]).fdiv(mark[:took])).ceil].max
          { **mark, points: mark[:points].first(2 * count), press: mark[:press]&.first(count) }
        end

        def take(one)
          return stand(one) if one[:kind] == 'seam'

          name = one[:stream]
          note_pointer(one) if one[:kind] == 'pointed'
          state = @states[name] or return
          state.apply(Streams::Entry.new(stream: name, seq: one[:seq], at: one[:at], actor: one[:by], kind: one[:kind], body: one[:body]))
          @versions[name] += 1
        end

        # All is as it is told, whatever was before.
        def stand(one)
          @trails = []
          seen = one[:streams].transform_keys(&:to_s).select { |name,| SEEN.include?(Streams::StreamName.kind(name)) }
          @states = seen.to_h { |name, view| [name, Streams::Fold.seen(name, view)] }
          @states.each_key { |name| @versions[name] += 1 }
        end

        def note_pointer(one)
          at = one[:at] + LATE
          places = one[:body][:path].each_slice(3).map { |ago, x, y| [at - ago, x, y] }
          trail = { board: Streams::StreamName.id(one[:stream]), page: one[:body][:page], by: one[:by], places: places }
          @trails = [*@trails, trail].last(TRAILS)
        end

        def trails(shown) = shown ? @trails.select { |trail| trail[:board] == shown[:board] && trail[:page] == shown[:page] } : []

        def growth
          now = wall
          times = page&.moving.to_h.each_value.map do |mark|
            mark[:prop] ? second(mark[:shows][:left]) : [@time + GROWTH, @time + mark[:at] + mark[:took] - now].min
          end
          times.compact.min
        end

        # When a timer says another second.
        def second(left) = left.positive? ? @time + ((left - 1) % 1_000) + 1 : nil

        def pointing
          now = wall
          edges = trails(place&.shown).flat_map { |trail| trail[:places].flat_map { |at,| [at - POINTED + 1, at + POINTED] } }
          edges.select { |edge| edge > now }.min&.then { |edge| @time + edge - now }
        end
      end
    end
  end
end
