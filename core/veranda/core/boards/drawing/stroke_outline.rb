# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The outline of a stroke whose pen told its pressure: as wide at every point as the pen was pressed.
      # The steps and numbers are those of the library that draws it on screen (npm's perfect-freehand,
      # `getStroke` with the options below, MIT), so that screen and export agree;
      # `web/src/board/outline.ts` prepares the points in the same way.
      #
      #   StrokeOutline.path(points, press, width) #=> "M…Q…Z"
      module StrokeOutline
        # `size` is the width, `simulatePressure` is off, `last` is on and `streamline` is 0.
        THINNING = 0.5
        SMOOTHING = 0.5
        # Along the curve through the stored points the library is given one about every so many px.
        EVERY = 6.0
        # Points along the whole of it, at most about: a longer stroke is sampled more coarsely, so that none costs more than this.
        MOST_SAMPLES = 2_000.0
        # Pressure of points that have none.
        PLAIN = 0.5
        # Half a turn and a little, as the library has it, so that caps close.
        HALF_TURN = Math::PI + 1e-4

        Point = Struct.new(:x, :y, :pressure, :vector, :along)

        module_function

        # @param points [Array<Numeric>] x and y in turn
        # @param press [Array<Numeric>] 0..1, one for each point
        # @param width [Numeric] px
        # @return [String] data of a closed path, to be filled
        def path(points, press, width)
          outline = call(sampled(points, press), width)
          pairs = outline.zip(outline.rotate(1))
          start = number(outline.first)
          "M#{start}#{pairs.map { |one, other| "Q#{number(one)} #{number(middle(one, other))}" }.join}Z"
        end

        # @param samples [Array<Array(Float, Float, Float)>] x, y and pressure
        # @return [Array<Array(Float, Float)>]
        def call(samples, size)
          points = stroke_points(samples, size)
          points.length == 1 ? dot(points.first, size) : around(points, size)
        end

        def around(points, size)
          left, right, radius = StrokeSides.new(points, size).call
          first, last = points.first, points.last
          begin_cap = turns(13) { |turn| rotate(right.first, first, HALF_TURN * turn) }
          back = [-last.vector[1], last.vector[0]]
          edge = [last.x + back[0] * radius, last.y + back[1] * radius]
          end_cap = turns(29, below: true) { |turn| rotate(edge, last, HALF_TURN * 3 * turn) }
          left + end_cap + right.reverse + begin_cap
        end
        private_class_method :around

        # Where the pen was set down and taken up again.
        def dot(point, size)
          off = StrokeSides.half(point.pressure, size) * Math.sqrt(0.5)
          turns(13) { |turn| rotate([point.x + off, point.y - off], point, HALF_TURN * 2 * turn) }
        end
        private_class_method :dot

        # @return [Array<Array(Float, Float, Float)>] points along the curve of {StrokePath}
        def sampled(points, press)
          pairs = points.each_slice(2).to_a
          handles = pairs.each_index.map { |i| StrokePath.handle(pairs, i) }
          stretches = pairs.each_cons(2).zip(handles.each_cons(2), press.each_cons(2))
          every = [EVERY, pairs.each_cons(2).sum { |from, to| distance(from, to) } / MOST_SAMPLES].max
          [[*pairs.first.map(&:to_f), press.first.to_f], *stretches.flat_map { |ends| stretch(*ends, every) }]
        end

        def distance(from, to) = Math.hypot(to[0] - from[0], to[1] - from[1])
        private_class_method :distance

        def stretch((from, to), (leaving, arriving), (pressed, presses), every)
          steps = [(distance(from, to) / every).ceil, 1].max
          (1..steps).map do |step|
            t = step / steps.to_f
            x, y = from.zip(to, leaving, arriving).map { |axis| cubic(*axis, t) }
            [x, y, pressed + (presses - pressed) * t]
          end
        end
        private_class_method :stretch

        def cubic(from, to, leaving, arriving, t)
          s = 1 - t
          one, two = from + leaving, to - arriving
          s * s * s * from + 3 * s * s * t * one + 3 * s * t * t * two + t * t * t * to
        end
        private_class_method :cubic

        # Points that are nowhere else than the one before, each with the direction back to it. The first stretch is too short to
        # have a direction, so points closer to the beginning than the stroke is wide are passed over. Each is reached from the one
        # before, as the library does it: what that rounds decides whether a point that rests counts as another.
        def stroke_points(samples, size)
          first, *others = padded(samples)
          points = [Point.new(first[0], first[1], first[2] || 0.25, [1.0, 1.0], 0.0)]
          along = 0.0
          others.each_with_index do |sample, i|
            final = i == others.length - 1
            point = next_point(points.last, sample, final) or next

            point.along = along += point.along
            points << point unless points.length == 1 && along < size && !final
          end
          points[0].vector = points[1]&.vector || [0.0, 0.0]
          points
        end
        private_class_method :stroke_points

        # `along` is how far it is from the one before.
        def next_point(before, (x, y, pressure), final)
          x, y = before.x + (x - before.x), before.y + (y - before.y) unless final
          distance = Math.hypot(y - before.y, x - before.x)
          return if distance.zero?

          Point.new(x, y, pressure || PLAIN, [(before.x - x) / distance, (before.y - y) / distance], distance)
        end
        private_class_method :next_point

        def padded(samples)
          first, second = samples
          return [first, [first[0] + 1, first[1] + 1, first[2]]] if samples.length == 1
          return samples unless samples.length == 2

          dx, dy = second[0] - first[0], second[1] - first[1]
          [first, *(1..4).map { |i| [first[0] + dx * (i / 4.0), first[1] + dy * (i / 4.0)] }]
        end
        private_class_method :padded

        # The library adds up its steps, and so must we to get as many.
        def turns(count, from: nil, below: false)
          step = 1 / count.to_f
          turn = from || step
          found = []
          while below ? turn < 1 : turn <= 1
            found << yield(turn)
            turn += step
          end
          found
        end

        def rotate((x, y), about, turn)
          sin, cos = Math.sin(turn), Math.cos(turn)
          dx, dy = x - about.x, y - about.y
          [dx * cos - dy * sin + about.x, dx * sin + dy * cos + about.y]
        end

        def middle(one, other) = [(one[0] + other[0]) / 2.0, (one[1] + other[1]) / 2.0]
        private_class_method :middle

        def number(pair) = pair.map { |value| format('%.2f', value).sub(/\.?0+\z/, '') }.join(' ')
        private_class_method :number
      end
    end
  end
end
