# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Sends somebody who is in back to the waiting room, until staff let them in again.
      class SendToWait < TurningOut
        on :sitting, 'class.send_to_wait'
        contract do
          required(:person).value(Types::ID)
          required(:place).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants send somebody back to wait.')
          going_on!
          raise Refusal.new(:not_here, 'That person is not in this class.') unless sitting.in?(person)

          seat = turned(sitting.seats[person])
          [*out(seat), entry('waits', { **facts(seat), held: true }, on: :staff)]
        end
      end
    end
  end
end
