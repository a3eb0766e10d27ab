# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Asks to be heard; hands queue in order of asking.
      class RaiseHand < SittingCommand
        on :sitting, 'class.raise_hand'

        def decide
          going_on!
          raise Refusal.new(:not_here, 'Join the class first.') unless sitting.seats[by.id]

          ['hand_raised', {}] unless sitting.hands.include?(by.id)
        end
      end
    end
  end
end
