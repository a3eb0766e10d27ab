# frozen_string_literal: true

module Veranda
  module Core
    module Insights
      # How unevenly something is spread over people: the Gini coefficient in its form for small samples (Damgaard & Weiner 2000,
      # "Describing inequality in plant size or fecundity", Ecology 81, 1139–1142): 0 when all have as much, 1 when one has all.
      #
      #   Gini.of([0, 0, 0, 7]) #=> 1.0
      module Gini
        module_function

        # @param values [Array<Numeric>] none negative
        # @return [Float, nil] nil for fewer than two people, or where nobody has any
        def of(values)
          count, sum = values.length, values.sum.to_f
          return if count < 2 || sum.zero?

          spread = values.sort.each_with_index.sum { |value, i| (2 * (i + 1) - count - 1) * value }
          spread / (sum * (count - 1))
        end
      end
    end
  end
end
