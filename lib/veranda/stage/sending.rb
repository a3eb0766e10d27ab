# frozen_string_literal: true

module Veranda
  module Stage
    # What one person sends. What they may not send, or have switched off, is stopped at the media server, whatever their browser does:
    # before it is told that it may begin, since the media server forgets that with each new beginning.
    class Sending
      RIGHTS = { 'audio' => :speak, 'video' => :camera }.freeze
      SWITCHES = { microphone: 'audio', camera: 'video' }.freeze

      # @param handle [Handle]
      # @param room [Room]
      # @param person [String] id
      def initialize(handle, room, person)
        @handle = handle
        @room = room
        @person = person
        @tracks = []
        @stopped = {}
        @on = {}
        @may = {}
        @taking = Taking.new(handle, room, person)
      end

      # @return [Handle]
      attr_reader :handle

      # @param sdp [String] what the browser offers
      # @return [String] the answer, once what may not be sent is stopped
      def begin(sdp)
        @handle.ask('unpublish') unless @tracks.empty?
        @tracks = []
        facts, answer = @handle.ask('publish', sdp: ['offer', sdp])
        @tracks = facts[:streams] || []
        @stopped = {}
        @taking.forget
        apply
        answer
      end

      # @param switch [Symbol] `:microphone` or `:camera`
      def switch(switch, on)
        kind = SWITCHES.fetch(switch)
        @on[kind] = on && @may[RIGHTS.fetch(kind)]
        apply
      end

      # @param rights [Hash{Symbol => Boolean}]
      def allow(rights)
        @may = rights
        # What was forbidden is not on again by itself once it is allowed.
        RIGHTS.each { |kind, right| @on[kind] = false unless rights[right] }
        apply
      end

      # @param on [Boolean] whether what is said here is recorded
      def record(on)
        @recorded = on
        take
      end

      private

      def apply
        @tracks.each do |track|
          stop = !goes?(track[:type])
          next if @stopped[track[:mid]] == stop

          @room.moderate(@handle, @person, track[:mid], stop)
          @stopped[track[:mid]] = stop
          # Nobody asks for a whole picture by themselves.
          @handle.ask('configure', keyframe: true) if track[:type] == 'video' && !stop
        end
        take
      end

      # Of what goes, and only that. What cannot be recorded goes on all the same.
      def take
        @taking.keep(@recorded ? @tracks.map { |track| track[:type] }.select { |kind| goes?(kind) } : [])
      rescue Link::Refused => e
        Complaint.of(self, 'Sound and picture could not be recorded', e)
      end

      def goes?(kind) = RIGHTS.key?(kind) && @on[kind] && @may[RIGHTS.fetch(kind)]
    end
  end
end
