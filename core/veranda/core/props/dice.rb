# frozen_string_literal: true

module Veranda
  module Core
    module Props
      # Any number of dice with any number of faces.
      module Dice
        ACTIONS = %w[roll].freeze

        module_function

        def check!(settings)
          return if settings[:count] && settings[:faces]

          raise Refusal.new(:prop_incomplete, 'Dice need a count and a number of faces.')
        end

        # @return [Hash] `{ rolled: [Integer, …] }`, each from 1 to the number of faces
        def use(_action, settings, _shows, rng:, **)
          { rolled: Array.new(settings[:count]) { 1 + rng.rand(settings[:faces]) } }
        end
      end
    end
  end
end
