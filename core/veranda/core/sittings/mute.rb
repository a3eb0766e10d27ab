# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Switches somebody's microphone off, or those of all students in the place. Each may switch theirs on again; to keep them off is a
      # house rule.
      class Mute < SittingCommand
        on :place, 'class.mute'
        contract { optional(:person).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants mute others.')
          going_on!
          here!(sitting.seats[input[:person]], 'That person is not in this room.') if input[:person]
          entry('muted', { name: by.name, **input.slice(:person) })
        end
      end
    end
  end
end
