# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Takes everyone's signals away, for the next question.
      class ClearSignals < SittingCommand
        on :place, 'class.clear_signals'

        def decide
          staff!('Only instructors and assistants clear the signals.')
          going_on!
          entry('signals_cleared') if place.signals.any?
        end
      end
    end
  end
end
