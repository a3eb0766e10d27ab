# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # How a class goes against its plan at one moment.
      #
      # Spent time is counted per step over all visits to it. The class is projected to finish
      # the present step when its minutes are up (or now, if they are) and then to give every
      # later step what is left of its minutes; drift is that end against the planned end.
      class Timing
        MINUTE = RunSheet::MINUTE

        # @param sitting [Sittings::Sitting]
        # @param now [Integer] ms since the epoch
        # @param shortest [Hash{String => Integer}] fewest minutes by step, for {#squeeze}
        def initialize(sitting, now, shortest: {})
          @sitting = sitting
          @now = sitting.ended? ? sitting.ended_at : now
          @shortest = shortest
        end

        # @return [Integer] ms given to a step, minutes added in class included
        def planned(step) = step[:minutes] * MINUTE + (@sitting.extra[step[:id]] || 0)

        # @return [Integer] ms spent at a step so far
        def spent(step)
          ends = @sitting.moves.drop(1).map { |move| move[:at] } << @now
          @sitting.moves.zip(ends).sum { |move, till| move[:step] == step[:id] ? till - move[:at] : 0 }
        end

        # @return [Integer] ms since the epoch
        def planned_end = @sitting.starts_at + @sitting.minutes * MINUTE

        # @return [Integer] ms since the epoch
        def projected_end
          return @now if @sitting.ended?

          start = @sitting.step ? @now : [@now, @sitting.starts_at].max
          start + remaining.sum { |step| [planned(step) - spent(step), 0].max }
        end

        # @return [Integer] ms late; negative when early
        def drift = projected_end - planned_end

        # @return [Hash] for the run strip; `state` is `past`, `now` or `next`. What could be squeezed is for staff.
        def to_h
          stretches = @sitting.steps.map do |step|
            { step: step[:id], title: step[:title], planned: planned(step), spent: spent(step), state: state(step) }
          end
          { at: @now, stretches: stretches, planned_end: planned_end, projected_end: projected_end, drift: drift }
        end

        # When late by a minute or more: what the steps to come could give, so that the class ends in time, or
        # as near to that as they can.
        # @return [Array<Hash>] `{ step:, less: }` in minutes
        def squeeze
          late = (drift / MINUTE.to_f).floor
          return [] unless late.positive? && @sitting.step && !@sitting.ended?

          coming = remaining.drop(1).map { |step| { id: step[:id], **left_of(step) } }
          off = Squeeze.call(coming, [late, Squeeze.slack(coming)].min)
          off.map { |step, less| { step: step, less: less } }
        end

        private

        # Of a step that the class has been at before only what was not spent there can be taken away, in whole minutes.
        def left_of(step)
          planned, spent = planned(step), spent(step)
          least = @shortest.key?(step[:id]) ? @shortest[step[:id]] * MINUTE : planned
          { minutes: [planned - spent, 0].max / MINUTE, shortest: ([least - spent, 0].max / MINUTE.to_f).ceil }
        end

        def index = @sitting.step && @sitting.steps.index(@sitting.step)

        def remaining = index ? @sitting.steps.drop(index) : @sitting.steps

        def state(step)
          return 'next' unless index

          %w[now next past][@sitting.steps.index(step) <=> index]
        end
      end
    end
  end
end
