# frozen_string_literal: true

module Veranda
  module Stage
    # What of somebody is recorded: a take for each time that they send other things than before. A new name each time, since the media
    # server would write over what it has; and a take of its own whenever somebody goes on, so that it begins with a whole picture.
    class Taking
      # ms that a take lasts at least: whoever switches on and off all the time makes no more files than that.
      SHORTEST = 2_000
      # ms until a picture is asked for that can be seen by itself: once more soon after the beginning, since browsers leave out what is
      # asked for within 300 ms of another; then so often that any moment can be gone to.
      WHOLE_SOON = 700
      WHOLE_EVERY = 8_000

      # @param handle [Handle]
      # @param room [Room]
      # @param person [String] id
      # @param clock [#call] ms since the epoch
      def initialize(handle, room, person, clock: Live::Hub::NOW)
        @handle = handle
        @room = room
        @person = person
        @clock = clock
        @kinds = []
        @last = @whole_at = 0
      end

      # @param kinds [Array<String>] of tracks that go now
      # @raise [Link::Away, Link::Refused]
      def keep(kinds)
        return if kinds == @kinds || goes_on(kinds)

        stop
        return if kinds.empty?

        @room.record(@handle, take.name)
        @kinds = kinds
        whole(WHOLE_SOON) if kinds.include?('video')
      end

      # @return [Boolean] whether a whole picture is to be asked for now
      def due? = @kinds.include?('video') && @clock.call >= @whole_at

      # Asks for a picture that can be seen by itself.
      # @param then_in [Integer] ms until the next is due
      def whole(then_in = WHOLE_EVERY)
        @whole_at = @clock.call + then_in
        @handle.ask('configure', keyframe: true)
      end

      # Nothing is recorded any more.
      def stop
        @room.record(@handle, nil) unless @kinds.empty?
        forget
      end

      # The media server has let go of what was sent, and of what it wrote of it.
      def forget = @kinds = []

      private

      # A take that has only begun has what is switched on a moment later in it too; what does not go is not written in any case.
      def goes_on(kinds)
        return false unless @kinds.any? && @clock.call - @last < SHORTEST

        @whole_at = @clock.call + WHOLE_SOON if kinds.include?('video') && @kinds.none?('video')
        @kinds = kinds unless kinds.empty?
        true
      end

      def take
        @last = [@clock.call, @last + 1].max
        Core::Recordings::Take.new(sitting: @room.sitting, place: @room.place, person: @person, since: @last)
      end
    end
  end
end
