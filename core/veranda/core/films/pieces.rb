# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # Which pieces of recorded and played files are in a film, and when. A piece is
      # `{ from:, to:, at:, speed: }`: from and to in ms of the film, `at` in ms of the file, `speed` of its own time, 0 where it stands
      # still.
      module Pieces
        # Of a loop that is played again and again, in one stretch.
        MOST = 2_000

        module_function

        # @param clock [Recordings::Clock]
        # @param began_at [Integer] ms since the epoch
        # @param length [Integer] ms
        # @return [Array<Hash>] one for each stretch of the recording that it goes through
        def of_track(clock, began_at:, length:)
          clock.stretches.filter_map do |start, stop|
            from, to = [start, began_at].max, [stop, began_at + length].min
            { from: clock.time(from), to: clock.time(from) + to - from, at: from - began_at, speed: 1 } if to > from
          end
        end

        # @param pieces [Array<Hash>]
        # @param from [Integer] ms of the film
        # @param to [Integer]
        # @return [Array<Hash>] what of them lies between
        def within(pieces, from, to)
          pieces.filter_map do |piece|
            start, stop = [piece[:from], from].max, [piece[:to], to].min
            { **piece, from: start, to: stop, at: piece[:at] + ((start - piece[:from]) * piece[:speed]).round } if stop > start
          end
        end

        # @param clip [Hash] see {Sittings::Clip}, unchanged for all of the time
        # @param wall [Integer] the time of day at its beginning
        # @param from [Integer] ms of the film
        # @param to [Integer]
        # @return [Array<Hash>]
        def of_clip(clip, wall:, from:, to:)
          pieces = []
          while from < to && pieces.length < MOST
            at = Sittings::Clip.position(clip, wall)
            moves = clip[:playing] && at < clip[:length]
            lasts = moves ? [((turns_at(clip, at) - at) / clip[:speed].to_f).ceil, 1].max : to - from
            stop = [from + lasts, to].min
            pieces << { from: from, to: stop, at: at, speed: moves ? clip[:speed] : 0 }
            wall += stop - from
            from = stop
          end
          pieces
        end

        # Where it stops or goes back, in ms of it.
        def turns_at(clip, at)
          _, loop_end = clip[:loop]
          loop_end && clip[:at] < loop_end && at < loop_end ? loop_end : clip[:length]
        end
        private_class_method :turns_at
      end
    end
  end
end
