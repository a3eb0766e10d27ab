# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Which wishes cannot be met together: a set of which none can be left out, the smallest of those found in several orders.
      class Contradiction
        # Orders in which wishes are left out one by one.
        ORDERS = 4
        # Sets that are tried, at most.
        MOST_TRIES = 600

        # @param people [Array<String>]
        # @param places [Array<Integer>] sizes of the rooms
        # @param rng [Random]
        def initialize(people, places, rng:)
          @people = people
          @places = places
          @rng = rng
          @left = MOST_TRIES
        end

        # @param wishes [Array<Wish>] hard ones
        # @return [Array<Wish>, nil] in the order in which they were wished; nil when all can be met, or nothing else is known
        def smallest(wishes)
          return unless refuted?(wishes)

          alone = wishes.find { |wish| refuted?([wish]) }
          return [alone] if alone

          found = Array.new(ORDERS) { |i| shrink(i.zero? ? wishes : wishes.shuffle(random: @rng)) }.min_by(&:length)
          wishes & found
        end

        # @return [Boolean] whether it is certain that these cannot be met
        def refuted?(wishes)
          parties = Parties.new(@people, wishes, @places.length)
          parties.torn? || Placement.new(*parties.tied, @places).call.nil?
        end

        private

        # Halves first, so that most wishes of many go by in few tries.
        def shrink(wishes, part = wishes.length / 2)
          return wishes if part.zero?

          start = 0
          while start < wishes.length
            fewer = wishes[0, start] + (wishes[(start + part)..] || [])
            (@left -= 1).positive? && refuted?(fewer) ? wishes = fewer : start += part
          end
          shrink(wishes, part / 2)
        end
      end
    end
  end
end
