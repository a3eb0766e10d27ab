# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lends the floor to somebody in the place, or to whoever's hand is the next; from whoever has it. Their hand goes down.
      class LendFloor < SittingCommand
        on :place, 'class.lend_floor'
        contract do
          optional(:person).value(Types::ID)
          optional(:seconds).value(:integer, gteq?: Floor::SHORTEST, lteq?: Floor::LONGEST)
        end

        def decide
          staff!('Only instructors and assistants lend the floor.')
          going_on!
          taker = here!(sitting.seats[person], 'That person is not in this room.')
          raise Refusal.new(:staff_may, "#{taker.name} may do everything here without the floor.") if taker.staff?
          return if place.floor&.fetch(:person) == person && input[:seconds].nil?

          [entry('floor_lent', lent), (entry('hand_lowered', { person: person }) if place.hands.include?(person))]
        end

        private

        def person
          @person ||= input[:person] || place.hands.find { |id| !sitting.seats[id]&.staff? } ||
                      raise(Refusal.new(:no_hand, 'No student has a hand up. Choose somebody on the bench.'))
        end

        def lent = { person: person, until: input[:seconds] && (scene.at + input[:seconds] * 1_000) }
      end
    end
  end
end
