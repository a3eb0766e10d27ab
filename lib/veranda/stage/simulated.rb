# frozen_string_literal: true

module Veranda
  module Stage
    # A stand-in on stage: what it says and shows comes from a process beside ({Playing}) by plain RTP, and is stopped like anybody's. It
    # hears and sees nothing.
    class Simulated
      include Terse

      STREAMS = [{ type: 'audio', mindex: 0, mid: '0', codec: 'opus' }, { type: 'video', mindex: 1, mid: '1', codec: 'vp8' }].freeze

      # @param link [Link]
      # @param reach [Hash]
      # @param person [Core::Person]
      # @param playing [Playing]
      # @param voice [Voice]
      def initialize(link, reach, person, playing:, voice:)
        @link = link
        @reach = reach
        @person = person
        @playing = playing
        @voice = voice
        @jobs = Jobs.new(->(_) {})
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

      def mute(_by) = @jobs.add { apply if @on.delete(:microphone) }
      def back = @jobs.once(:stand) { enter }
      def lost = @session = nil
      def look_after = @voice.look(speaks: goes?(:microphone))
      def stop = @jobs.stop

      # Others who speak are nothing to it.
      def told_voice(*) = nil

      private

      def enter
        leave
        return unless @at&.place && @link.up?

        @session = @link.ask(janus: 'create').dig(:data, :id)
        @link.listen(@session) { |_| nil }
        @handle = Handle.attach(@link, @session)
        @room = Room.new(@reach, @at.sitting, @at.place)
        ports = @room.receive(@handle, @person.id, STREAMS)
        @stopped = {}
        @voice.in(@at.place)
        apply
        play(ports)
      end

      def leave
        @voice.over
        @playing.stop(key) if @room
        @room&.receive_no_more(@handle, @person.id) if @session
        @link.forget(@session) if @session
        @link.ask(janus: 'destroy', session_id: @session) if @session
      rescue Link::Away, Link::Refused
        nil
      ensure
        @session = @room = nil
      end

      def play(ports)
        index = @person.id.sum
        @playing.begin(key, **ports.slice(:ip, :port), initials: @person.name[0], index: index, picture: true)
      end

      def key = "#{@room.name}.#{@person.id}"

      # Nothing goes that is not on and allowed; it is stopped before anything is played.
      def apply
        return unless @session

        Sending::PERSON.each_value.with_index do |needs, i|
          stop = !goes?(needs.switch)
          next if @stopped[i] == stop

          @room.moderate(@handle, @person.id, i.to_s, stop)
          @stopped[i] = stop
          @voice.talks(!stop) if needs.switch == :microphone && (!stop || @spoke)
          @spoke = !stop if needs.switch == :microphone
        end
      end

      def goes?(switch) = (@on[switch] && @rights[Sending.right_of(switch)]) || false
    end
  end
end
