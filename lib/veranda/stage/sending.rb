# frozen_string_literal: true

module Veranda
  module Stage
    # What one person sends of one kind: microphone and camera, or a screen with its sound. What they may not send, or have switched off, is
    # stopped at the media server, whatever their browser does: before it is told that it may begin, since the media server forgets that
    # with each new beginning.
    class Sending
      # What each track takes: a right, and a switch that is on.
      Needs = Struct.new(:right, :switch, keyword_init: true)
      PERSON = { 'audio' => Needs.new(right: :speak, switch: :microphone), 'video' => Needs.new(right: :camera, switch: :camera) }.freeze
      # A screen is shared or it is not, see {Core::Sittings::ShareScreen}.
      SCREEN = { 'audio' => Needs.new(right: :screen), 'video' => Needs.new(right: :screen) }.freeze
      SWITCHES = PERSON.values.map(&:switch).freeze
      # bit/s of a picture.
      BITRATES = { PERSON => 400_000, SCREEN => 1_500_000 }.freeze

      # @return [Symbol] the right that a switch takes
      def self.right_of(switch) = PERSON.each_value.find { |needs| needs.switch == switch }.right

      # @param handle [Handle]
      # @param room [Room]
      # @param name [String] by which the room knows it
      # @param needs [Hash{String => Needs}] {PERSON} or {SCREEN}
      def initialize(handle, room, name, needs: PERSON)
        @handle = handle
        @room = room
        @name = name
        @needs = needs
        @tracks = []
        @stopped = {}
        @on = {}
        @may = {}
        @taking = Taking.new(handle, room, name)
        @carrying = Carrying.new(handle, room, name)
        @rooms = []
      end

      # @return [Handle]
      attr_reader :handle

      # @param sdp [String] what the browser offers
      # @return [String] the answer, once what may not be sent is stopped
      def begin(sdp)
        @handle.ask('unpublish') unless @tracks.empty?
        @tracks = []
        facts, answer = @handle.ask('publish', sdp: ['offer', sdp], bitrate: BITRATES.fetch(@needs))
        @tracks = facts[:streams] || []
        @stopped = {}
        @taking.forget
        @carrying.forget
        apply
        answer
      end

      # @param switch [Symbol] one of {SWITCHES}
      def switch(switch, on)
        @on[switch] = on && @may[self.class.right_of(switch)]
        apply
      end

      # @param rights [Hash{Symbol => Boolean}]
      def allow(rights)
        @may = rights
        # What was forbidden is not on again by itself once it is allowed.
        @needs.each_value { |needs| @on[needs.switch] = false unless rights[needs.right] }
        apply
      end

      # @param on [Boolean] whether what is said here is recorded
      def record(on)
        @recorded = on
        take
      end

      # @param places [Array<String>] ids of other places into which it goes too
      def carry(places)
        @rooms = places.map { |place| @room.beside(place) }
        pass_on
      end

      # @return [Boolean] whether what is recorded of it needs a whole picture
      def due? = @taking.due?
      def whole = @taking.whole

      # It is sent no more.
      def over = @carrying.forget

      private

      def apply
        @tracks.each do |track|
          stop = !goes?(track[:type])
          next if @stopped[track[:mid]] == stop

          @room.moderate(@handle, @name, track[:mid], stop)
          @stopped[track[:mid]] = stop
          # Nobody asks for a whole picture by themselves.
          @handle.ask('configure', keyframe: true) if track[:type] == 'video' && !stop
        end
        pass_on
        take
      end

      # What cannot be passed on to other rooms goes on here all the same.
      def pass_on
        @carrying.keep(@tracks, @rooms)
      rescue Link::Refused => e
        Complaint.of(self, 'Sound and picture could not be passed on to other rooms', e)
      end

      # Of what goes, and only that. What cannot be recorded goes on all the same.
      def take
        return @taking.stop unless @recorded

        @taking.keep(@tracks.map { |track| track[:type] }.select { |kind| goes?(kind) })
      rescue Link::Refused => e
        Complaint.of(self, 'Sound and picture could not be recorded', e)
      end

      def goes?(kind)
        needs = @needs[kind] or return false
        @may[needs.right] && (needs.switch.nil? || @on[needs.switch])
      end
    end
  end
end
