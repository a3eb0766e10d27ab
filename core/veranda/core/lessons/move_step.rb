# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # A step comes behind another one, or first of all.
      class MoveStep < PlanCommand
        on :plan, 'plan.move_step'

        contract do
          required(:step).value(Types::ID)
          required(:after).maybe(Types::ID)
        end

        def decide
          teacher!
          step = step!
          step!(input[:after]) if input[:after]
          before = [nil, *state.steps.map { |one| one[:id] }].each_cons(2).to_h(&:reverse)[step[:id]]
          entry('step_moved', { id: step[:id], after: input[:after] }) unless [before, step[:id]].include?(input[:after])
        end
      end
    end
  end
end
