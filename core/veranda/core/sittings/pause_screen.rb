# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Keeps the last picture of a shared screen while whoever shares it looks something up, or goes on. Brings the screen back in front
      # of a board that was shown meanwhile, too.
      class PauseScreen < SittingCommand
        on :place, 'class.pause_screen'
        contract { required(:on).value(:bool) }

        def decide
          going_on!
          screen = place.screen or raise Refusal.new(:no_screen, 'Nobody shares a screen any more.')
          staff!('Only instructors and assistants do that with the screen of another.') unless screen[:person] == by.id
          entry('screen_paused', input) unless screen[:paused] == input[:on] && screen[:front]
        end
      end
    end
  end
end
