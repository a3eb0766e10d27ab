# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Puts a poll at hand, to be opened when it is time: from the bank, or made on the spot. As long as it was never opened it may be
      # staged again with other words.
      class StagePoll < PollCommand
        on :staff, 'poll.stage'

        contract do
          required(:poll).value(Types::ID)
          required(:question).hash(Question::CONTRACT)
          # For those in one place alone.
          optional(:place).maybe(Types::ID)
          # Several that are taken as one form.
          optional(:set).hash do
            required(:id).value(Types::ID)
            required(:title).value(:string, max_size?: 80)
          end
        end

        def decide
          teaching!
          Question.sound!(input[:question])
          if plan.polls[input[:poll]]&.fetch(:begun)
            raise Refusal.new(:poll_begun,
                              'This poll was opened already. Make a copy of it to change it.')
          end
          raise Refusal.new(:too_many_polls, "A class has up to #{Staged::MOST} polls.") if full?

          entry('poll_staged',
                { id: input[:poll], question: input[:question], place: input[:place], set: input[:set], step: sitting.step&.fetch(:id) })
        end

        private

        def full? = plan.polls.size >= Staged::MOST && plan.polls[input[:poll]].nil?
      end
    end
  end
end
