# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # How questions are asked in this class: whether staff see them first, and whether one may ask without a name.
      class SetQuestions < QuestionCommand
        on :questions, 'question.set'

        contract do
          required(:review).value(:bool)
          required(:nameless).value(:bool)
        end

        def decide
          teaching!
          entry('questions_set', input) unless [state.review, state.nameless] == input.values_at(:review, :nameless)
        end
      end
    end
  end
end
