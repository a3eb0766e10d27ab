# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Puts packets of sound or picture where they belong in time. Each says by its own clock (the timestamp of RFC 3550, 5.1) when it was
      # made; that clock stands still while a browser sends nothing or is short of breath, and all that follows would come too early. When
      # a packet arrived is known too, but trembles. So the clock of the sender is kept to for as long as the two agree.
      #
      #   Retiming.new(48_000).call([0, 20, 3_040], [0, 960, 1_920]) #=> [0, 960, 145_920]
      class Retiming
        # ms by which the two may differ before the sender's is set right: less is trembling, and cannot be heard or seen.
        SLACK = 80
        # Packets that are looked at for the one that was held up least.
        AHEAD = 8
        # ms of sound in a packet: what is set back comes no closer together than that.
        CLOSEST = 20
        WRAP = 1 << 32

        # @param rate [Integer] ticks of the sender's clock in a second
        def initialize(rate)
          @per_ms = rate / 1000.0
        end

        # @param arrivals [Array<Integer>] ms, of packets in the order in which they were sent
        # @param stamps [Array<Integer>] their timestamps
        # @return [Array<Integer>] other timestamps, from 0 on, never less than the one before
        def call(arrivals, stamps)
          media = unwrapped(stamps).map { |ticks| ticks / @per_ms }
          late = arrivals.zip(media).map { |arrival, made| arrival - arrivals.first - made }
          placed(media, late).map { |ms| (ms * @per_ms).round }
        end

        private

        # @return [Array<Numeric>] ms
        def placed(media, late)
          offset = 0
          before = at = 0
          media.each_with_index.map do |made, i|
            next at if i.zero? || made == before

            due = late[i, AHEAD].min
            offset = due if (due - offset).abs > SLACK
            at = [made + offset, at + (made - before).clamp(0, CLOSEST)].max
            before = made
            at
          end
        end

        # @return [Array<Integer>] ticks since the first, where the counter begins again from 0
        def unwrapped(stamps)
          now = 0
          before = stamps.first
          stamps.map do |stamp|
            step = (stamp - before) % WRAP
            before = stamp
            now += step > WRAP / 2 ? step - WRAP : step
          end
        end
      end
    end
  end
end
