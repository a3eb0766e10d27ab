# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Takes the floor back; whoever has it may give it back, and others who have it too keep it.
      class TakeFloor < SittingCommand
        on :place, 'class.take_floor'
        # Since when it was lent as the server saw it, in ms; nothing happens when it has been lent anew.
        contract do
          optional(:since).value(:integer)
          # Takes it from one of several.
          optional(:person).value(Types::ID)
        end

        def decide
          going_on!
          return if place.floor.nil? || (input[:since] && input[:since] != place.floor[:since])

          people = Floor.people(place.floor)
          staff!('Only instructors and assistants take the floor back.') unless people.include?(by.id)
          from = by.staff? ? input[:person] : by.id
          return entry('floor_back') unless from

          entry(*Floor.without(place.floor, from)) if people.include?(from)
        end
      end
    end
  end
end
