# frozen_string_literal: true

module Veranda
  module Stage
    # What of a room somebody wishes to be sent.
    class Looking
      # Pictures that are sent at once, by how somebody's connection stands: sound comes first.
      LINKS = { 'good' => Feeds::MOST_PICTURES, 'weak' => 2, 'poor' => 0 }.freeze

      # @return [String] one of {LINKS}
      attr_accessor :link
      # @return [String, nil] id of who is large for everybody
      attr_writer :large
      # @return [Array<String>] people whose pictures they wish to see
      attr_writer :people
      # @return [Boolean] whether they are sent no pictures, as on a weak connection
      attr_writer :sound_only

      # @param person [String] id
      def initialize(person)
        @person = person
        @people = []
        @sound_only = false
        @link = LINKS.keys.first
      end

      # @param feeds [Feeds]
      # @return [Array<Array(String, String)>] see {Feeds#wanted}; nothing of one's own
      def wanted(feeds)
        feeds.wanted([@large, *@people].compact, pictures: !@sound_only, most: LINKS.fetch(@link), without: @person)
      end
    end
  end
end
