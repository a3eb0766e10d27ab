# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # The plan of a lesson: its steps, their minutes and clock times.
      #
      #   sheet = RunSheet.new(steps, starts_at: ms, minutes: 120)
      #   sheet.total #=> 118
      #   sheet.rows  #=> [{ id:, title:, minutes:, starts_at: }, …]
      class RunSheet
        MINUTE = 60_000

        # @param steps [Array<Hash>] each with `:id`, `:title`, `:minutes`
        # @param starts_at [Integer] ms since the epoch
        # @param minutes [Integer] length of the class
        def initialize(steps, starts_at:, minutes:)
          @steps = steps
          @starts_at = starts_at
          @minutes = minutes
        end

        # @return [Integer] planned minutes of all steps together
        def total = @steps.sum { |step| step[:minutes] }

        # @return [Integer] minutes over the class length; negative when some are free
        def over = total - @minutes

        # @return [Array<Hash>] the steps with the clock time (ms since the epoch) each begins
        def rows
          clock = @starts_at
          @steps.map do |step|
            row = step.merge(starts_at: clock)
            clock += step[:minutes] * MINUTE
            row
          end
        end

        # @return [Hash{String => Integer}, nil] minutes to take off by step so that the class length is met; nil when
        #   the steps cannot spare that much, empty when nothing is over
        def squeeze = Squeeze.call(@steps, over)

        # @return [Hash] figures for whoever shows the run sheet
        def to_h
          fit = squeeze
          { total: total, minutes: @minutes, over: over, rows: rows, slack: Squeeze.slack(@steps),
            squeeze: fit&.map { |step, less| { step: step, less: less } } }
        end
      end
    end
  end
end
