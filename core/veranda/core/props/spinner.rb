# frozen_string_literal: true

module Veranda
  module Core
    module Props
      # A wheel with labels, each as likely as its weight says.
      module Spinner
        ACTIONS = %w[spin].freeze

        module_function

        def check!(settings)
          labels, weights = settings.values_at(:labels, :weights)
          raise Refusal.new(:prop_incomplete, 'A spinner needs at least two labels.') unless labels
          return if weights.nil? || weights.length == labels.length

          raise Refusal.new(:prop_incomplete, 'A spinner needs one weight for each label.')
        end

        # @return [Hash] `{ index:, turn: }`: the label it stops at, and where the wheel rests, in
        #   degrees clockwise from the beginning of the first label
        def use(_action, settings, _shows, rng:, **)
          weights = settings[:weights] || [1] * settings[:labels].length
          at = rng.rand * weights.sum
          sums = weights.each_with_object([]) { |weight, so_far| so_far << (so_far.last || 0) + weight }
          { index: sums.index { |sum| at < sum } || sums.length.pred, turn: (360 * at / weights.sum).round(1) }
        end
      end
    end
  end
end
