# frozen_string_literal: true

module Veranda
  module Stage
    # What of somebody is recorded: a take for each time that they send other things than before. A new name each time, since the media
    # server would write over what it has; and a take of its own whenever somebody goes on, so that it begins with a whole picture.
    class Taking
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
        @last = 0
      end

      # @param kinds [Array<String>] of tracks that are to be recorded; none, if nothing is
      # @raise [Link::Away, Link::Refused]
      def keep(kinds)
        return if kinds == @kinds

        stop
        return if kinds.empty?

        @room.record(@handle, take.name)
        @kinds = kinds
        @handle.ask('configure', keyframe: true) if kinds.include?('video')
      end

      # The media server has let go of what was sent, and of what it wrote of it.
      def forget = @kinds = []

      private

      def stop
        @room.record(@handle, nil) unless @kinds.empty?
        forget
      end

      def take
        @last = [@clock.call, @last + 1].max
        Core::Recordings::Take.new(sitting: @room.sitting, place: @room.place, person: @person, since: @last)
      end
    end
  end
end
