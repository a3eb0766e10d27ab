# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Turns the time of day of a class into the time of its recording and back. A recording
      # is made of stretches of the class; parts cut out of it take no time.
      #
      #   clock = Clock.new([[1_000, 5_000], [8_000, 9_000]], cuts: [[2_000, 3_000]])
      #   clock.length       #=> 4000
      #   clock.wall(1_500)  #=> 3500
      #   clock.time(8_000)  #=> 3000
      #
      # All numbers are ms: of the epoch on the wall, from 0 in the recording.
      class Clock
        # @return [Array<Array(Integer, Integer)>] what is left to see, from and to on the wall
        attr_reader :stretches

        # @param stretches [Array<Array(Integer, Integer)>] in order, not overlapping
        # @param cuts [Array<Array(Integer, Integer)>] from and to on the wall
        def initialize(stretches, cuts: [])
          @cuts = cuts
          @stretches = cuts.reduce(stretches) { |left, cut| left.flat_map { |stretch| without(stretch, cut) } }
        end

        # @return [Integer] length of the recording in ms
        def length = @stretches.sum { |from, to| to - from }

        # @param time [Integer] ms into the recording; held within its length
        # @return [Integer] ms since the epoch; where two stretches meet, the beginning of the later one
        def wall(time)
          left = time.clamp(0, length)
          @stretches.each do |from, to|
            return from + left if left < to - from

            left -= to - from
          end
          @stretches.any? ? @stretches.last.last : 0
        end

        # @param wall [Integer] ms since the epoch
        # @return [Integer] ms into the recording; what was not recorded falls on the next moment that was
        def time(wall)
          @stretches.sum { |from, to| (wall - from).clamp(0, to - from) }
        end

        # @return [Boolean] whether that moment can be seen; the one at which a cut begins cannot
        def covers?(wall) = @stretches.any? { |from, to| wall.between?(from, to) } && !cut?(wall)

        # @return [Boolean] whether that moment was cut out
        def cut?(wall) = @cuts.any? { |from, to| wall >= from && wall < to }

        # @return [Boolean] whether any moment between two can be seen
        def overlaps?(from, to) = @stretches.any? { |start, stop| from < stop && to > start }

        private

        def without((from, to), (cut_from, cut_to))
          [[from, [to, cut_from].min], [[from, cut_to].max, to]].select { |start, stop| stop > start }
        end
      end
    end
  end
end
