# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Puts a written answer to others; to itself where it was taken for a slip of another; or, without a place, back to where it was by
      # itself.
      class GroupAnswers < GroupingCommand
        on :staff, 'poll.group'

        contract do
          required(:poll).value(Types::ID)
          required(:key).filled(:string, max_size?: LONGEST_KEY)
          required(:to).maybe(:string, min_size?: 1, max_size?: LONGEST_KEY)
        end

        def decide
          written!
          room_for_more!(answers.moved.length) if input[:to]
          return if answers.moved[input[:key]] == home

          entry('grouped', { key: input[:key], to: home }, on: answers_stream)
        end

        private

        # Where what it is put to was itself put elsewhere, that is where it goes.
        def home = input[:to] && (input[:to] == input[:key] ? input[:to] : answers.moved.fetch(input[:to], input[:to]))
      end
    end
  end
end
