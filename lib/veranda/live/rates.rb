# frozen_string_literal: true

module Veranda
  module Live
    # How much each person may send, over all their connections to this process.
    class Rates
      COMMANDS = { per_second: 40, burst: 120 }.freeze
      GLIMPSES = { per_second: 60, burst: 120 }.freeze
      # People whose rates are kept; those who were quiet longest are forgotten first.
      MOST = 5_000

      Of = Struct.new(:commands, :glimpses)

      def initialize
        @of = Core::Recent.new(MOST)
      end

      # @param person_id [String]
      # @return [Of]
      def of(person_id) = @of.fetch(person_id) { fresh }

      private

      def fresh = Of.new(*[COMMANDS, GLIMPSES].map { |limit| Rate.new(limit[:per_second], burst: limit[:burst]) })
    end
  end
end
