# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Takes from everyone's view what was shown of a poll.
      class SealPoll < PollCommand
        on :staff, 'poll.seal'
        touches { |concern| PollCommand.poll_of(concern) }
        contract { required(:poll).value(Types::ID) }

        def decide
          teaching!
          begun!
          entry('poll_sealed', {}, on: poll_stream) if poll.shown
        end
      end
    end
  end
end
