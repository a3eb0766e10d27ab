# frozen_string_literal: true

module Veranda
  module Core
    module Props
      # A piece to be moved about. It has a shape and an ink and nothing to do by itself.
      module Counter
        SHAPES = %w[round square triangle diamond star boat].freeze
        ACTIONS = [].freeze

        module_function

        def check!(settings)
          raise Refusal.new(:prop_incomplete, 'A counter needs a shape.') unless settings[:shape]
        end
      end
    end
  end
end
