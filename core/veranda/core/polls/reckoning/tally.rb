# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What the answers of one round come to, each kind in its own way. Who answered what is in no part of it.
      #
      #   Tally.new(question, [['a'], ['b'], ['a']]).to_h #=> { count: 3, options: [{ id: 'a', count: 2 }, …], right: nil }
      class Tally
        # Without names, so few answers are not broken down: one would know who gave which.
        FEWEST = 3
        # px of the squares in which spots are counted.
        SQUARE = 40

        # @param question [Hash] see {Question}
        # @param answers [Array<Object>] as {Answer} keeps them, one of each who answered
        # @param nameless [Boolean]
        # @param moved [Hash{String => String}] see {Likeness}
        # @param struck [Array<String>] keys of written answers that staff have taken from view
        # @param idle [Set<String>] words that tell nothing in a cloud
        def initialize(question, answers, nameless: false, moved: {}, struck: [], idle: IdleWords::ENGLISH)
          @question = question
          @answers = answers
          @nameless = nameless
          @moved = moved
          @struck = struck
          @idle = idle
        end

        # @return [Hash] `{ count:, right: }`, and of those that there are: `options:`, `places:`, `condorcet:`, `groups:`, `spread:`,
        #   `points:`,
        #   `bins:`, `spots:`. `count` alone where more would tell too much.
        def to_h
          return { count: @answers.length, right: nil } if @nameless && @answers.length < FEWEST

          { count: @answers.length, right: right, **parts }
        end

        private

        # @return [Float, nil] share of those who answered; nil where nothing is right, or nobody did
        def right
          return unless Question.graded?(@question) && @answers.any?

          grader = Answer.new(@question)
          @answers.count { |answer| grader.grade(answer) } / @answers.length.to_f
        end

        def parts
          case @question[:kind]
          when 'order' then ordered
          when 'short' then { groups: groups(@answers) }
          when 'cloud' then { groups: groups(@answers.flatten(1)).reject { |group| @idle.include?(group[:key]) } }
          when 'scale' then { spread: Spread.of(@answers), points: points }
          when 'number' then { spread: Spread.of(@answers), bins: Spread.bins(@answers) }
          when 'spot' then { spots: spots }
          else { options: options }
          end
        end

        def options
          counts = @answers.flatten(1).tally
          Question.options(@question).map { |option| { id: option[:id], count: counts[option[:id]] || 0 } }
        end

        def ordered
          found = Ordered.new(Question.options(@question).map { |option| option[:id] }, @answers)
          { places: found.places, condorcet: found.condorcet }
        end

        def groups(texts) = Likeness.new(texts, moved: @moved).groups.reject { |group| @struck.include?(group[:key]) }

        def points
          counts = @answers.tally
          (1..(@question[:points] || Question::USUAL_POINTS)).map { |point| { point: point, count: counts[point] || 0 } }
        end

        # @return [Array<Hash>] squares in which there is a spot, `{ x:, y:, count: }`, px of their corner
        def spots
          squares = @answers.map { |spot| spot.map { |value| (value / SQUARE).floor * SQUARE } }.tally
          squares.map { |(x, y), count| { x: x, y: y, count: count } }.sort_by { |row| row.values_at(:y, :x) }
        end
      end
    end
  end
end
