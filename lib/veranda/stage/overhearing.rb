# frozen_string_literal: true

module Veranda
  module Stage
    # Which other place somebody hears, one at a time.
    class Overhearing
      # @param link [Link]
      # @param person [String] id
      # @param page [Page]
      # @param again [#call] is told when there is something else to hear
      def initialize(link, person, page, again:)
        @link = link
        @person = person
        @page = page
        @again = again
        @count = 0
      end

      # @return [String, nil] id of the place
      def place = @ear&.place

      # @return [Handle, nil]
      def handle = @ear&.handle

      # @param room [Room]
      # @raise [Link::Away, Link::Refused]
      def begin(room)
        return unless @link.up?

        @ear = Ear.new(@link, room, @person, number: @count += 1)
        @ear.come(&@again)
        go_on
      rescue Link::Away, Link::Refused
        stop
        raise
      end

      # @param sdp [String, nil] what the browser answers to what it heard before
      def go_on(sdp = nil)
        @ear&.answered(sdp) if sdp
        offer = @ear&.change or return
        @page.hears(@ear.number, offer)
      rescue Link::Refused
        # Somebody is not quite there yet, or not any more; the room tells of it.
        nil
      end

      # @return [Boolean] whether there was something to stop
      def stop
        ear, @ear = @ear, nil
        ear&.leave
        !ear.nil?
      end

      # The media server went away, with all that it knew.
      def lost = @ear = nil
    end
  end
end
