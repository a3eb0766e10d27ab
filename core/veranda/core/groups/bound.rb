# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # How many pairs must at least meet again, by counting: more are seated together than have not met, or somebody is seated with more
      # people than they have not met.
      module Bound
        module_function

        # @param weights [Array<Array<Integer>>] of meetings, between those who are seated, see {Meetings#weights}
        # @param sizes [Array<Integer>]
        # @return [Integer]
        def repeats(weights, sizes)
          new_to = weights.map { |row| row.count(&:zero?) - 1 }
          by_pairs = sizes.sum { |size| size * (size - 1) / 2 } - (new_to.sum / 2)
          by_person = new_to.sum { |fresh| [(sizes.min || 1) - 1 - fresh, 0].max }
          [by_pairs, (by_person / 2.0).ceil, 0].max
        end
      end
    end
  end
end
