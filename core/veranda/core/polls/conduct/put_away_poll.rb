# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Puts a poll out of sight, for everyone. Its rounds stay; opened once more, it is there again. One without names knows nobody then:
      # who answered before is not told from who did not.
      class PutAwayPoll < PollCommand
        on :staff, 'poll.put_away'
        # One that was never opened has no stream yet.
        begins { |concern| poll_of(concern) }
        contract { required(:poll).value(Types::ID) }

        def decide
          teaching!
          row = staged!
          return if row[:away]
          raise Refusal.new(:poll_open, 'This poll is open. Close it first.') if poll.round

          [entry('poll_put_away', { poll: input[:poll] }), (entry('poll_sealed', {}, on: poll_stream) if poll.shown)].compact
        end
      end
    end
  end
end
