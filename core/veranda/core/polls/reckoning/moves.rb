# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Two rounds of one poll side by side: who went from what to what, of those who answered in both, and how many of them were right
      # before and after. Voters are told apart by anything that is the same in both rounds, and are in nothing that this answers with.
      class Moves
        # Where names are not told, so few who moved would tell who they are.
        FEWEST = 3

        # Kinds of questions whose answers are few enough for ways between them.
        WITH_WAYS = %w[one several yes_no scale].freeze

        # Of a question: ways are between answers where these are few, else between right and wrong, or there are none.
        # @param question [Hash] with what is right
        # @param before [Hash{Object => Object}] answers by voter, as {Answer} keeps them
        # @param after [Hash{Object => Object}]
        # @param nameless [Boolean]
        # @return [Moves]
        def self.of(question, before, after, nameless: false)
          grader = Answer.new(question)
          right = ->(answer) { grader.grade(answer) } if Question.graded?(question)
          new(before, after, right: right, nameless: nameless, with_ways: WITH_WAYS.include?(question[:kind]))
        end

        # @param before [Hash{Object => Object}] what each voter answered, in the same values as `after`
        # @param after [Hash{Object => Object}]
        # @param right [#call, nil] whether an answer is right
        # @param nameless [Boolean]
        def initialize(before, after, right: nil, nameless: false, with_ways: true)
          both = before.keys & after.keys
          @pairs = both.map { |voter| [before[voter], after[voter]] }
          @right = right
          @nameless = nameless
          @with_ways = with_ways
        end

        # @return [Hash] `{ count:, ways:, right: }`
        def to_h = { count: count, ways: ways, right: right }

        # @return [Integer] how many answered in both
        def count = @pairs.length

        # @return [Array<Hash>, nil] `{ from:, to:, count: }` of every way that somebody went or stayed, most first; nil where that would
        #   tell
        #   who it was
        def ways
          return if !@with_ways || (@nameless && (count < FEWEST || moved < FEWEST))

          @pairs.tally.map { |(from, to), count| { from: from, to: to, count: count } }.sort_by.with_index { |way, i| [-way[:count], i] }
        end

        # @return [Integer] how many answered something else
        def moved = @pairs.count { |from, to| from != to }

        # @return [Hash, nil] `{ before:, after:, gain: }`, shares of those who answered in both; nil where nothing is right or nobody
        #   did. `gain`
        #   is nil where all were right before, see {Gain}
        def right
          return if @right.nil? || @pairs.empty? || (@nameless && count < FEWEST)

          before, after = [0, 1].map { |round| @pairs.count { |pair| @right.call(pair[round]) } / count.to_f }
          { before: before, after: after, gain: Gain.of(before, after) }
        end
      end
    end
  end
end
