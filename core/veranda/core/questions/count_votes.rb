# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Tells everyone how many ask what, as it was counted.
      class CountVotes < QuestionCommand
        on :questions, 'question.count'

        contract do
          required(:votes).value(:array, max_size?: Questions::MOST).each do
            hash do
              required(:id).value(Types::ID)
              required(:count).value(:integer, gteq?: 0)
            end
          end
        end

        def decide
          staff!('Only the house counts votes.')
          fresh = input[:votes].select { |row| state.all[row[:id]] && state.all[row[:id]][:votes] != row[:count] }
          entry('votes_counted', { votes: fresh }) if fresh.any?
        end
      end
    end
  end
end
