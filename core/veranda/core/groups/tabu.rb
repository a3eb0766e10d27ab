# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Quick search for a cheaper seating: in each turn somebody whose neighbours cost something changes places with whoever makes that
      # cheapest, also when it gets dearer for the moment; the two do not go back for some turns.
      #
      # After F. Glover, Tabu Search, ORSA Journal on Computing 1 (1989); the choice by conflict is that of S. Minton et al., Minimizing
      # Conflicts, Artificial Intelligence 58 (1992).
      class Tabu
        # Turns that a move is not taken back, and how many more by chance.
        TENURE = 4
        SPREAD = 8

        # @param weights [Array<Array<Integer>>] see {Seating}
        # @param sizes [Array<Integer>] people in each unit
        # @param rng [Random]
        # @param steps [Integer] exchanges that are weighed, at most
        def initialize(weights, sizes:, rng:, steps:)
          @weights = weights
          @sizes = sizes
          @rng = rng
          @left = steps
        end

        # @param rooms [Array<Array<Integer>>] units in each room, to begin with
        # @return [Array<Array<Integer>>] the best that was found
        def call(rooms)
          @seating = Seating.new(@weights, rooms)
          @cost = @best_cost = @seating.cost
          @best = rooms.map(&:dup)
          @barred = Array.new(rooms.length) { Array.new(@weights.length, 0) }
          @turn = 0
          turn while @left.positive? && @best_cost.positive?
          @best
        end

        private

        def turn
          @turn += 1
          one = whose_turn
          @left -= @weights.length
          other, delta = cheapest(one)
          return unless other

          bar(one)
          bar(other)
          @seating.exchange(one, other)
          @cost += delta
          keep if @cost < @best_cost
        end

        def whose_turn
          costs, room_of = @seating.costs, @seating.room_of
          dear = (0...room_of.length).select { |unit| costs[room_of[unit]][unit].positive? }
          dear.empty? ? @rng.rand(room_of.length) : dear[@rng.rand(dear.length)]
        end

        # @return [Array(Integer, Integer), nil] with whom to change places, and what that adds to the cost
        def cheapest(one)
          home = @seating.room_of[one]
          pick = Pick.new(@rng)
          @seating.rooms.each_with_index do |units, room|
            next if room == home

            @seating.each_exchange(one, room, units) do |other, delta|
              pick.offer(other, delta) if pick.worth?(delta) && may?(one, other, home, room, delta)
            end
          end
          pick.found && [pick.found, pick.cost]
        end

        # What is barred is done all the same when it gives the best seating so far.
        def may?(one, other, home, room, delta)
          @sizes[other] == @sizes[one] &&
            (@cost + delta < @best_cost || (@barred[room][one] <= @turn && @barred[home][other] <= @turn))
        end

        def bar(unit) = @barred[@seating.room_of[unit]][unit] = @turn + TENURE + @rng.rand(SPREAD)

        def keep
          @best_cost = @cost
          @best = @seating.rooms.map(&:dup)
        end
      end
    end
  end
end
