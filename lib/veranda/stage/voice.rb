# frozen_string_literal: true

module Veranda
  module Stage
    # Somebody's voice, as the media server hears it: all are told at once, and what was said is taken note of.
    class Voice
      # @param all [#call] tells everybody in a place whether they speak
      # @param spoke [#call] takes note of it: the place, and ms
      def initialize(all, spoke)
        @all = all
        @speech = Speech.new(->(ms) { spoke.call(@place, ms) })
      end

      # @param place [String] id of where they are from now on
      def in(place) = @place = place

      # @param on [Boolean] whether they speak
      def talks(on)
        @all.call(@place, on)
        @speech.talks(on)
      end

      # Call it every second or so: whoever has paused has spoken.
      # @param speaks [Boolean] whether they can be heard now
      def look(speaks:)
        # Whoever is muted in the middle of a word says no more.
        @speech.talks(false) if @speech.going_on? && !speaks
        @speech.look
      end

      # They are gone, or somewhere else.
      def over = @speech.over
    end
  end
end
