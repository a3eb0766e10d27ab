# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Takes one question for another that says the same; whoever asked or voted for either counts for what is left.
      class Merge < QuestionCommand
        on :questions, 'question.merge'

        contract do
          required(:id).value(Types::ID)
          required(:into).value(Types::ID)
        end

        def decide
          teaching!
          open_question!
          into = state.all[input[:into]]
          raise Refusal.new(:no_such_question, 'There is no such question any more.') unless into
          raise Refusal.new(:same_question, 'A question cannot be put to itself.') if input[:id] == input[:into]
          raise Refusal.new(:question_answered, 'This question was answered already.') unless into[:state] == 'open'
          if takes_in?(input[:id])
            raise Refusal.new(:question_merged, 'Others were put to this one. Put them together the other way round.')
          end

          entry('question_merged', input.slice(:id, :into))
        end

        private

        def takes_in?(id) = state.all.each_value.any? { |question| question[:into] == id }
      end
    end
  end
end
