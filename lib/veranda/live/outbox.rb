# frozen_string_literal: true

require 'async/condition'

module Veranda
  module Live
    # What waits to be written to one peer. Bounded: when a peer reads too slowly, what waits is
    # thrown away and the peer is told the state afresh once it has caught up, so it can
    # neither fill our memory nor hold up anyone else.
    #
    #   outbox.push(bytes)            # must arrive
    #   outbox.push_transient(bytes)  # worth nothing a second later; dropped first
    #   outbox.drain(line)            # the writer fiber; returns when closed
    class Outbox
      # Bytes that may wait before a peer counts as too slow.
      LIMIT = 1 << 20
      # Bytes that may wait before transient messages are dropped.
      TRANSIENT_LIMIT = 1 << 16

      # @return [Integer] bytes waiting
      attr_reader :size
      # @return [Integer] transient messages dropped so far
      attr_reader :dropped

      # @param on_overflow [Proc] called by the writer when the peer reads again after an overflow
      def initialize(&on_overflow)
        @on_overflow = on_overflow
        @ready = Async::Condition.new
        @closed = false
        @dropped = 0
        empty
      end

      # @param bytes [String]
      def push(bytes)
        return if @closed || @overflowed

        overflow if @size + bytes.bytesize > LIMIT && @size.positive?
        add(bytes)
      end

      # @param bytes [String]
      def push_transient(bytes)
        return if @closed
        return @dropped += 1 if @overflowed || @size > TRANSIENT_LIMIT

        add(bytes)
      end

      # @return [Boolean] whether what waited was thrown away
      def overflowed? = @overflowed

      # After this, messages count again: the peer is about to be told the state afresh.
      def resume = @overflowed = false

      # Writes whatever waits, all of it in one go, until the outbox is closed.
      # @param line [#write_bytes]
      def drain(line)
        until @closed
          @ready.wait while @waiting.empty? && !@closed && !@overflowed
          waiting = @waiting
          late = @overflowed
          empty(overflowed: late)
          line.write_bytes(waiting.length == 1 ? waiting.first : waiting.join)
          @on_overflow.call if late && @overflowed && !@closed
        end
      end

      def close
        @closed = true
        @ready.signal
      end

      private

      def add(bytes)
        return if @overflowed

        @waiting << bytes
        @size += bytes.bytesize
        @ready.signal if @waiting.length == 1
      end

      def overflow
        empty(overflowed: true)
        @ready.signal
      end

      def empty(overflowed: false)
        @waiting = []
        @size = 0
        @overflowed = overflowed
      end
    end
  end
end
