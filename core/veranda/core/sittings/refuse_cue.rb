# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What a cue was to do could not be done, and staff are told why. Given by the server, once it has tried.
      class RefuseCue < SittingCommand
        on :staff, 'class.cue_refused'
        contract do
          required(:cue).value(Types::ID)
          required(:says).value(:string, max_size?: 1_000)
        end

        def decide
          going_on!
          entry('cue_refused', input)
        end
      end
    end
  end
end
