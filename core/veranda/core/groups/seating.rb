# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Who sits in which room, with what it costs, kept up while people change places.
      #
      # For each room it knows what everybody would cost in it (`costs[room][unit]`, the sum of their weights with all who are there), so
      # that weighing an exchange is five additions, and carrying one out is one pass over the units.
      #
      # A *unit* is whoever must stay together: mostly one person.
      class Seating
        attr_reader :rooms, :room_of, :costs

        # @param weights [Array<Array<Integer>>] symmetric, between units, with zeros in its diagonal
        # @param rooms [Array<Array<Integer>>] units in each room
        def initialize(weights, rooms)
          @weights = weights
          @rooms = rooms.map(&:dup)
          @room_of = Array.new(weights.length)
          rooms.each_with_index { |units, room| units.each { |unit| @room_of[unit] = room } }
          @costs = rooms.map { |units| sums(units) }
        end

        # @return [Integer] the sum of the weights of all who sit together
        def cost = @room_of.each_with_index.sum { |room, unit| room ? @costs[room][unit] : 0 } / 2

        # @return [Integer] what changes when these two change places
        def exchange_delta(one, other)
          here, there = @costs[@room_of[one]], @costs[@room_of[other]]
          there[one] - here[one] + here[other] - there[other] - (2 * @weights[one][other])
        end

        def exchange(one, other)
          here, there = @room_of[one], @room_of[other]
          replace(here, one, other)
          replace(there, other, one)
        end

        # @yieldparam other [Integer] each of the units, which are in the room
        # @yieldparam delta [Integer] what changes when this one and it change places
        def each_exchange(one, room, units)
          here, there, weights = @costs[@room_of[one]], @costs[room], @weights[one]
          gone = there[one] - here[one]
          units.each { |other| yield other, gone + here[other] - there[other] - (2 * weights[other]) }
        end

        # @param others [Array<Integer>] units of one other room
        # @return [Integer] what changes when this one and those others change places
        def swap_delta(one, others)
          here, there, weights = @costs[@room_of[one]], @costs[@room_of[others.first]], @weights[one]
          among = others.combination(2).sum { |two| @weights[two.first][two.last] }
          there[one] - here[one] + (2 * among) + others.sum { |other| here[other] - there[other] - (2 * weights[other]) }
        end

        def swap(one, others)
          home, away = @room_of[one], @room_of[others.first]
          move(one, away)
          others.each { |other| move(other, home) }
        end

        private

        def sums(units)
          return Array.new(@weights.length, 0) if units.empty?

          rows = units.map { |unit| @weights[unit] }
          rows.first.zip(*rows.drop(1)).map(&:sum)
        end

        def replace(room, leaving, entering)
          units = @rooms[room]
          units[units.index(leaving)] = entering
          @room_of[entering] = room
          add(@costs[room], @weights[entering], @weights[leaving])
        end

        def add(costs, more, less)
          i = -1
          last = costs.length - 1
          costs[i] += more[i] - less[i] while (i += 1) <= last
        end

        def move(unit, room)
          from = @room_of[unit]
          @rooms[from].delete(unit)
          @rooms[room] << unit
          @room_of[unit] = room
          nothing = @nothing ||= Array.new(@weights.length, 0)
          add(@costs[from], nothing, @weights[unit])
          add(@costs[room], @weights[unit], nothing)
        end
      end
    end
  end
end
