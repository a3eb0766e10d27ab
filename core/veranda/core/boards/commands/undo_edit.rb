# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Takes back the asker's own latest edit, leaving alone what others have done since and what was locked.
      class UndoEdit < BoardCommand
        on :board, 'board.undo'

        def decide
          may! :draw
          step = board.history.last_done(by.id)
          raise Refusal.new(:nothing_to_undo, 'You have nothing to undo on this board.') unless step

          edited(permitted(Edit.resolve(board.marks, step[:ops])), way: 'undo')
        end
      end
    end
  end
end
