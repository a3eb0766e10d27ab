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
      MOST = 25

      # @param hub [Hub]
      # @yieldparam arrival [Array] what {#add} was given
      def initialize(hub, &come_in)
        @hub = hub
        @come_in = come_in
        @rate = Rate.new(AT_ONCE[:per_second], burst: AT_ONCE[:burst])
        @waiting = []
        @under_way = false
      end

      def add(*arrival)
        return @come_in.call(*arrival) if @waiting.empty? && @rate.take

        @waiting << arrival
        return if @under_way

        @under_way = true
        @hub.background { gather }
      end

      private

      def gather
        until @waiting.empty?
          sleep PAUSE
          @waiting.shift(MOST).each { |arrival| @come_in.call(*arrival) }
        end
      ensure
        @under_way = false
      end
    end
  end
end
