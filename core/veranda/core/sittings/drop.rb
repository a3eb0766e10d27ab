# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone's last connection went away; their seat and hand are kept for {Seat::GRACE}.
      class Drop < SittingCommand
        on :sitting, 'class.drop'

        def decide
          ['dropped', {}] if sitting.seats[by.id]&.here? && !sitting.ended?
        end
      end
    end
  end
end
