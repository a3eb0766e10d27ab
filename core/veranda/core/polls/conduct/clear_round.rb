# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Leaves a round out of what counts, or takes it in again. Nothing is lost: it stays in the list with its answers.
      class ClearRound < PollCommand
        on :staff, 'poll.clear'
        touches { |concern| PollCommand.poll_of(concern) }

        contract do
          required(:poll).value(Types::ID)
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          required(:on).value(:bool)
        end

        def decide
          teaching!
          begun!
          round = round!
          raise Refusal.new(:poll_open, 'This round is open. Close it first.') if round[:closed_at].nil?
          return if round[:cleared] == input[:on]

          sealed = shows?(round) ? [entry('poll_sealed', {}, on: poll_stream)] : []
          [entry('round_cleared', { round: input[:round], on: input[:on] }, on: poll_stream), *sealed]
        end

        private

        def shows?(round) = poll.shown && [poll.shown[:round], poll.shown[:since]].include?(round[:round])
      end
    end
  end
end
