# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Deals people into rooms: hard wishes are met, or named; then as few as possible meet again whom the course has seated together
      # before; then soft wishes. The same seed gives the same deal.
      #
      # It begins with rounds of a known construction where there is one for the roster, so that a class that is always whole goes through
      # a whole course without meeting twice, and with a greedy seating; takes the best of these; and searches on from there.
      class Deal
        # Exchanges that are weighed, if nothing else is said: about 40 ms for thirty people.
        STEPS = 150_000
        # The share of them that the quick search may use.
        QUICK = 0.4
        # People, for more of whom constructions are not tried.
        MOST_CONSTRUCTED = 120

        # @param people [Array<String>] ids of those to be seated, nobody twice
        # @param sizes [Array<Integer>] people in each room, see {Sizes}; their sum is all people
        # @param wishes [Array<Wish>]
        # @param meetings [Meetings]
        # @param traits [Hash{String => Hash{String => String, Numeric}}] what is known of people, for wishes to mix or level
        # @param roster [Array<String>] everyone of the course, also who is not here
        # @param seed [Integer]
        # @param steps [Integer]
        def initialize(people:, sizes:, seed:, wishes: [], meetings: Meetings.new, traits: {}, roster: people, steps: STEPS)
          raise ArgumentError, 'Sizes do not add up to the people.' unless sizes.sum == people.length

          @people = people.sort
          @sizes = sizes
          @wishes = wishes.map { |wish| wish.among(@people) }
          @meetings = meetings
          @traits = traits
          @roster = (roster | people).sort
          @rng = Random.new(seed)
          @steps = steps
          @contradictions = []
        end

        # @return [Dealt]
        def call
          return dealt([], []) if @people.empty?

          hard, soft = @wishes.partition(&:hard?)
          kept = consistent(hard)
          @parties = Parties.new(@people, kept, @sizes.length)
          @likings = Likings.new(kept + soft, @traits, pairs_seated)
          rooms = search(best_start).map { |units| units.flat_map { |unit| @parties.units[unit] }.shuffle(random: @rng) }
          dealt(rooms, hard)
        end

        private

        def pairs_seated = @sizes.sum { |size| size * (size - 1) / 2 }

        # Gives up the last wish of each contradiction until there is none.
        def consistent(hard)
          finder = Contradiction.new(@people, @sizes, rng: @rng)
          while hard.any? && (found = finder.smallest(hard))
            @contradictions << found
            hard -= [found.last]
          end
          hard
        end

        def weights = @weights ||= @parties.units.length == @people.length ? between_people : between_units

        def between_people
          return met unless @likings.any?

          met.each_with_index.map do |row, i|
            row.each_with_index.map { |weight, j| i == j ? 0 : weight + @likings.between(@people[i], @people[j]) }
          end
        end

        def between_units
          number = @people.each_with_index.to_h
          units = @parties.units.map { |unit| unit.map { |person| number[person] } }
          rows = between_people
          units.map { |unit| units.map { |other| unit.equal?(other) ? 0 : unit.sum { |i| other.sum { |j| rows[i][j] } } } }
        end

        def met = @met ||= @meetings.weights(@people, @roster | @people)

        def best_start
          starts = [Greedy.call(weights, @parties.sizes, @sizes, rng: @rng), *constructed].compact
          starts << placed if starts.empty? || starts.all? { |rooms| cost(rooms) >= Likings::SPREAD }
          starts.compact.min_by { |rooms| cost(rooms) }
        end

        def cost(rooms) = Seating.new(weights, rooms).cost

        def constructed
          return [] if @parties.units.length < @people.length || @roster.length > MOST_CONSTRUCTED

          Constructed.new(@roster, @people, @sizes, weights).starts
        end

        # Hard wishes were found not to contradict one another, so that this mostly finds a way.
        def placed
          tied = Placement.new(@parties.sizes, @parties.apart, @sizes).call
          tied || Greedy.call(weights, @parties.sizes, @sizes, rng: @rng, strict: false)
        end

        def search(rooms)
          quick = (@steps * QUICK).round
          rooms = Tabu.new(weights, sizes: @parties.sizes, rng: @rng, steps: quick).call(rooms)
          cold = @likings.soft? ? @likings.grain : Annealing::COLD
          Annealing.new(weights, sizes: @parties.sizes, rng: @rng, steps: @steps - quick, cold: cold).call(rooms)
        end

        def dealt(rooms, hard)
          again = rooms.flat_map { |room| room.sort.combination(2).to_a }
                       .filter_map { |one, other| [one, other, @meetings.times(one, other)] if @meetings.times(one, other).positive? }
          given_up = hard.reject { |wish| Met.met?(wish, rooms) }
          Dealt.new(rooms: rooms, again: again, bound: Bound.repeats(met, @sizes), contradictions: @contradictions,
                    given_up: given_up, cost: { hard: given_up.length, again: again.length, soft: soft_cost(rooms) })
        end

        def soft_cost(rooms)
          return 0.0 unless @likings&.soft?

          pairs = rooms.flat_map { |room| room.combination(2).to_a }
          pairs.sum { |one, other| @likings.soft(one, other) } / [pairs.length, 1].max
        end
      end
    end
  end
end
