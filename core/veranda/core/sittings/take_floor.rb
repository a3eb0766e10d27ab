# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Takes the floor back; whoever has it may give it back.
      class TakeFloor < SittingCommand
        on :place, 'class.take_floor'
        # Since when it was lent as the server saw it, in ms; nothing happens when it has been lent anew.
        contract { optional(:since).value(:integer) }

        def decide
          going_on!
          return if place.floor.nil? || (input[:since] && input[:since] != place.floor[:since])

          staff!('Only instructors and assistants take the floor back.') unless place.floor[:person] == by.id
          entry('floor_back')
        end
      end
    end
  end
end
