# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Puts the class's timer away.
      class StopTimer < SittingCommand
        on :sitting, 'class.stop_timer'

        def decide
          staff!('Only instructors and assistants stop the timer.')
          going_on!
          ['timer_stopped', {}] if sitting.timer
        end
      end
    end
  end
end
