# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # The floor of a place: lent to one person, who may then speak, draw and share there whatever the rules say, until it is
      # taken back, passed on or its time is over. Rules and exceptions are as they were, before and after.
      #
      # In a place's state it is `{ person:, since:, until: }`, ms since the epoch; `until` is nil where no time was set.
      module Floor
        # s
        SHORTEST = 10
        LONGEST = 3_600

        module_function

        # @param floor [Hash, nil]
        # @param at [Integer, nil] ms since the epoch
        # @return [Boolean] whether its time is over
        def over?(floor, at) = !(floor&.fetch(:until).nil? || at.nil?) && at >= floor[:until]

        # @return [Boolean] whether somebody has it
        def of?(floor, person, at) = !floor.nil? && floor[:person] == person && !over?(floor, at)
      end
    end
  end
end
