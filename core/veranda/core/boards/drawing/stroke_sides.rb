# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Both edges of a stroke that is as wide as the pen was pressed; {StrokeOutline} closes them with caps.
      # Walks along the points, puts one to each side, and goes round at sharp turns.
      class StrokeSides
        # Points nearer to the end than this are passed over, in px.
        TAIL = 3
        # Points around a sharp turn.
        ROUND = 13

        # @return [Float] half of how wide a pen of `size` px is, pressed so
        def self.half(pressure, size) = size * (0.5 - StrokeOutline::THINNING * (0.5 - pressure))

        # @param points [Array<StrokeOutline::Point>] two or more
        # @param size [Numeric] px of the pen
        def initialize(points, size)
          @points = points
          @size = size
          @left, @right = [], []
          @before = points.first.vector
          @last_left = @last_right = [points.first.x, points.first.y]
        end

        # @return [Array(Array, Array, Float)] left edge, right edge, and the half width at the end
        def call
          @points.each_with_index { |point, i| step(point, i) if counts?(point, i) }
          [@left, @right, [half(@points.last.pressure), 0.01].max]
        end

        private

        def final?(index) = index == @points.length - 1
        def counts?(point, index) = final?(index) || @points.last.along - point.along >= TAIL

        def step(point, index)
          radius = [half(point.pressure), 0.01].max
          ahead = (final?(index) ? point : @points[index + 1]).vector
          along = final?(index) ? 1.0 : dot(point.vector, ahead)
          return turn(point, radius, along.negative?) if along.negative? || (dot(point.vector, @before).negative? && !@turned)

          @turned = false
          return finish(point, radius) if final?(index)

          go_on(point, across(between(ahead, point.vector, along), radius), index)
        end

        def turn(point, radius, sharp)
          off = across(@before, radius)
          StrokeOutline.turns(ROUND, from: 0.0) do |share|
            @left << StrokeOutline.rotate(minus(point, off), point, StrokeOutline::HALF_TURN * share)
            @right << StrokeOutline.rotate(plus(point, off), point, StrokeOutline::HALF_TURN * -share)
          end
          @last_left, @last_right = @left.last, @right.last
          @turned = true if sharp
        end

        def finish(point, radius)
          off = across(point.vector, radius)
          @left << minus(point, off)
          @right << plus(point, off)
        end

        def go_on(point, off, index)
          one, other = minus(point, off), plus(point, off)
          (@left << one) && @last_left = one if index <= 1 || apart?(@last_left, one)
          (@right << other) && @last_right = other if index <= 1 || apart?(@last_right, other)
          @before = point.vector
        end

        def half(pressure) = self.class.half(pressure, @size)
        def across(vector, radius) = [vector[1] * radius, -vector[0] * radius]
        def between(one, other, share) = [one[0] + (other[0] - one[0]) * share, one[1] + (other[1] - one[1]) * share]
        def dot(one, other) = one[0] * other[0] + one[1] * other[1]
        def minus(point, off) = [point.x - off[0], point.y - off[1]]
        def plus(point, off) = [point.x + off[0], point.y + off[1]]
        def apart?(one, other) = (one[0] - other[0])**2 + (one[1] - other[1])**2 > (@size * StrokeOutline::SMOOTHING)**2
      end
    end
  end
end
