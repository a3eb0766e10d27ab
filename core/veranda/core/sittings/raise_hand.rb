# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Asks to be heard; hands queue in order of asking.
      class RaiseHand < SittingCommand
        on :place, 'class.raise_hand'

        def decide
          going_on!
          in_here!
          entry('hand_raised') unless place.hands.include?(by.id)
        end
      end
    end
  end
end
