# frozen_string_literal: true

module Bench
  # One line for each figure.
  module Report
    module_function

    # @param name [String]
    # @param value [Numeric]
    # @param unit [String]
    # @param baseline [Numeric, nil] measured in the same run
    # @param target [String]
    def line(name, value, unit, baseline: nil, target: '')
      ratio = baseline&.positive? ? format('%.2f×', value / baseline.to_f) : ''
      puts format('%-34s %12s %-12s %12s %8s   %s', name, number(value), unit, baseline ? number(baseline) : '', ratio, target)
      $stdout.flush
    end

    # @return [Numeric] the value below which the share of all values lies
    def percentile(values, share) = values.sort[((values.length - 1) * share).round]

    def number(value) = value >= 100 ? value.round.to_s.gsub(/(?<=\d)(?=(\d{3})+\z)/, ',') : format('%.2f', value)
  end
end
