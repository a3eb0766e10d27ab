# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # A seating to begin with: larger units first, else in an order by chance, each goes where it costs least.
      module Greedy
        module_function

        # @param weights [Array<Array<Integer>>] between units
        # @param units [Array<Integer>] people in each
        # @param sizes [Array<Integer>] people in each room
        # @param rng [Random]
        # @param strict [Boolean] whether no room may get more than its people
        # @return [Array<Array<Integer>>, nil] units in each room; nil when a unit did not fit any more
        def call(weights, units, sizes, rng:, strict: true)
          rooms = sizes.map { [] }
          free = sizes.dup
          fit = in_order(units, rng).all? do |unit|
            room = cheapest(rooms, free, units[unit], weights[unit]) || (free.index(free.max) unless strict)
            next unless room

            rooms[room] << unit
            free[room] -= units[unit]
          end
          rooms if fit
        end

        def in_order(units, rng) = units.each_index.to_a.shuffle(random: rng).sort_by.with_index { |unit, i| [-units[unit], i] }
        private_class_method :in_order

        def cheapest(rooms, free, size, row)
          found, least = nil, nil
          rooms.each_with_index do |others, room|
            next if free[room] < size

            cost = others.sum { |other| row[other] }
            next if least && (cost > least || (cost == least && free[room] <= free[found]))

            found, least = room, cost
          end
          found
        end
        private_class_method :cheapest
      end
    end
  end
end
