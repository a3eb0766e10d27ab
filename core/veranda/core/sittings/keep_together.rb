# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # From now on everyone in the place sees what whoever asks sees: board, page, position and zoom. Or they roam again. Whoever asks
      # while another leads, leads.
      class KeepTogether < SittingCommand
        on :place, 'class.keep_together'
        contract { required(:on).value(:bool) }

        def decide
          staff!('Only instructors and assistants keep a class together.')
          going_on!
          return entry('roaming') if place.leader && !input[:on]

          entry('together') if input[:on] && place.leader != by.id
        end
      end
    end
  end
end
