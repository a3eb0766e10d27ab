# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lends the floor to somebody in the place, to several who present together, or to whoever's hand is the next; from whoever has it.
      # Their hands go down. Of several, those who are elsewhere are left out.
      class LendFloor < SittingCommand
        on :place, 'class.lend_floor'
        contract do
          optional(:person).value(Types::ID)
          optional(:people).value(:array, min_size?: 1, max_size?: Floor::MOST).each(Types::ID)
          optional(:seconds).value(:integer, gteq?: Floor::SHORTEST, lteq?: Floor::LONGEST)
        end

        def decide
          staff!('Only instructors and assistants lend the floor.')
          going_on!
          takers = input[:people] ? together : [alone]
          return if Floor.people(place.floor) == takers && input[:seconds].nil?

          [entry('floor_lent', Floor.lent(takers, ends_at)),
           *(takers & place.hands).map { |person| entry('hand_lowered', { person: person }) }]
        end

        private

        def alone
          person = input[:person] || place.hands.find { |id| !sitting.seats[id]&.staff? } ||
                   raise(Refusal.new(:no_hand, 'No student has a hand up. Choose somebody on the bench.'))
          taker = here!(sitting.seats[person], 'That person is not in this room.')
          raise Refusal.new(:staff_may, "#{taker.name} may do everything here without the floor.") if taker.staff?

          person
        end

        def together
          people = input[:people].uniq.select { |id| sitting.in?(id) && sitting.seats[id].place == here && !sitting.seats[id].staff? }
          people.empty? ? raise(Refusal.new(:not_here, 'None of them is in this room.')) : people
        end

        def ends_at = input[:seconds] && (scene.at + input[:seconds] * 1_000)
      end
    end
  end
end
