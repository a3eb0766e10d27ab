# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Tabu search over all rounds of a course at once, for as few repeated pairings as there can be: in each turn two who meet too
      # often are parted in one of their rounds, by the exchange that costs least.
      #
      # After I. Dotú and P. Van Hentenryck, Scheduling Social Golfers Locally, CPAIOR 2005: the cost of a pair is the number of ways to
      # choose two of its meetings, only exchanges that touch a repeated pair are looked at, and who changed places does not at once go
      # back.
      class CourseSearch
        TENURE = 4
        SPREAD = 40

        # @param met [Array<Array<Integer>>] how often two people have met before
        # @param rng [Random]
        # @param steps [Integer] exchanges that are weighed, at most
        # @param bound [Integer] a cost below which nothing is possible
        def initialize(met, rng:, steps:, bound: 0)
          @met = met.map(&:dup)
          @rng = rng
          @left = steps
          @bound = bound
        end

        # @param rounds [Array<Array<Array<Integer>>>] people in each room of each round, to begin with
        # @return [Array<Array<Array<Integer>>>] the best that was found
        def call(rounds)
          take(rounds)
          @best_cost = @cost
          keep
          turn while @left.positive? && @best_cost > @bound
          @best
        end

        attr_reader :best_cost

        private

        def take(rounds)
          @rounds = rounds.map { |rooms| rooms.map(&:dup) }
          @room_of = @rounds.map { |rooms| rooms.each_with_index.with_object([]) { |(room, i), of| room.each { |one| of[one] = i } } }
          @barred = Array.new(rounds.length) { Array.new(@met.length) { Array.new(@met.length, 0) } }
          @turn = 0
          @cost = 0
          each_pair { |one, other| join(one, other) }
          @repeated = {}
          each_pair { |one, other| note(one, other) }
        end

        def each_pair(&block) = @rounds.each { |rooms| rooms.each { |room| room.combination(2, &block) } }

        def join(one, other)
          @cost += @met[one][other]
          @met[one][other] += 1
          @met[other][one] += 1
        end

        def part(one, other)
          @met[one][other] -= 1
          @met[other][one] -= 1
          @cost -= @met[one][other]
        end

        def note(one, other)
          key = one < other ? (one * @met.length) + other : (other * @met.length) + one
          @met[one][other] > 1 ? @repeated[key] = true : @repeated.delete(key)
        end

        def turn
          @turn += 1
          round, one = whose_turn
          return @left = 0 unless round

          other = cheapest(round, one)
          return unless other

          @barred[round][one][other] = @barred[round][other][one] = @turn + TENURE + @rng.rand(SPREAD)
          exchange(round, one, other)
          return unless @cost < @best_cost

          @best_cost = @cost
          keep
        end

        # One of two who meet too often, and a round in which they do.
        def whose_turn
          keys = @repeated.keys
          keys.length.times do
            one, other = keys[@rng.rand(keys.length)].divmod(@met.length)
            together = @rounds.each_index.select { |round| @room_of[round][one] && @room_of[round][one] == @room_of[round][other] }
            next if together.empty?

            return [together[@rng.rand(together.length)], @rng.rand(2).zero? ? one : other]
          end
          nil
        end

        def cheapest(round, one)
          home = @room_of[round][one]
          here = @rounds[round][home]
          less = meetings_left(one, here)
          pick = Pick.new(@rng)
          @rounds[round].each_with_index { |there, room| try(round, one, here, there, less, pick) unless room == home }
          @left -= @met.length
          pick.found
        end

        # Whoever changes places leaves behind all they have met in their room, and meets all of the other but the one who goes.
        def try(round, one, here, there, less, pick)
          more = there.sum { |mate| @met[one][mate] } - less
          there.each do |other|
            delta = more + here.sum { |mate| @met[other][mate] } - (2 * @met[one][other]) - meetings_left(other, there)
            next unless pick.worth?(delta)

            pick.offer(other, delta) if @barred[round][one][other] <= @turn || @cost + delta < @best_cost
          end
        end

        # How much dearer it was made by somebody that they are in a room.
        def meetings_left(one, room) = room.sum { |mate| mate == one ? 0 : @met[one][mate] - 1 }

        def exchange(round, one, other)
          home, away = @room_of[round][one], @room_of[round][other]
          change(@rounds[round][home], one, other)
          change(@rounds[round][away], other, one)
          @room_of[round][one], @room_of[round][other] = away, home
        end

        def change(room, leaving, entering)
          room.each do |mate|
            next if mate == leaving

            part(leaving, mate)
            note(leaving, mate)
            join(entering, mate)
            note(entering, mate)
          end
          room[room.index(leaving)] = entering
        end

        def keep = @best = @rounds.map { |rooms| rooms.map(&:dup) }
      end
    end
  end
end
