# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Somebody has spoken for a while, as the server heard it.
      class Spoke < SittingCommand
        on :place, 'class.spoke'
        # ms that are told at once; whoever speaks longer is told of again.
        LONGEST = 60_000
        contract { required(:ms).value(:integer, gteq?: 1, lteq?: LONGEST) }

        def decide
          return unless sitting.open? && seat && sitting.place?(here)

          entry('spoke', input)
        end
      end
    end
  end
end
