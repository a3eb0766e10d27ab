# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Takes a written answer from view, or puts it back: it still counts among those who answered.
      class StrikeAnswer < GroupingCommand
        on :staff, 'poll.strike'

        contract do
          required(:poll).value(Types::ID)
          required(:key).filled(:string, max_size?: LONGEST_KEY)
          required(:on).value(:bool)
        end

        def decide
          written!
          room_for_more!(answers.struck.length) if input[:on]
          return if answers.struck.include?(input[:key]) == input[:on]

          entry('struck', { key: input[:key], on: input[:on] },
                on: answers_stream)
        end
      end
    end
  end
end
