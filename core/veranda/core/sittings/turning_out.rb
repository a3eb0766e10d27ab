# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What sending somebody back to wait and removing them have in common.
      class TurningOut < SittingCommand
        include PuttingDown

        touches :staff
        touches { |concern| [Streams::StreamName.place(concern.sitting_id, concern.input[:place])] }
        begins { |concern| [concern.own_of(concern.input[:person])] }

        private

        def person = input[:person]

        # @return [Seat]
        # @raise [Refusal] `not_here`, `staff_stay`, `moved_on`
        def turned(seat)
          raise Refusal.new(:staff_stay, "#{seat.name} teaches this class and cannot be sent out.") if seat.staff?
          return seat if seat.place == input[:place]

          raise Refusal.new(:moved_on, "#{seat.name} has just gone to another room. Open their seat there.")
        end

        # Where they are, is told to themselves too: what may be read by address goes by that.
        def out(seat)
          own = Streams::StreamName.own(sitting.id, seat.id)
          [entry('out', { people: [seat.id] }), *put_down(seat.id, seat.place), entry('placed', { place: Places::WAITING }, on: own)]
        end

        def facts(seat) = { id: seat.id, name: seat.name, role: seat.role }
      end
    end
  end
end
