# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Takes marks off. Students take off their own; staff take off anything.
      # Marks that are already gone are passed over, since two people may remove one at once.
      class RemoveMarks < BoardCommand
        on :board, 'board.remove'
        contract { required(:ids).value(:array, min_size?: 1, max_size?: 500).each(Types::ID) }

        def decide
          may! :draw
          marks = input[:ids].uniq.filter_map { |id| board.marks[id] }
          marks.each { |mark| removable!(mark) }
          edited(marks.map { |mark| { op: 'remove', id: mark[:id] } }) unless marks.empty?
        end

        private

        def removable!(mark)
          unlocked!(mark)
          return if by.staff? || mark[:by] == by.id

          raise Refusal.new(:not_your_mark, 'Students take off only their own marks.')
        end
      end
    end
  end
end
