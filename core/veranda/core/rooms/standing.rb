# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Where somebody belongs who comes while rooms are open: to the room that they were dealt to; those nobody expected, to the smallest.
      module Standing
        private

        # @param person [String]
        # @param staff [Boolean]
        # @return [Array(String, Streams::Draft)] a place, and what is to be noted of it, if anything
        def standing(person, staff: false)
          activity = plan.activities.open
          return [Sittings::Places::MAIN, nil] if staff || activity.nil?

          theirs = plan.activities.room_for(person)
          return [theirs, nil] if theirs
          return [Sittings::Places::MAIN, nil] if activity[:plan][:way] == 'choice' || activity[:out].include?(person)

          room = smallest
          [room, entry('assigned', { activity: activity[:id], moves: [{ person: person, room: room }] }, on: :staff)]
        end

        # Of those with as many, the first.
        def smallest
          @added ||= Hash.new(0)
          room = plan.activities.open_rooms.min_by { |one| one[:people].length + @added[one[:id]] }[:id]
          @added[room] += 1
          room
        end
      end
    end
  end
end
