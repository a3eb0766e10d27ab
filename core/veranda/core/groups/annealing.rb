# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Slow search for a cheaper seating: two by chance change places when that is cheaper, and else the less likely the dearer it is and
      # the later it happens. S. Kirkpatrick et al., Optimization by Simulated Annealing, Science 220 (1983).
      #
      # Who must stay together changes places with as many others, since one by one they never would.
      class Annealing
        # By how much dearer an exchange may be at first and at last, in meetings.
        HOT = 0.35
        COLD = 0.12

        # @param weights [Array<Array<Integer>>] see {Seating}
        # @param sizes [Array<Integer>] people in each unit
        # @param rng [Random]
        # @param steps [Integer] exchanges that are weighed
        # @param cold [Float] the last temperature, in meetings
        def initialize(weights, sizes:, rng:, steps:, cold: COLD)
          @weights = weights
          @sizes = sizes
          @rng = rng
          @steps = steps
          @cooling = (cold / HOT)**(1.0 / [steps, 1].max)
        end

        # @param rooms [Array<Array<Integer>>] units in each room, to begin with
        # @return [Array<Array<Integer>>] the best that was found
        def call(rooms)
          @seating = Seating.new(@weights, rooms)
          @cost = @best_cost = @seating.cost
          @best = rooms.map(&:dup)
          @heat = HOT * Meetings::ONCE
          @steps.times do
            break if @best_cost.zero?

            @heat *= @cooling
            step
          end
          @best
        end

        private

        def step
          one, other = @rng.rand(@sizes.length), @rng.rand(@sizes.length)
          return if @seating.room_of[one] == @seating.room_of[other]
          return exchange_several(one, other) unless @sizes[one] == @sizes[other]

          delta = @seating.exchange_delta(one, other)
          return unless taken?(delta)

          @seating.exchange(one, other)
          moved(delta)
        end

        def taken?(delta) = delta <= 0 || @rng.rand < Math.exp(-delta / @heat)

        def moved(delta)
          @cost += delta
          return unless @cost < @best_cost

          @best_cost = @cost
          @best = @seating.rooms.map(&:dup)
        end

        def exchange_several(one, other)
          one, other = other, one if @sizes[one] < @sizes[other]
          others = as_many(one, other) or return
          delta = @seating.swap_delta(one, others)
          return unless taken?(delta)

          @seating.swap(one, others)
          moved(delta)
        end

        # @return [Array<Integer>, nil] units of the other's room, by chance, that are as many people as the first
        def as_many(one, other)
          wanted = @sizes[one] - @sizes[other]
          others = [other]
          @seating.rooms[@seating.room_of[other]].shuffle(random: @rng).each do |unit|
            next if unit == other || @sizes[unit] > wanted

            others << unit
            wanted -= @sizes[unit]
            return others if wanted.zero?
          end
          nil
        end
      end
    end
  end
end
