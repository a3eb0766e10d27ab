# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # A new step, behind another one, or one that was taken out comes again.
      class AddStep < PlanCommand
        on :plan, 'plan.add_step'

        contract do
          required(:step).value(Types::ID)
          required(:after).maybe(Types::ID)
          required(:set).hash(PlanStep::FIELDS)
        end

        def decide
          teacher!
          return if state.step(input[:step])

          full! if state.steps.length >= Plan::MOST_STEPS
          step = { id: input[:step], **input[:set], title: PlanStep.titled(input[:set][:title]) }
          PlanStep.check!(Plan::STEP.merge(step))
          entry('step_added', { step: step, after: input[:after] })
        end

        private

        def full! = raise(Refusal.new(:too_many_steps, "A lesson has no more than #{Plan::MOST_STEPS} steps."))
      end
    end
  end
end
