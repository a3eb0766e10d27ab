# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Invites somebody to speak, or to be seen. Nothing is switched on before they agree, and nobody but staff knows if they do not.
      class Invite < SittingCommand
        on :place, 'class.invite'
        touches :staff
        begins { |concern| [concern.own_of(concern.input[:person])] }
        contract do
          required(:person).value(Types::ID)
          required(:device).value(:string, included_in?: Invitation::DEVICES.keys)
        end

        def decide
          staff!('Only instructors and assistants invite somebody to speak.')
          going_on!
          invited = here!(sitting.seats[input[:person]], 'That person is not in this room.')
          raise Refusal.new(:staff_may, "#{invited.name} may do everything here.") if invited.staff?

          [entry('invited', { device: input[:device], name: by.name, place: here }, on: scene.own_of(invited.id)),
           entry('was_invited', input, on: :staff)]
        end
      end
    end
  end
end
