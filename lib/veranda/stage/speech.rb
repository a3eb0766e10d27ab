# frozen_string_literal: true

module Veranda
  module Stage
    # For how long somebody speaks, told once they pause: of breaths it makes no sentences of their own.
    class Speech
      # ms of silence that end it, and that must be spoken for it to count.
      PAUSE = 1_500
      SHORTEST = 700
      # ms after which somebody who goes on and on is told of.
      PART = 15_000

      # @param clock [#call] ms
      # @param told [#call] takes ms
      def initialize(told, clock: Live::Hub::NOW)
        @told = told
        @clock = clock
        @said = 0
      end

      # @return [Boolean] whether they speak just now
      def going_on? = !@since.nil?

      # @param on [Boolean] whether they speak
      def talks(on)
        now = @clock.call
        @said += now - @since if @since && !on
        @since = on ? (@since || now) : nil
        @quiet_since = on ? nil : now
      end

      # Call it every second or so.
      def look
        now = @clock.call
        tell if @quiet_since && now - @quiet_since >= PAUSE
        part(now) if @since && now - @since + @said >= PART
      end

      # They are gone, or somewhere else.
      def over
        talks(false)
        tell
      end

      private

      def part(now)
        @said += now - @since
        @since = now
        tell
        @more = true
      end

      def tell
        said, @said = @said, 0
        @quiet_since = nil
        # What is left of something longer counts, however short it is.
        counts, @more = said >= SHORTEST || (@more && said.positive?), false
        @told.call([said, Core::Sittings::Spoke::LONGEST].min) if counts
      end
    end
  end
end
