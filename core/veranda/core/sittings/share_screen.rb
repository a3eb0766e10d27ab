# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Shares one's screen with everybody in the place, or ends that. One at a time: staff take over from whoever does, others wait until
      # it is over.
      class ShareScreen < SittingCommand
        on :place, 'class.share_screen'
        touches :sitting
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
          other = place.screen&.fetch(:person)&.then { |person| person unless person == by.id }
          if other && !by.staff?
            raise Refusal.new(:screen_taken, "#{place.screen[:name]} shares a screen. Yours can be shared once that is over.")
          end

          [(not_in_rooms(other) if other), entry('screen_on', { name: by.name })]
        end

        def stop
          return if place.screen.nil? || (input[:since] && input[:since] != place.screen[:since])

          staff!('Only instructors and assistants end what another shares.') unless place.screen[:person] == by.id
          [not_in_rooms(place.screen[:person]), entry('screen_off')]
        end

        # What is not shared is shown in no room either, see {Rooms::Address}.
        def not_in_rooms(person)
          address = sitting.address
          return unless address && address[:screen] && address[:person] == person
          return entry('address_over', on: :sitting) unless address[:voice] && person == by.id

          entry('addressed', { name: address[:name], voice: true, screen: false }, on: :sitting)
        end
      end
    end
  end
end
