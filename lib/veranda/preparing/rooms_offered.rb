# frozen_string_literal: true

module Veranda
  module Preparing
    # What staff choose from when they split a class: arrangements of those who are here, who has met whom, and earlier activities.
    class RoomsOffered
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @archive = archive
        @row = archive.sittings.fetch(sitting_id)
      end

      # @return [Hash] `{ people:, known:, offers:, met:, earlier: }`: `{ id:, name: }` of those who would be dealt and of everybody who can
      #   be in a room, sizes of the rooms of each arrangement, pairs with how often they have met, and activities that could be held again
      def call
        grouping = Grouping.new(@archive, @row[:id])
        people = grouping.people
        { people: people, known: grouping.known, offers: Core::Groups::Sizes.offers(people.length),
          met: met(people.map { |person| person[:id] }), earlier: @archive.room_work.earlier(@row, classes) }
      end

      private

      def classes = @archive.sittings.of_lesson(@row[:lesson_id], rehearsal: @row[:rehearsal])

      def met(people)
        pairs = @archive.room_work.who_sat(@row).flatten(1).flat_map { |room| (room & people).sort.combination(2).to_a }.tally
        pairs.map { |(one, other), times| { one: one, other: other, times: times } }
      end
    end
  end
end
