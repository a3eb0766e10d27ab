# frozen_string_literal: true

require 'async/notification'

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

      READY = %i[open resuming].freeze
      LATE = %i[overflowed resuming].freeze
      private_constant :READY, :LATE

      # @return [Integer] bytes waiting
      attr_reader :size
      # @return [Integer] transient messages dropped so far
      attr_reader :dropped

      # @param on_overflow [Proc] called by the writer when the peer reads again after an overflow
      def initialize(&on_overflow)
        @on_overflow = on_overflow
        # Wakes the writer in the next turn of the reactor, when all entries of a batch are here.
        @ready = Async::Notification.new
        @state = :open
        @dropped = 0
        empty
      end

      # @param bytes [String]
      def push(bytes)
        return unless open?
        return overflow if @size + bytes.bytesize > LIMIT && @size.positive?

        add(bytes)
      end

      # @param bytes [String]
      def push_transient(bytes)
        return if @state == :closed
        return @dropped += 1 unless open? && @size <= TRANSIENT_LIMIT

        add(bytes)
      end

      # @return [Boolean] whether what waited was thrown away and the peer has yet to hear of it
      def overflowed? = LATE.include?(@state)

      # After this, messages count again: the peer is about to be told the state afresh.
      def resume
        @state = :open if overflowed?
      end

      # Writes whatever waits, all of it in one go, until the outbox is closed.
      # @param line [#write_bytes]
      def drain(line)
        until @state == :closed
          @ready.wait while @waiting.empty? && READY.include?(@state) && !@finishing
          break if @waiting.empty? && @finishing

          next begin_again if @state == :overflowed

          waiting = @waiting
          empty
          line.write_bytes(waiting.length == 1 ? waiting.first : waiting.join) unless waiting.empty?
        end
      end

      # What waits is the last that is written; {#drain} returns after it.
      def finish
        @finishing = true
        @ready.signal
      end

      # @return [Boolean]
      def finishing? = @finishing || false

      def close
        @state = :closed
        @ready.signal
      end

      private

      def open? = @state == :open

      def add(bytes)
        @waiting << bytes
        @size += bytes.bytesize
        @ready.signal if @waiting.length == 1
      end

      def overflow
        empty
        @state = :overflowed
        @ready.signal
      end

      # The line is free again, so the peer can take in how things stand now.
      def begin_again
        @state = :resuming
        @on_overflow.call
      end

      def empty
        @waiting = []
        @size = 0
      end
    end
  end
end
