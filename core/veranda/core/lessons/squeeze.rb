# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # Takes minutes off steps, in proportion to what each can spare, in whole minutes that add up
      # exactly, and never below a step's shortest. Remainders go to the largest fractions first (the method of
      # largest remainders, Hamilton 1792); the later step gives first when they are equal.
      #
      #   Squeeze.call([{ id: 'a', minutes: 20, shortest: 10 }, { id: 'b', minutes: 10, shortest: 5 }], 3)
      #   #=> { 'a' => 2, 'b' => 1 }
      module Squeeze
        module_function

        # @param steps [Array<Hash>] each with `:id`, `:minutes`, `:shortest`
        # @param over [Integer] minutes to take off all together
        # @return [Hash{String => Integer}, nil] minutes to take off by step, without the steps that keep theirs;
        #   nil when there is not that much to spare
        def call(steps, over)
          return {} unless over.positive?

          slack = steps.to_h { |step| [step[:id], [step[:minutes] - step[:shortest], 0].max] }
          total = slack.values.sum
          return if total < over

          taken = slack.transform_values { |minutes| minutes * over / total }
          largest(slack, over, total).reject { |id| taken[id] == slack[id] }.take(over - taken.values.sum).each { |id| taken[id] += 1 }
          taken.select { |_, minutes| minutes.positive? }
        end

        # Steps by what rounding down has left of their share, the largest first.
        def largest(slack, over, total)
          slack.keys.each_with_index.sort_by { |id, i| [-(slack[id] * over % total), -i] }.map(&:first)
        end
        private_class_method :largest

        # @return [Integer] minutes that all steps together can spare
        def slack(steps) = steps.sum { |step| [step[:minutes] - step[:shortest], 0].max }
      end
    end
  end
end
