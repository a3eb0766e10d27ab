# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Puts the timer of a place away.
      class StopTimer < SittingCommand
        on :place, 'class.stop_timer'

        def decide
          staff!('Only instructors and assistants stop the timer.')
          going_on!
          entry('timer_stopped') if place.timer
        end
      end
    end
  end
end
