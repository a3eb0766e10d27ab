# frozen_string_literal: true

module Veranda
  module Live
    # People who come to a class. A few come in at once; when a crowd comes, they come in together every quarter of a second: what each
    # of them is told of all the others is then made and written once for many.
    class Arrivals
      # Who comes in at once: people in a second in the long run, and burst.
      AT_ONCE = { per_second: 2, burst: 12 }.freeze
      # s between two companies.
      PAUSE = 0.25
      # People in one company: others have their turn between.
      MOST = 50

      # @param gathering [Gathering]
      def initialize(gathering)
        @gathering = gathering
        @rate = Rate.new(AT_ONCE[:per_second], burst: AT_ONCE[:burst])
        @waiting = []
        @under_way = false
      end

      # @param peer [Peer]
      # @param seen [Hash{String => Integer}] see {Gathering#welcome}
      def add(peer, seen)
        return @gathering.take_turn(peer, seen) if @waiting.empty? && @rate.take

        @waiting << [peer, seen]
        return if @under_way

        @under_way = true
        @gathering.hub.background { gather }
      end

      private

      def gather
        until @waiting.empty?
          sleep PAUSE
          @waiting.shift(MOST).each { |peer, seen| @gathering.take_turn(peer, seen) }
        end
      ensure
        @under_way = false
      end
    end
  end
end
