# frozen_string_literal: true

module Veranda
  module Http
    # Counts how often a secret is tried: from one address strictly, from all together less so. For one process.
    class Tries
      # Of those that were tried longest ago nothing is known any more.
      FORGET_OVER = 10_000

      # @param from_one [Array(Float, Integer)] tries in a second in the long run, and at once
      # @param from_all [Array(Float, Integer)]
      # @param clock [#call] seconds, monotonic
      def initialize(from_one:, from_all:, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @from_one = from_one
        @from_all = from_all
        @clock = clock
        @rates = {}
      end

      # @param secret [String] which one is tried
      # @param address [String]
      # @return [Boolean] whether it may be tried once more; that counts
      def take?(secret, address) = rate([secret, address], *@from_one).take && rate([secret], *@from_all).take

      private

      def rate(key, per_second, burst)
        known = @rates.delete(key) || Live::Rate.new(per_second, burst: burst, clock: @clock)
        @rates.shift if @rates.length > FORGET_OVER
        @rates[key] = known
      end
    end
  end
end
