# frozen_string_literal: true

module Veranda
  module Stage
    # A stand-in on stage: what it says and shows comes from a process beside ({Playing}). It hears and sees nothing.
    class Simulated < Plain
      # @param playing [Playing]
      def initialize(*given, playing:, **more)
        super(*given, **more)
        @playing = playing
      end

      private

      def begin_at(ports)
        @playing.begin(key, **ports.slice(:ip, :port), initials: @person.name[0], index: @person.id.sum, picture: true)
      end

      def ended = @playing.stop(key)
      def key = "#{@room.name}.#{@person.id}"
    end
  end
end
