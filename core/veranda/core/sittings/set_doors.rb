# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # How people come in once the doors are open: everyone at once, or each when staff let them in.
      class SetDoors < SittingCommand
        on :staff, 'class.set_doors'
        contract { required(:each).value(:bool) }

        def decide
          staff!('Only instructors and assistants set how people come in.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?

          entry('doors_set', { each: input[:each] }) unless plan.each? == input[:each]
        end
      end
    end
  end
end
