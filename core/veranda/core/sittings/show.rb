# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Brings a board, or another page of it, on show for everyone.
      class Show < SittingCommand
        on :sitting, 'class.show'
        contract do
          required(:board).value(Types::ID)
          required(:page).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants choose what is on show.')
          going_on!
          board = sitting.boards.find { |candidate| candidate[:id] == input[:board] }
          raise Refusal.new(:no_such_board, 'That board does not belong to this class.') unless board
          raise Refusal.new(:board_for_staff, 'Students cannot see that board. Change its audience first.') if board[:audience] == 'staff'

          ['shown', input] unless sitting.shown == input
        end
      end
    end
  end
end
