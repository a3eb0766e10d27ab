# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone left, by choice or because they did not come back in time.
      class Leave < SittingCommand
        on :sitting, 'class.leave'

        def decide
          seat = sitting.seats[by.id]
          ['left', {}] unless seat.nil? || seat.presence == 'left' || sitting.ended?
        end
      end
    end
  end
end
