# frozen_string_literal: true

module Veranda
  module Stage
    # What of a room somebody wishes to be sent.
    class Looking
      # @return [Array<String>] people whose pictures they wish to see
      attr_writer :people
      # @return [Boolean] whether they are sent no pictures, as on a weak connection
      attr_writer :sound_only

      # @param person [String] id
      def initialize(person)
        @person = person
        @people = []
        @sound_only = false
      end

      # @param feeds [Feeds]
      # @return [Array<Array(String, String)>] see {Feeds#wanted}; nothing of one's own
      def wanted(feeds)
        feeds.wanted(@people, pictures: !@sound_only).reject { |name, _| Core::Recordings::ScreenName.person(name) == @person }
      end
    end
  end
end
