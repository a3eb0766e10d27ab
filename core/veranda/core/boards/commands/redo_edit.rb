# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Does again what the asker last took back.
      class RedoEdit < BoardCommand
        on :board, 'board.redo'

        def decide
          may! :draw
          step = board.history.last_undone(by.id)
          raise Refusal.new(:nothing_to_redo, 'You have nothing to do again on this board.') unless step

          edited(permitted(Edit.resolve(board.marks, step[:ops])), way: 'redo')
        end
      end
    end
  end
end
