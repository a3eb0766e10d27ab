# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Shares one's screen with everybody in the place, or ends that. One at a time: staff take over from whoever does, others wait until
      # it is over.
      class ShareScreen < SittingCommand
        on :place, 'class.share_screen'
        # Since when it was shared as whoever ends it saw it, in ms; nothing happens when it is shared anew.
        contract do
          required(:on).value(:bool)
          optional(:since).value(:integer)
        end

        def decide
          going_on!
          input[:on] ? share : stop
        end

        private

        def share
          in_here!
          may!(:share)
          other = place.screen && place.screen[:person] != by.id
          if other && !by.staff?
            raise Refusal.new(:screen_taken, "#{place.screen[:name]} shares a screen. Yours can be shared once that is over.")
          end

          entry('screen_on', { name: by.name })
        end

        def stop
          return if place.screen.nil? || (input[:since] && input[:since] != place.screen[:since])

          staff!('Only instructors and assistants end what another shares.') unless place.screen[:person] == by.id
          entry('screen_off')
        end
      end
    end
  end
end
