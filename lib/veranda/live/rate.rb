# frozen_string_literal: true

module Veranda
  module Live
    # A bucket of tokens: so many per second in the long run, with bursts up to its depth.
    class Rate
      # @param per_second [Numeric]
      # @param burst [Integer]
      # @param clock [#call] seconds, monotonic
      def initialize(per_second, burst:, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @per_second = per_second
        @burst = burst
        @clock = clock
        @tokens = burst.to_f
        @at = clock.call
      end

      # @return [Boolean] whether one more is fine
      def take
        now = @clock.call
        @tokens = [@tokens + (now - @at) * @per_second, @burst].min
        @at = now
        return false if @tokens < 1

        @tokens -= 1
        true
      end
    end
  end
end
