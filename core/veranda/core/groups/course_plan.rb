# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # All rounds of a course at once, for people who always come: by a construction where one fits, else deals one after the other, and
      # a search over all of them.
      module CoursePlan
        module_function

        # @param count [Integer] people
        # @param size [Integer] wished in each room
        # @param rounds [Integer]
        # @param seed [Integer]
        # @param steps [Integer] exchanges that are weighed, at most
        # @return [Array<Array<Array<Integer>>>] people in each room of each round
        def call(count:, size:, rounds:, seed:, steps:)
          nearly = Starter.nearly(count, size, rounds)
          constructed = Constructions.whole(count, size, rounds) if (count % size).zero? && nearly.nil?
          return constructed if constructed

          rng = Random.new(seed)
          met = Array.new(count) { Array.new(count, 0) }
          CourseSearch.new(met, rng: rng, steps: steps).call(nearly || greedy(met.map(&:dup), Sizes.of_size(count, size), rounds, rng))
        end

        def greedy(met, sizes, rounds, rng)
          Array.new(rounds) do
            weights = met.map { |row| row.map { |times| times * Meetings::ONCE } }
            units = Array.new(met.length, 1)
            rooms = Greedy.call(weights, units, sizes, rng: rng)
            rooms = Tabu.new(weights, sizes: units, rng: rng, steps: Deal::STEPS / 4).call(rooms)
            rooms.each { |room| room.permutation(2) { |one, other| met[one][other] += 1 } }
          end
        end
        private_class_method :greedy
      end
    end
  end
end
