# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Keeps where the pointer went during the last second, so that recordings show it.
      # The path is `dt, x, y` in turn, `dt` in ms before the entry.
      class PointAt < BoardCommand
        on :board, 'board.point'
        contract do
          required(:page).value(Types::ID)
          required(:path).value(:array, min_size?: 3, max_size?: 90).each(Types::Number, :coordinate?)
        end

        def decide
          may! :draw
          page!(input[:page])
          raise Refusal.new(:bad_input, 'A pointer path is made of time, x and y in turn.') unless (input[:path].length % 3).zero?

          entry('pointed', input)
        end
      end
    end
  end
end
