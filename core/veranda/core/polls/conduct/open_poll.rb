# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Opens a poll: it is put to everyone whom it is for, and they may answer. Every opening is a round. One that a cue holds is staged by
      # this as well.
      class OpenPoll < PollCommand
        on :staff, 'poll.open'
        begins { |concern| poll_of(concern) + answers_of(concern) }

        contract do
          required(:poll).value(Types::ID)
          # The one that is to be opened, so that who asks twice opens one.
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          optional(:seconds).maybe(:integer, gteq?: 5, lteq?: 3_600)
          # People were asked to talk it over.
          optional(:talk).value(:bool)
        end

        def decide
          teaching!
          going_on!
          return if poll.rounds.length >= input[:round]

          in_turn!
          [*staging, *beginning, entry('round_opened', { round: input[:round], ends_at: ends_at, talk: input[:talk] || false }, on: poll_stream)]
        end

        private

        def row = plan.polls[input[:poll]]
        def cue = plan.cue(input[:poll])&.then { |cue| cue if cue[:kind] == 'poll' }
        def question = row ? row[:question] : cue[:question]
        def place = row && row[:place]

        def in_turn!
          raise Refusal.new(:no_such_poll, 'There is no such poll in this class.') unless row || cue&.fetch(:question, nil)
          raise Refusal.new(:poll_open, 'This poll is open already.') if poll.round
          raise Refusal.new(:no_such_round, 'This poll has no round before that.') if input[:round] > poll.rounds.length + 1

          Question.sound!(question)
        end

        def staging
          return [] if row

          [entry('cued', { cue: input[:poll] }),
           entry('poll_staged', { id: input[:poll], question: question, place: nil, step: sitting.step&.fetch(:id) })]
        end

        def beginning
          told = poll.begun? ? [] : [entry('poll_begun', { question: question.except(*Poll::KEPT_BACK), place: place }, on: poll_stream)]
          row && row[:begun] && !row[:away] ? told : [*told, entry('poll_opened', { poll: input[:poll] })]
        end

        def ends_at
          seconds = input.key?(:seconds) ? input[:seconds] : question[:seconds]
          seconds && scene.at + (seconds * 1_000)
        end
      end
    end
  end
end
