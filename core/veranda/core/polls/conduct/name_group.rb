# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Gives a group of written answers other words than most people wrote.
      class NameGroup < GroupingCommand
        on :staff, 'poll.name_group'

        contract do
          required(:poll).value(Types::ID)
          required(:key).filled(:string, max_size?: LONGEST_KEY)
          required(:words).filled(:string, max_size?: Answer::LONGEST)
        end

        def decide
          written!
          words = input[:words].strip
          raise Refusal.new(:answer_empty, 'There is nothing written yet.') if words.empty?

          room_for_more!(answers.named.length)
          entry('group_named', { key: input[:key], words: words }, on: answers_stream) unless answers.named[input[:key]] == words
        end
      end
    end
  end
end
