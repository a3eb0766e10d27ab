# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What the commands of staff on a poll of the class share: they name it in `poll` and are given on the staff's stream.
      class PollCommand < Sittings::SittingCommand
        looks_at :staff

        # @param concern [Streams::Concern]
        # @return [Array<String>]
        def self.poll_of(concern) = [Streams::StreamName.poll(concern.sitting_id, concern.input[:poll])]

        # @param concern [Streams::Concern]
        # @return [Array<String>]
        def self.answers_of(concern) = [Streams::StreamName.answers(concern.sitting_id, concern.input[:poll])]

        private

        def teaching!
          staff!('Only instructors and assistants run polls.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
        end

        def poll_stream = Streams::StreamName.poll(sitting.id, input[:poll])
        def answers_stream = Streams::StreamName.answers(sitting.id, input[:poll])
        def poll = scene.of(poll_stream)
        def answers = scene.of(answers_stream)

        # @return [Hash] the row of the poll among those that are staged
        def staged!
          plan.polls[input[:poll]] || raise(Refusal.new(:no_such_poll, 'There is no such poll in this class.'))
        end

        # @return [Hash] the same, of one that was opened once
        def begun!
          staged!.tap { |row| raise Refusal.new(:poll_not_opened, 'This poll was not opened yet.') unless row[:begun] }
        end

        # @return [Hash] the round that is named
        def round!
          poll.rounds.find { |round| round[:round] == input[:round] } || raise(Refusal.new(:no_such_round, 'This poll has no such round.'))
        end
      end
    end
  end
end
