# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # Changes fields of a step, each by itself.
      class SetStep < PlanCommand
        on :plan, 'plan.set_step'

        contract do
          required(:step).value(Types::ID)
          required(:seen).value(:integer, gteq?: 0)
          required(:set).hash(PlanStep::FIELDS)
        end

        def decide
          teacher!
          step = step!
          set = input[:set]
          set = set.merge(title: PlanStep.titled(set[:title])) if set.key?(:title)
          fields = fresh(step[:id], step, set)
          return if fields.empty?

          PlanStep.check!(step.merge(fields))
          entry('step_set', { id: step[:id], set: fields })
        end
      end
    end
  end
end
