# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What the marks on a page came to when a round that counts them was closed, see {MarksAsVotes}: from then on it is a round like any
      # other, whatever becomes of the board.
      class CountMarks < Sittings::SittingCommand
        on :answers, 'poll.count_marks'

        contract do
          required(:round).value(:integer, gteq?: 1, lteq?: Poll::MOST_ROUNDS)
          required(:answers).value(:array).each do
            hash do
              required(:person).value(Types::ID)
              required(:value).value(:array).each(Types::ID)
            end
          end
        end

        # @param board [Boards::Board]
        # @param question [Hash] with its `regions`
        # @param people [Array<String>] ids of those whose marks count
        # @return [Hash{String => Array<String>}] ids of regions by person
        def self.count(board, question, people)
          marks = board.marks.each_value.select { |mark| mark[:page] == question[:page] && people.include?(mark[:by]) }
          MarksAsVotes.new(question[:regions], most: question[:most]).answers(marks)
        end

        def decide
          staff!('Only the house counts marks.')
          entry('marks_counted', input) unless state.by_person(input[:round]).any?
        end
      end
    end
  end
end
