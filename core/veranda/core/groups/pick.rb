# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # The cheapest of what is offered, one after the other; among equals each is as likely as the others.
      class Pick
        attr_reader :found, :cost

        # @param rng [Random]
        def initialize(rng)
          @rng = rng
          @found = @cost = nil
          @equals = 0
        end

        # @return [Boolean] whether something of that cost may be taken
        def worth?(cost) = @cost.nil? || cost <= @cost

        def offer(one, cost)
          @equals = cost == @cost ? @equals + 1 : 1
          return unless @equals == 1 || @rng.rand(@equals).zero?

          @found = one
          @cost = cost
        end
      end
    end
  end
end
