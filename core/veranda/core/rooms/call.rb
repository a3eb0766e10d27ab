# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # A room asks for a visit, or does so no longer. It waits until staff step in ({StepIn}) or answer.
      class Call < RoomsCommand
        on :place, 'room.call'
        contract { required(:on).value(:bool) }

        def decide
          going_on!
          in_here! unless by.staff?
          raise Refusal.new(:no_room, 'Only breakout rooms call the instructor.') unless place.room
          return if input[:on] == !place.call.nil?

          input[:on] ? entry('called', { name: by.name }) : entry('call_answered')
        end
      end
    end
  end
end
