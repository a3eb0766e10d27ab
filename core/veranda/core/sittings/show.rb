# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Brings a board, or another page of it, on show for everyone in a place.
      class Show < SittingCommand
        on :place, 'class.show'
        looks_at :staff
        contract do
          required(:board).value(Types::ID)
          required(:page).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants choose what is on show.')
          going_on!
          open_board!(input[:board])

          entry('shown', input) unless place.shown == input
        end
      end
    end
  end
end
