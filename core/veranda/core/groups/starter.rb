# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Rounds from one round that is turned: people stand on wheels of as many spokes as there are rounds, a few in the middle, and each
      # round is the first one turned by a spoke. Nobody meets anybody twice when no difference between two of a room, on or between
      # wheels, comes twice in the first round (a starter: R. C. Bose, On the construction of balanced incomplete block designs, Annals of
      # Eugenics 9 (1939)).
      #
      # The first round is looked for by going back and trying again, in an order by chance, begun anew when it takes long.
      class Starter
        # Tries, and people who are placed in each at most.
        TRIES = 40
        PATIENCE = 1_500

        # First rounds that were found by a long annealing, by people, size and rounds. In this one a single difference comes twice, so that
        # ten of its 480 pairs meet twice; that nobody need do so is published (A. Aguado, A 10 Days Solution to the Social Golfer
        # Problem, 2004).
        NEARLY = {
          [32, 4, 10] => [[11, 5, 8, 7], [3, 18, 12, 23], [26, 24, 10, 0], [29, 16, 4, 31],
                          [9, 20, 21, 27], [15, 14, 17, 22], [19, 30, 1, 28], [25, 6, 13, 2]]
        }.freeze

        # @return [Array<Array<Array<Integer>>>, nil] rounds in which few meet twice
        def self.nearly(count, size, rounds)
          first = NEARLY[[count, size, rounds]] or return
          new(count, size, rounds, rng: nil).turn(first)
        end

        # @param count [Integer] people, a multiple of the size
        # @param size [Integer]
        # @param rounds [Integer] wished at least
        # @param rng [Random]
        # @return [Array<Array<Array<Integer>>>, nil] people in each room of each round
        def self.rounds(count, size, rounds, rng:)
          most = (count - 1) / (size - 1)
          wheels = rounds.upto(most).select { |spokes| spokes <= count && count % spokes <= count / size }
          starters = wheels.map { |spokes| new(count, size, spokes, rng: rng) }
          TRIES.times { starters.each { |starter| (found = starter.try) && (return found) } }
          nil
        end

        # @param spokes [Integer] rounds
        def initialize(count, size, spokes, rng:)
          @count = count
          @size = size
          @spokes = spokes
          @turning = count - (count % spokes)
          @rng = rng
        end

        # @return [Array<Array<Array<Integer>>>, nil]
        def try
          @order = (0...@count).to_a.shuffle(random: @rng).sort_by { |one| one < @turning ? 1 : 0 }
          @left = PATIENCE
          @met = {}
          @free = Array.new(@count, true)
          @rooms = []
          turn(@rooms) if fill
        end

        # @param first [Array<Array<Integer>>] rooms of the first round
        # @return [Array<Array<Array<Integer>>>]
        def turn(first) = Array.new(@spokes) { |spoke| first.map { |room| room.map { |one| turned(one, spoke) } } }

        private

        def fill
          first = @order.find { |one| @free[one] } or return true
          take(first, [first]) { |room| seat(room, @order.index(first) + 1) }
        end

        def seat(room, from)
          return settle(room) if room.length == @size

          (from...@count).any? do |i|
            one = @order[i]
            return false if @left <= 0
            next false unless @free[one]

            meetings = room.map { |mate| difference(mate, one) }
            next false if meetings.uniq.length < meetings.length || meetings.any? { |meeting| meeting.nil? || @met[meeting] }

            @left -= 1
            meet(meetings) { take(one, room + [one]) { |more| seat(more, i + 1) } }
          end
        end

        def settle(room)
          @rooms << room
          fill || !@rooms.pop
        end

        def take(one, room)
          @free[one] = false
          yield(room) || !(@free[one] = true)
        end

        def meet(meetings)
          meetings.each { |meeting| @met[meeting] = true }
          yield || meetings.each { |meeting| @met.delete(meeting) }.clear.any?
        end

        # What stays the same of two people when all are turned; nil when they would meet twice by that.
        def difference(one, other)
          one, other = other, one if one > other
          return (one >= @turning ? nil : [wheel(one), other]) if other >= @turning

          turn = (other - one) % @spokes
          return [wheel(one), wheel(other), turn] unless wheel(one) == wheel(other)

          turn * 2 == @spokes ? nil : [wheel(one), [turn, @spokes - turn].min]
        end

        def wheel(one) = one / @spokes

        def turned(one, spoke)
          one >= @turning ? one : (wheel(one) * @spokes) + ((one + spoke) % @spokes)
        end
      end
    end
  end
end
