# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What the answers of one round of a poll come to, or of two side by side, as staff see it and as it may be shown to all: nobody's
      # name is in it.
      #
      #   Results.new(question, answers).of(2, since: 1)
      #   #=> { round: 2, since: 1, tally: { count: 11, right: 0.82, … }, before: { … }, moves: { count:, moved:, ways:, right: } }
      class Results
        # @param question [Hash] with what is right
        # @param answers [Answers]
        def initialize(question, answers)
          @question = question
          @answers = answers
        end

        # @param round [Integer]
        # @param since [Integer, nil] an earlier round
        # @return [Hash]
        def of(round, since: nil)
          alone = { round: round, tally: tally(round) }
          alone = { **alone, struck: @answers.struck } if @answers.struck.any?
          since ? { **alone, since: since, before: tally(since), moves: moves(since, round) } : alone
        end

        # @param round [Integer]
        # @return [Hash] see {Tally}
        def tally(round) = tally_of(@answers.of(round), count: @answers.count(round))

        # @param given [Array<Object>] answers that are in no stream yet
        # @param count [Integer] how many answered, of whom fewer may be told apart
        def tally_of(given, count: given.length)
          told = Tally.new(@question, given, nameless: nameless?, moved: @answers.moved, struck: @answers.struck).to_h
          if told[:groups]
            told = told.merge(groups: told[:groups].map do |group|
              { **group, words: @answers.named[group[:key]] || group[:words] }
            end)
          end
          { **told, count: count }
        end

        private

        def nameless? = Question.nameless?(@question)

        def moves(since, round)
          return @answers.moves(since, round)&.except(:since) if nameless?

          Moves.of(@question, @answers.by_person(since), @answers.by_person(round)).to_h
        end
      end
    end
  end
end
