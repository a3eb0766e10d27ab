# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What many orders of the same options come to: points after J.-C. de Borda (Mémoire sur les élections au scrutin, 1781), the last of
      # n options counting none and the first n − 1; and whom nobody beats in a duel (N. de Condorcet, Essai, 1785), if there is one.
      class Ordered
        # @param options [Array<String>] ids
        # @param orders [Array<Array<String>>] each with every option once, the best first
        def initialize(options, orders)
          @options = options
          @orders = orders
          @places = orders.map { |order| order.each_with_index.to_h }
        end

        # @return [Array<Hash>] `{ option:, points:, mean: }`, most points first; `mean` is the mean place, from 1
        def places
          count = @orders.length
          rows = @options.map do |option|
            sum = @places.sum { |places| places[option] }
            { option: option, points: ((@options.length - 1) * count) - sum, mean: count.zero? ? nil : (sum.to_f / count) + 1 }
          end
          rows.sort_by.with_index { |row, i| [-row[:points], i] }
        end

        # @return [String, nil] whom more than half put before each of the others, one by one
        def condorcet
          return if @orders.empty?

          @options.find { |one| @options.all? { |other| one == other || before(one, other) > before(other, one) } }
        end

        # @return [Integer] how many put one before the other
        def before(one, other) = @places.count { |places| places[one] < places[other] }
      end
    end
  end
end
