# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Makes the line, arrow, box, ellipse or polygon of a stroke that was drawn as one by hand.
      # The entry tells how sure it was of each.
      class StraightenMarks < BoardCommand
        # Marks in one command.
        MOST = 50

        on :board, 'board.straighten'
        contract { required(:ids).value(:array, min_size?: 1, max_size?: MOST).each(Types::ID) }

        def decide
          may! :draw
          strokes = input[:ids].map { |id| mark!(id) }.select { |mark| mark[:kind] == 'stroke' }
          strokes.each { |mark| changeable!(mark) }
          guesses = strokes.to_h { |mark| [mark, Straighten.call(mark[:points])] }.compact
          raise Refusal.new(:not_a_shape, 'This looks like no line, arrow, box or ellipse. It stays as you drew it.') if guesses.empty?

          edited(guesses.map { |mark, guess| operation(mark, guess) }, sure: guesses.values.map { |guess| guess.confidence.round(2) })
        end

        private

        def operation(mark, guess)
          x, y = mark.values_at(:x, :y)
          moved = { x: (x + guess.fields.fetch(:x, 0)).round(1), y: (y + guess.fields.fetch(:y, 0)).round(1) }
          gone = { points: nil, press: nil, took: nil }
          { op: 'change', id: mark[:id], set: { kind: guess.kind, **gone, **guess.fields, **moved } }
        end
      end
    end
  end
end
