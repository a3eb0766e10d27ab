# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Draws pairs or threes by a seed, fairly over the course: whoever has met least often meets now.
      #
      # A greedy draw in a shuffled order, begun anew several times, of which the one is taken in which fewest meet again. The cost of a
      # draw is the sum of the squares of how often its partners have met, so that two who met twice weigh more than two couples that
      # met once.
      module Pairing
        SIZES = [2, 3].freeze
        # Draws that are compared, and comparisons in all of them, at most.
        TRIES = 40
        MOST_WORK = 600_000

        module_function

        # @param people [Array<String>] ids
        # @param size [Integer] 2 or 3; where that does not come out, some groups are of one more (of two), or fewer (of three)
        # @param met [Hash{Array<String> => Integer}] how often two people (in order of their ids) were partners
        # @param seed [Integer]
        # @return [Array<Array<String>>] groups; whoever comes first in one goes first
        # @raise [Refusal] `too_few`
        def draw(people, size:, seed:, met: {})
          raise Refusal.new(:too_few, 'For pairs there must be at least two students in the room.') if people.length < 2

          rng = Random.new(seed)
          tries = (MOST_WORK / (people.length**2)).clamp(1, TRIES)
          draws = Array.new(tries) { once(people.shuffle(random: rng), size, met) }
          draws.min_by { |groups| cost(groups, met) }.map { |group| group.shuffle(random: rng) }
        end

        # @param groups [Array<Array<String>>]
        # @return [Integer]
        def cost(groups, met) = groups.sum { |group| group.combination(2).sum { |two| times(met, *two)**2 } }

        # @param rounds [Array<Array<Array<String>>>] groups of earlier draws
        # @return [Hash{Array<String> => Integer}] how often two were partners
        def met(rounds)
          rounds.flatten(1).flat_map { |group| group.sort.combination(2).to_a }.tally
        end

        def once(people, size, met)
          sizes(people.length, size).map do |length|
            group = [people.shift]
            (length - 1).times { group << people.delete_at(nearest(people, group, met)) }
            group
          end
        end
        private_class_method :once

        def nearest(people, group, met)
          people.each_index.min_by { |i| group.sum { |one| times(met, people[i], one)**2 } }
        end
        private_class_method :nearest

        def sizes(count, size)
          groups = size == 2 ? count / 2 : (count / 3.0).ceil
          Array.new(groups) { |i| (count / groups) + (i < count % groups ? 1 : 0) }
        end
        private_class_method :sizes

        def times(met, one, other) = met[one < other ? [one, other] : [other, one]] || 0
        private_class_method :times
      end
    end
  end
end
