# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Opens a poll: it is put to everyone whom it is for, and they may answer, at once or when they have talked it over. Every opening
      # is a round. One that a cue holds, or that is written in one go ({Quick}), is staged by this as well.
      class OpenPoll < PollCommand
        on :staff, 'poll.open'
        begins { |concern| poll_of(concern) + answers_of(concern) }

        contract do
          required(:poll).value(Types::ID)
          # The one that is to be opened, so that who asks twice opens one.
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          optional(:seconds).maybe(:integer, gteq?: 5, lteq?: 3_600)
          # So long people talk it over before answers are taken.
          optional(:talk).value(:integer, gteq?: 10, lteq?: 1_800)
          # A question in one go, of a poll that is new.
          optional(:text).value(:string, max_size?: Exchange::WritePost::LIMIT)
        end

        def decide
          teaching!
          going_on!
          return if poll.rounds.length >= input[:round]

          in_turn!
          [*staging, *beginning,
           entry('round_opened', { round: input[:round], from: from, ends_at: ends_at, talk: input.key?(:talk) }, on: poll_stream)]
        end

        private

        def row = plan.polls[input[:poll]]
        def cue = @cue ||= plan.poll_of_cue(input[:poll])
        def set = row ? row[:set] : cue&.fetch(:set)
        def question = @question ||= row&.fetch(:question) || cue&.fetch(:question, nil) || (Quick.read(input[:text]) if input[:text])
        def from = scene.at + ((input[:talk] || 0) * 1_000)
        def place = row && row[:place]

        def in_turn!
          raise Refusal.new(:no_such_poll, 'There is no such poll in this class.') unless question
          raise Refusal.new(:too_many_polls, "A class has up to #{Staged::MOST} polls.") if row.nil? && plan.polls.size >= Staged::MOST
          raise Refusal.new(:poll_open, 'This poll is open already.') if poll.round
          raise Refusal.new(:no_such_round, 'This poll has no round before that.') if input[:round] > poll.rounds.length + 1

          Question.sound!(question)
        end

        def staging
          return [] if row

          [(entry('cued', { cue: cue[:cue] }) if cue && !plan.cued.include?(cue[:cue])),
           entry('poll_staged', { id: input[:poll], question: question, place: nil, set: set, step: sitting.step&.fetch(:id) })]
        end

        def beginning
          told = if poll.begun?
                   []
                 else
                   [entry('poll_begun', { question: question.except(*Poll::KEPT_BACK), place: place, set: set },
                          on: poll_stream)]
                 end
          row && row[:begun] && !row[:away] ? told : [*told, entry('poll_opened', { poll: input[:poll] })]
        end

        def ends_at
          seconds = input.key?(:seconds) ? input[:seconds] : question[:seconds]
          seconds && from + (seconds * 1_000)
        end
      end
    end
  end
end
