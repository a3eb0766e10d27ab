# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Lets everyone see a question that waits for it, or keeps it to staff.
      class Review < QuestionCommand
        on :questions, 'question.review'

        contract do
          required(:id).value(Types::ID)
          required(:pass).value(:bool)
        end

        def decide
          teaching!
          question = asked.all[input[:id]] or raise Refusal.new(:no_such_question, 'There is no such question any more.')
          return if question[:state] == 'passed' || (question[:state] == 'kept' && !input[:pass])

          reviewed = entry('question_reviewed', input.slice(:id, :pass), on: asked_stream)
          return reviewed unless input[:pass]

          [reviewed, entry('question_asked', { **question.slice(:id, :number, :text, :by, :name, :at), state: 'open' })]
        end
      end
    end
  end
end
