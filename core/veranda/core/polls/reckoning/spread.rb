# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Where numbers lie: least, quartiles, most, and how many are in each bin of a histogram.
      #
      #   Spread.of([6, 7, 15, 36, 39]) #=> { count: 5, least: 6, lower: 7.0, median: 15.0, upper: 36.0, most: 39 }
      #
      # Quartiles are by linear interpolation between the two nearest (definition 7 of R. J. Hyndman and Y. Fan, Sample Quantiles in
      # Statistical Packages, The American Statistician 50, 1996). For an odd count they are the hinges of J. W. Tukey (Exploratory Data
      # Analysis, 1977): the medians of the halves, with the median in both.
      module Spread
        # In a histogram, at most.
        MOST_BINS = 12
        # A bin is so many times a power of ten wide.
        STEPS = [1, 2, 5, 10].freeze

        module_function

        # @param numbers [Array<Numeric>]
        # @return [Hash, nil] nil without any
        def of(numbers)
          sorted = numbers.sort
          return if sorted.empty?

          { count: sorted.length, least: sorted.first, lower: quantile(sorted, 0.25), median: quantile(sorted, 0.5),
            upper: quantile(sorted, 0.75), most: sorted.last }
        end

        # @param sorted [Array<Numeric>]
        # @param share [Float] 0..1
        # @return [Float]
        def quantile(sorted, share)
          place = (sorted.length - 1) * share
          below, above = sorted[place.floor], sorted[place.ceil]
          (below + ((above - below) * (place - place.floor))).to_f
        end

        # Bins of a width that is easily read, the last of which holds its upper end too. Reckoned in tenths and hundredths as they were
        # written: 0.6 is three times 0.2, which floating point does not know.
        # @param numbers [Array<Numeric>]
        # @return [Array<Hash>] `{ from:, to:, count: }`, without gaps
        def bins(numbers)
          return [] if numbers.empty?

          exact = numbers.map { |number| Rational(number.to_s) }
          least, most = exact.minmax
          return [{ from: least.to_f, to: least.to_f, count: numbers.length }] if least == most

          width = width_for(most - least)
          first = (least / width).floor
          last = [(most / width).ceil, first + 1].max
          counts = exact.map { |number| [(number / width).floor, last - 1].min }.tally
          (first...last).map { |bin| { from: (bin * width).to_f, to: ((bin + 1) * width).to_f, count: counts[bin] || 0 } }
        end

        def width_for(range)
          rough = range / (MOST_BINS - 1)
          power = 10r**Math.log10(rough).floor
          STEPS.find { |step| step * power >= rough } * power
        end
        private_class_method :width_for
      end
    end
  end
end
