# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Answers a poll. The last answer in a round counts, where answers may be changed; else the first. Without names nothing is
      # entered in any stream: what is decided is a {Ballot}.
      class AnswerPoll < Sittings::SittingCommand
        on :poll, 'poll.answer'
        touches { |concern| [Streams::StreamName.answers(concern.sitting_id, Streams::StreamName.part(concern.name(:home)))] }

        contract do
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          required(:value).value(Types::Anything)
        end

        def decide
          going_on!
          taking!
          value = Answer.of(state.question, input[:value])
          state.nameless? ? ballot(value) : named(value)
        end

        # @raise [Refusal]
        def self.unchanging!
          raise(Refusal.new(:answered_already, 'You have answered already, and answers to this poll stay as they are.'))
        end

        private

        def taking!
          raise Refusal.new(:no_such_poll, 'There is no such poll in this class.') unless state.begun?
          raise Refusal.new(:students_only, 'Polls are answered by students. Rehearse to try one out.') if by.staff?
          raise Refusal.new(:not_here, 'You are not in this class.') unless seat && !seat.out? && seat.place != Sittings::Places::WAITING
          return if state.takes?(input[:round], scene.at)
          raise Refusal.new(:poll_not_yet, 'Answers are taken once you have talked it over. What you chose stays here.') if early?

          raise Refusal.new(:poll_closed, 'This poll is closed. What you chose stays here, and is not counted.')
        end

        def early? = state.round&.then { |round| round[:round] == input[:round] && scene.at < round[:from] }

        def ballot(value)
          Ballot.new(poll: scene.name(:home), round: input[:round], person: by.id, value: value, change: Question.changing?(state.question))
        end

        def named(value)
          stream = Streams::StreamName.answers(sitting.id, Streams::StreamName.part(scene.name(:home)))
          given = scene.of(stream).by_person(input[:round])
          return if given.key?(by.id) && given[by.id] == value

          AnswerPoll.unchanging! if given.key?(by.id) && !Question.changing?(state.question)
          entry('answered', { round: input[:round], value: value }, on: stream)
        end
      end
    end
  end
end
