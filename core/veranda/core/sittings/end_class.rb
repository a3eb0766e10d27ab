# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Ends the class and with it any recording. Boards and posts stay readable, those of rooms
      # for those who sat in them.
      class EndClass < SittingCommand
        on :sitting, 'class.end'
        touches :staff

        def decide
          staff!('Only instructors and assistants end the class.')
          return if sitting.ended?

          going_on!
          [*rooms_closed, entry('ended')]
        end

        private

        def rooms_closed
          rooms = plan.activities.open_rooms
          return [] if rooms.empty?

          activity = plan.activities.open[:id]
          sat = rooms.map { |room| { id: room[:id], sat: sitting.sat(room[:id], scene.at) } }
          [entry('rooms_closed', { activity: activity, rooms: sat }, on: :staff),
           entry('rooms_closed', { activity: activity, rooms: rooms.map { |room| room[:id] } })]
        end
      end
    end
  end
end
