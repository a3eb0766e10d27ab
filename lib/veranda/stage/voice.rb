# frozen_string_literal: true

module Veranda
  module Stage
    # Somebody's voice, as the media server hears it: all are told at once, and what was said is taken note of.
    class Voice
      # @param person [String] id
      # @param all [#call] tells everybody in a place whether they speak
      # @param spoke [#call] takes note of it: the place, and ms
      def initialize(person, all, spoke)
        @person = person
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
      # @param feeds [Feeds, nil]
      def look(feeds)
        # Whoever is muted in the middle of a word says no more.
        @speech.talks(false) if @speech.going_on? && !feeds&.speaking&.include?(@person)
        @speech.look
      end

      # They are gone, or somewhere else.
      def over = @speech.over
    end
  end
end
