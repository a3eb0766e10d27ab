# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Says that a question was answered, in class or, also after it, in writing.
      class Finish < QuestionCommand
        on :questions, 'question.done'
        # Letters of a written answer.
        LONGEST = 2_000

        contract do
          required(:id).value(Types::ID)
          optional(:words).value(:string, max_size?: LONGEST)
        end

        def decide
          teaching!
          question = question!
          words = input[:words].to_s.strip.then { |text| text unless text.empty? }
          return if question[:state] == 'answered' && question[:answer] == words
          raise Refusal.new(:question_merged, 'This question was put to another.') if question[:state] == 'merged'

          entry('question_answered', { id: input[:id], words: words })
        end
      end
    end
  end
end
