# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What the commands on groups of written answers share. Groups are told apart by their keys, see {Likeness}.
      class GroupingCommand < PollCommand
        touches { |concern| PollCommand.answers_of(concern) }

        # Letters of a key.
        LONGEST_KEY = Answer::LONGEST
        # Keys that staff have put elsewhere, named or struck.
        MOST = 500

        private

        def written!
          staff!('Only instructors and assistants put answers together.')
          return if Question::WRITTEN.include?(begun![:question][:kind])

          raise Refusal.new(:not_written, 'Only written answers are put together.')
        end

        def room_for_more!(count)
          raise Refusal.new(:too_many_groups, 'Very many answers were put elsewhere already.') if count >= MOST
        end
      end
    end
  end
end
