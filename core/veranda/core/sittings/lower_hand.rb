# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Takes down one's own hand; staff may take down anyone's.
      class LowerHand < SittingCommand
        on :place, 'class.lower_hand'
        contract { optional(:person).value(Types::ID) }

        def decide
          going_on!
          person = input[:person] || by.id
          staff!('Only instructors and assistants take down the hand of another.') unless person == by.id

          entry('hand_lowered', { person: person }) if place.hands.include?(person)
        end
      end
    end
  end
end
