# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # A step goes, unless somebody else has just changed it.
      class TakeStep < PlanCommand
        on :plan, 'plan.take_step'

        contract do
          required(:step).value(Types::ID)
          required(:seen).value(:integer, gteq?: 0)
        end

        def decide
          teacher!
          step = state.step(input[:step]) or return
          changed! if state.set_since(step[:id], Plan::STEP.keys, seen: input[:seen], by: by.id).any?
          entry('step_taken', { id: step[:id] })
        end

        private

        def changed!
          raise Refusal.new(:step_changed, 'Somebody has just changed this step. Look at it once more before you take it out.')
        end
      end
    end
  end
end
