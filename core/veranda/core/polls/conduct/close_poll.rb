# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Closes the round that is open. Its answers stay; without names they are counted now, see {CountBallots}.
      class ClosePoll < PollCommand
        on :staff, 'poll.close'
        touches { |concern| PollCommand.poll_of(concern) }

        contract do
          required(:poll).value(Types::ID)
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
        end

        # Also after the class: what is open then is closed by the house.
        def decide
          staff!('Only instructors and assistants run polls.')
          begun!
          return if round![:closed_at]

          entry('round_closed', { round: input[:round] }, on: poll_stream)
        end

        # @param poll [Poll]
        # @param at [Integer] ms since the epoch
        # @return [Integer, nil] the round that is to be closed, because its time or the class is over
        def self.due(poll, sitting, at)
          round = poll.round or return
          round[:round] if sitting.ended? || (round[:ends_at] && at > round[:ends_at])
        end
      end
    end
  end
end
