# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # The pairs of a place are over. What they wrote stays with them.
      class EndPairs < SittingCommand
        on :place, 'class.end_pairs'

        def decide
          staff!('Only instructors and assistants end pairs.')
          going_on!
          entry('pairs_over') if place.pairs
        end
      end
    end
  end
end
