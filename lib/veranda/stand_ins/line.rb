# frozen_string_literal: true

module Veranda
  module StandIns
    # The connection of a stand-in to the hub of its own process: what {Live::WebSocketLine} is
    # to a browser. Stand-ins go through the same contracts, rules and rates as anyone.
    class Line
      def initialize
        @to_hub = Async::Queue.new
      end

      # Says something to the hub.
      # @param facts [Hash]
      def say(**facts) = @to_hub.enqueue(JSON.generate(facts))

      # The hub hears what was said.
      # @return [String, nil]
      def hear = @to_hub.dequeue

      # Stand-ins act by their own script and need not read what the hub tells them; that the
      # bytes are taken at once keeps the outbox empty.
      def write_bytes(_bytes) = nil

      def hang_up = @to_hub.enqueue(nil)
    end
  end
end
