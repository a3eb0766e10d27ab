# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Takes marks off: one's own, and others' for those who may change them.
      # Marks that are already gone are passed over, since two people may remove one at once.
      class RemoveMarks < BoardCommand
        # Marks in one command.
        MOST = 500

        on :board, 'board.remove'
        contract { required(:ids).value(:array, min_size?: 1, max_size?: MOST).each(Types::ID) }

        def decide
          may! :draw
          marks = input[:ids].uniq.filter_map { |id| board.marks[id] }
          marks.each { |mark| changeable!(mark) }
          edited(marks.map { |mark| { op: 'remove', id: mark[:id] } }) unless marks.empty?
        end
      end
    end
  end
end
