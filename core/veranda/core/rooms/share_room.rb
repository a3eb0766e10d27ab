# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Opens what was made in a room to everyone of the class, once it is closed, in the recording and on its own; or no longer. Also
      # after the class.
      class ShareRoom < RoomsCommand
        on :staff, 'rooms.share'

        contract do
          required(:activity).value(Types::ID)
          required(:room).value(Types::ID)
          required(:on).value(:bool)
        end

        def decide
          staff!('Only instructors and assistants share what was made in rooms.')
          room = room!(activity!, input[:room])
          return if (room[:shared] || false) == input[:on]

          entry('room_shared', { activity: input[:activity], room: room[:id], on: input[:on] })
        end
      end
    end
  end
end
