# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # The floor of a place: lent to one person, or to several who present together, who may then speak, draw and share there whatever
      # the rules say, until it is taken back, passed on or its time is over. Rules and exceptions are as they were, before and after.
      #
      # In a place's state it is `{ person:, with:, since:, until: }`, `with` the others who have it too, times in ms since the epoch;
      # `until` is nil where no time was set.
      module Floor
        # s
        SHORTEST = 10
        LONGEST = 3_600
        # People at once.
        MOST = 300

        module_function

        # @param floor [Hash, nil]
        # @param at [Integer, nil] ms since the epoch
        # @return [Boolean] whether its time is over
        def over?(floor, at) = !(floor&.fetch(:until).nil? || at.nil?) && at >= floor[:until]

        # @return [Array<String>] ids of those who have it
        def people(floor) = floor ? [floor[:person], *floor[:with]] : []

        # @return [Boolean] whether somebody has it
        def of?(floor, person, at) = people(floor).include?(person) && !over?(floor, at)

        # @param people [Array<String>] ids, one at least
        # @return [Hash] body of the entry that lends it to them
        def lent(people, until_) = { person: people.first, until: until_, **(people.length > 1 ? { with: people.drop(1) } : {}) }

        # @return [Array] arguments of the entry after which somebody has it no longer, and the others still do
        def without(floor, person)
          rest = people(floor) - [person]
          rest.empty? ? ['floor_back'] : ['floor_lent', lent(rest, floor[:until])]
        end
      end
    end
  end
end
