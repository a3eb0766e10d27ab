# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Switches the recording on or off by hand.
      class Record < SittingCommand
        on :sitting, 'class.record'
        contract { required(:on).value(:bool) }

        def decide
          staff!('Only instructors and assistants switch the recording.')
          going_on!
          entry('recording', input) unless sitting.recording? == input[:on]
        end
      end
    end
  end
end
