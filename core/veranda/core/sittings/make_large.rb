# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Shows somebody's picture large to everybody in the place, or nobody's any more.
      class MakeLarge < SittingCommand
        on :place, 'class.make_large'
        contract { required(:person).maybe(Types::ID) }

        def decide
          staff!('Only instructors and assistants make somebody large for all.')
          going_on!
          here!(sitting.seats[input[:person]], 'That person is not in this room.') if input[:person]
          entry('made_large', input) unless place.large == input[:person]
        end
      end
    end
  end
end
