# frozen_string_literal: true

module Veranda
  module Stage
    # Somebody on stage without a browser: what they send comes by plain RTP to a port of the media server, and is stopped like anybody's.
    # From where it comes, those say that are made of this.
    class Plain
      include Terse

      SOUND = { type: 'audio', mindex: 0, mid: '0', codec: 'opus' }.freeze
      # Tries, and s between them, until what was begun is there.
      TRIES, PAUSE = 20, 0.05
      PICTURE = { type: 'video', mindex: 1, mid: '1', codec: 'vp8' }.freeze

      # @param link [Link]
      # @param reach [Hash]
      # @param person [Core::Person]
      # @param voice [Voice]
      # @param tell [#call] tells whoever it is what went wrong
      def initialize(link, reach, person, voice:, tell: ->(_) {})
        @link = link
        @reach = reach
        @person = person
        @voice = voice
        @tell = tell
        @jobs = Jobs.new(tell)
        @rights = {}
        @on = {}
      end

      # Works until it is let go of; run it in a task of its own.
      def run
        @jobs.run
      ensure
        leave
      end

      # @param standing [Standing]
      def stand(standing)
        @wanted = standing
        @jobs.once(:stand) do
          before, @at = @at, @wanted
          @rights = @at.rights
          @on.select! { |switch, _| @rights[Sending.right_of(switch)] }
          @at.same_place?(before) && @session ? apply : enter
        end
      end

      # What pages do with their connections it has no use for.
      # @param message [Hash] see {Live::Protocol}
      def hear(message)
        return unless message[:act] == 'switch'

        switch = message[:switch].to_s.to_sym
        @jobs.ask do
          message[:on] && @rights[Sending.right_of(switch)] ? @on[switch] = true : @on.delete(switch)
          apply
        end
      end

      # @param by [String] name of who wishes it
      def mute(by)
        @jobs.add do
          @tell.call(t: 'muted', by: by) if @on.delete(:microphone)
          apply
        end
      end

      def back = @jobs.once(:stand) { enter }
      def lost = @session = nil
      def look_after = @voice.look(speaks: goes?(:microphone))
      def stop = @jobs.stop

      # Others who speak are nothing to it.
      def told_voice(*) = nil

      private

      # What it may send.
      def streams = [SOUND, PICTURE]

      # It is in the room, and nothing of it goes yet.
      # @param ports [Hash] `{ ip:, port: }`
      def begin_at(ports); end

      # It is not any more.
      def ended; end

      def enter
        leave
        return unless @at&.place && @link.up?

        @session = @link.ask(janus: 'create').dig(:data, :id)
        @link.listen(@session) { |event| told(event) }
        @handle = Handle.attach(@link, @session)
        @room = Room.new(@reach, @at.sitting, @at.place)
        ports = @room.receive(@handle, @person.id, streams)
        @stopped = {}
        @voice.in(@at.place)
        apply
        begin_at(ports)
      end

      def told(_event); end

      def leave
        @voice.over
        ended if @room
        @room&.receive_no_more(@handle, @person.id) if @session
        @link.forget(@session) if @session
        @link.ask(janus: 'destroy', session_id: @session) if @session
      rescue Link::Away, Link::Refused
        nil
      ensure
        @session = @room = nil
      end

      # Nothing goes that is not on and allowed; it is stopped before anything comes.
      def apply
        return unless @session

        streams.each do |stream|
          switch = Sending::PERSON.fetch(stream[:type]).switch
          stop = !goes?(switch)
          next if @stopped[switch] == stop

          stop_or_let_through(stream, stop)
          @voice.talks(!stop) if switch == :microphone && (!stop || @stopped[switch] == false)
          @stopped[switch] = stop
        end
      end

      # The media server says that it is there a moment before it is.
      def stop_or_let_through(stream, stop, tries = TRIES)
        @room.moderate(@handle, @person.id, stream[:mid], stop)
      rescue Link::Refused => e
        raise if tries == 1 || e.code != Room::NO_SUCH

        sleep PAUSE
        stop_or_let_through(stream, stop, tries - 1)
      end

      def goes?(switch) = (@on[switch] && @rights[Sending.right_of(switch)]) || false
    end
  end
end
