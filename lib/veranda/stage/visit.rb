# frozen_string_literal: true

module Veranda
  module Stage
    # One time that somebody is in a media room: a session at the media server, with what they send and all that they are sent. It does
    # not last longer than they are in that place, nor than the media server runs.
    class Visit
      # @return [Feeds, nil] these three once they are in
      attr_reader :feeds
      # @return [Sending, nil]
      attr_reader :sending
      # @return [Watching, nil]
      attr_reader :watching
      # @return [Sending, nil] their screen, while they share it
      attr_reader :screen

      # @param link [Link]
      # @param room [Room]
      # @param person [String] id, or another name by which the room knows them
      def initialize(link, room, person)
        @link = link
        @room = room
        @person = person
      end

      # @yieldparam event [Hash] what the media server tells meanwhile
      # @return [self]
      # @raise [Link::Away, Link::Refused]
      def come(&)
        @session = @link.ask(janus: 'create').dig(:data, :id)
        @link.listen(@session, &)
        @handle = Handle.attach(@link, @session)
        facts = @room.join(@handle, @person)
        @feeds = Feeds.new.tap { |feeds| feeds.begin_with(facts) }
        @sending = Sending.new(@handle, @room, @person)
        @watching = Watching.new(Handle.attach(@link, @session), @room, facts[:private_id])
        self
      end

      # @return [Sending] what their screen is sent by
      # @raise [Link::Away, Link::Refused]
      def share
        return @screen if @screen

        name = Core::Recordings::ScreenName.of(@person)
        handle = Handle.attach(@link, @session)
        @room.join(handle, name)
        @screen = Sending.new(handle, @room, name, needs: Sending::SCREEN)
      end

      # Their screen is shared no more, whatever their page does.
      def unshare
        screen, @screen = @screen, nil
        screen&.over
        screen&.handle&.detach
      end

      # Out of the room first, so that it can be seen whether anybody is left.
      def leave
        return unless @session

        @link.forget(@session)
        done { unshare }
        done { @sending&.over }
        done { @handle.ask('leave') } && done { @room.tidy(@handle) } if @handle
        done { @link.ask(janus: 'destroy', session_id: @session) }
      end

      private

      # One thing that fails keeps nothing else from being let go of.
      def done
        yield
        true
      rescue Link::Away, Link::Refused
        false
      end
    end
  end
end
