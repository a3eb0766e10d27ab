# frozen_string_literal: true

module Veranda
  module Stage
    # Hears a room that its person is not in, and sees nothing of it. Those inside are told by the room itself, for as long as it lasts:
    # there is no way to hear it without being on the list of who is there.
    class Ear
      ENDING = '--ear'

      # @return [String] by which a room knows somebody who hears it
      def self.of(person) = "#{person}#{ENDING}"
      # @return [Boolean]
      def self.ear?(name) = name.end_with?(ENDING)
      # @return [String] id of whose it is
      def self.person(name) = name.delete_suffix(ENDING)

      # @return [String] id of the place
      attr_reader :place
      # @return [Integer] which of somebody's ears it is; a later one has a higher number
      attr_reader :number

      # @param link [Link]
      # @param room [Room]
      # @param person [String] id
      def initialize(link, room, person, number:)
        @visit = Visit.new(link, room, Ear.of(person))
        @person = person
        @place = room.place
        @number = number
      end

      # @yield when there is something else to hear
      # @return [self]
      # @raise [Link::Away, Link::Refused]
      def come
        @visit.come do |event|
          data = event.dig(:plugindata, :data)
          yield if data && @visit.feeds && %i[changed over].include?(@visit.feeds.hear(data))
        end
        self
      end

      # @return [Handle, nil]
      def handle = @visit.watching&.handle

      # @return [Hash, nil] see {Watching#change}
      def change = @visit.watching.change(@visit.feeds.wanted([], pictures: false, without: @person))

      # @param sdp [String] what the browser answers
      def answered(sdp) = @visit.watching.answered(sdp)

      def leave = @visit.leave
    end
  end
end
