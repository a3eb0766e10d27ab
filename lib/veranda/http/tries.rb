# frozen_string_literal: true

module Veranda
  module Http
    # Counts how often a secret is tried: by one person or from one address strictly, by all together less so. The first tries of each do
    # not depend on what others do: else strangers who guess would keep out whoever knows it. For one process.
    class Tries
      # Of those that were tried longest ago nothing is known any more.
      MOST = 10_000
      # Tries of each that no others stand in the way of.
      OWN = 2

      Known = Struct.new(:rate, :tries)
      private_constant :Known

      # @param from_one [Array(Float, Integer)] tries in a second in the long run, and at once
      # @param from_all [Array(Float, Integer)]
      # @param clock [#call] seconds, monotonic
      def initialize(from_one:, from_all:, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @from_one = from_one
        @from_all = from_all
        @clock = clock
        @known = Core::Recent.new(MOST)
      end

      # @param secret [String] which one is tried
      # @param who [String] a person, or an address where nobody is known
      # @return [Boolean] whether it may be tried once more; that counts
      def take?(secret, who)
        own = known([secret, Address.network(who)], *@from_one)
        return false unless own.rate.take

        (own.tries += 1) <= OWN || known([secret], *@from_all).rate.take
      end

      private

      def known(key, per_second, burst)
        @known.fetch(key) { Known.new(Live::Rate.new(per_second, burst: burst, clock: @clock), 0) }
      end
    end
  end
end
