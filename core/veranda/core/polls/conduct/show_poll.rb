# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Shows everyone whom a poll is for what a round of it, or two side by side, came to; with what is right, if so wished. What is
      # shown is worked out beside the server, see {Results}, and stays as it is until it is shown anew.
      class ShowPoll < PollCommand
        on :staff, 'poll.show'
        touches { |concern| PollCommand.poll_of(concern) }

        contract do
          required(:poll).value(Types::ID)
          required(:results).value(:hash)
          # Whether what is right, and why, is told too.
          required(:tell).value(:bool)
        end

        def decide
          teaching!
          question = begun![:question]
          if question[:results] == 'never'
            raise Refusal.new(:never_shown,
                              'Its results are never shown: so it was told before anybody answered.')
          end

          told = input[:tell] ? question.slice(*Poll::KEPT_BACK) : {}
          entry('poll_shown', { **input[:results], **told }, on: poll_stream)
        end
      end
    end
  end
end
