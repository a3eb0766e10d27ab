# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Takes every unlocked mark off a page, or those of one person, in one entry, so that one
      # undo brings all back.
      class ClearPage < BoardCommand
        on :board, 'board.clear'
        contract do
          required(:page).value(Types::ID)
          optional(:by).value(Types::ID)
        end

        def decide
          may! :draw
          staff!('Only instructors and assistants clear a page.')
          page!(input[:page])
          marks = board.on_page(input[:page]).reject { |mark| mark[:locked] }
          marks = marks.select { |mark| mark[:by] == input[:by] } if input[:by]
          edited(marks.map { |mark| { op: 'remove', id: mark[:id] } }, way: 'clear') unless marks.empty?
        end
      end
    end
  end
end
