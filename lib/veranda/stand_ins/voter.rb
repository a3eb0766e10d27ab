# frozen_string_literal: true

module Veranda
  module StandIns
    # How a simulated student answers polls: at first right with a chance of {FIRST}; in later rounds who was wrong turns to what is
    # right with a chance of {TURN}, and who was right stays so with one of {STAY}. Where nothing is right, or what is right is not known,
    # by chance; numbers and points of a scale around a middle.
    class Voter
      FIRST = 0.45
      TURN = 0.6
      STAY = 0.95
      # Written when anything may be.
      WORDS = ['Fog horn', 'fog horn', 'foghorn', 'Bell', 'bell', 'whistle', 'Gong', 'one long blast', 'fog hron'].freeze

      # @param rng [Random]
      def initialize(rng)
        @rng = rng
        @right = {}
        @answered = {}
      end

      # @param poll [Hash] `{ id:, round:, question: }`
      # @return [Boolean] whether it has not answered this round yet
      def to_answer?(poll) = (@answered[poll[:id]] || 0) < poll[:round]

      # @return [Object] as it is sent
      def answer(poll)
        @answered[poll[:id]] = poll[:round]
        chance = { nil => FIRST, true => STAY, false => TURN }.fetch(@right[poll[:id]])
        right = @rng.rand < chance
        @right[poll[:id]] = right
        question = poll[:question]
        public_send(:"answer_#{question[:kind]}", question, question[:right] || {}, right)
      end

      # @param told [Hash] what is right
      # @param right [Boolean] whether it will be
      def answer_one(question, told, right) = pick(ids(question), told[:options] || [], right)
      alias answer_yes_no answer_one

      def answer_several(question, told, right)
        return told[:options] if right && told[:options]

        few, many = Core::Polls::Question.bounds(question)
        ids(question).sample(@rng.rand(few..many), random: @rng)
      end

      def answer_order(question, told, right) = right && told[:options] ? told[:options] : ids(question).shuffle(random: @rng)
      def answer_short(_question, told, right) = ((right && told[:words]) || WORDS).sample(random: @rng)
      def answer_cloud(*) = WORDS.sample(@rng.rand(1..2), random: @rng)

      # About two thirds up.
      def answer_scale(question, *)
        points = question[:points] || Core::Polls::Question::USUAL_POINTS
        ((points * 0.62) + (points * 0.2 * about)).round.clamp(1, points)
      end

      def answer_number(question, told, right)
        middle = told[:number] || [question[:low], question[:high]].compact.then { |ends| ends.empty? ? 10 : ends.sum / ends.length.to_f }
        return middle if right && told[:number]

        (middle * (1 + (0.15 * about))).round(2).clamp(question[:low] || -Float::INFINITY, question[:high] || Float::INFINITY)
      end

      # Near the middle of what is right, or anywhere on a page of usual height.
      def answer_spot(_question, told, right)
        area = told[:area]
        return [@rng.rand(0..1600), @rng.rand(0..900)] unless area && right

        [area[:x] + (area[:w] * @rng.rand), area[:y] + (area[:h] * @rng.rand)].map(&:round)
      end

      private

      def ids(question) = Core::Polls::Question.options(question).map { |option| option[:id] }
      def pick(all, told, right) = (right && told.any? ? told : all - told).then { |some| some.empty? ? all : some }.sample(random: @rng)

      # Nearly normal, about 0 with a spread of 1: the sum of twelve (central limit).
      def about = Array.new(12) { @rng.rand }.sum - 6
    end
  end
end
