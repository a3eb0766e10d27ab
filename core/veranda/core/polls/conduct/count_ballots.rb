# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What is kept of a round without names once it is closed: how often each answer was given, in the order of the answers, and
      # how many went from what to what since each earlier round. Of fewer than {Tally::FEWEST} answers their number alone.
      class CountBallots < Sittings::SittingCommand
        on :answers, 'poll.count'
        looks_at { |concern| [Streams::StreamName.poll(concern.sitting_id, Streams::StreamName.part(concern.name(:home)))] }

        contract do
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          required(:count).value(:integer, gteq?: 0)
          required(:answers).value(:array).each do
            hash do
              required(:value).value(Types::Anything)
              required(:count).value(:integer, gteq?: 1)
            end
          end
          required(:moves).value(:array).each do
            hash do
              required(:since).value(:integer, gteq?: 1)
              required(:count).value(:integer, gteq?: 0)
              required(:ways).maybe(:array)
              required(:right).maybe(:hash)
            end
          end
        end

        # @param ballots [Hash{Integer => Hash{String => Object}}] answers by round and token, up to the one that is counted
        # @param question [Hash]
        # @return [Hash] the input of this command
        def self.count(ballots, round, question)
          answers = ballots.fetch(round, {})
          rows = answers.values.tally.map { |value, count| { value: value, count: count } }.sort_by { |row| row[:value].inspect }
          earlier = ballots.keys.select { |number| number < round }.sort
          { round: round, count: answers.length, answers: answers.length < Tally::FEWEST ? [] : rows,
            moves: earlier.map { |since| moves(ballots[since], answers, since, question) } }
        end

        def self.moves(before, after, since, question)
          moves = Moves.of(question, before, after, nameless: true)
          { since: since, **moves.to_h }
        end
        private_class_method :moves

        def decide
          staff!('Only the house counts answers without names.')
          return if state.counted?(input[:round])

          entry('counted', input)
        end
      end
    end
  end
end
