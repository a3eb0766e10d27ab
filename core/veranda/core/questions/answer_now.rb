# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Puts a question large before everyone, in every room, while it is answered; without one, takes it down again.
      class AnswerNow < QuestionCommand
        on :questions, 'question.answer_now'
        contract { required(:id).maybe(Types::ID) }

        def decide
          teaching!
          going_on!
          open_question! if input[:id]
          entry('answering', { id: input[:id] }) unless state.now == input[:id]
        end
      end
    end
  end
end
