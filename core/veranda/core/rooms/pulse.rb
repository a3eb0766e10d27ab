# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # How each room comes along, judged against the others: a room is *still* when nothing was drawn, written or said in it for {STILL},
      # while the others do something in half that time or less, by their median.
      module Pulse
        # ms
        STILL = 120_000
        # Lately, and the parts of it that are told one by one, in ms.
        LATELY = 480_000
        PART = 60_000

        module_function

        # @param rooms [Array<Hash>] `{ id:, opened_at:, at: [ms] }`, `at` when something was done in it
        # @param now [Integer] ms since the epoch
        # @return [Array<Hash>] `{ room:, last:, quiet:, still:, parts: }`, `quiet` ms since something was done or it opened, `parts` how
        #   much
        #   was done in each minute lately, oldest first
        def of(rooms, now)
          quiet = rooms.to_h { |room| [room[:id], now - [room[:at].max || 0, room[:opened_at]].max] }
          rooms.map do |room|
            { room: room[:id], last: room[:at].max, quiet: quiet[room[:id]], still: still?(room[:id], quiet), parts: parts(room[:at], now) }
          end
        end

        def still?(room, quiet)
          others = quiet.except(room).values
          quiet[room] >= STILL && others.any? && median(others) <= quiet[room] / 2
        end
        private_class_method :still?

        def median(values)
          sorted = values.sort
          (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2.0
        end
        private_class_method :median

        def parts(moments, now)
          counts = Array.new(LATELY / PART, 0)
          moments.each do |at|
            age = (now - at) / PART
            counts[-1 - age] += 1 if age.between?(0, counts.length - 1)
          end
          counts
        end
        private_class_method :parts
      end
    end
  end
end
