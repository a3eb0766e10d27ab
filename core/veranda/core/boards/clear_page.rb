# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Takes every unlocked mark off a page in one entry, so that one undo brings all back.
      class ClearPage < BoardCommand
        on :board, 'board.clear'
        contract { required(:page).value(Types::ID) }

        def decide
          may! :draw
          staff!('Only instructors and assistants clear a page.')
          page!(input[:page])
          ops = board.on_page(input[:page]).reject { |mark| mark[:locked] }.map { |mark| { op: 'remove', id: mark[:id] } }
          edited(ops, way: 'clear') unless ops.empty?
        end
      end
    end
  end
end
