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
        # Pressure of points that have none.
        PLAIN = 0.5
        # Half a turn and a little, as the library has it, so that caps close.
        HALF_TURN = Math::PI + 1e-4
        # Points nearer to the end than this are passed over.
        TAIL = 3

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
          left, right, radius = sides(points, size)
          first, last = points.first, points.last
          begin_cap = turns(13) { |turn| rotate(right.first, first, HALF_TURN * turn) }
          back = [-last.vector[1], last.vector[0]]
          edge = [last.x + back[0] * radius, last.y + back[1] * radius]
          end_cap = turns(29, below: true) { |turn| rotate(edge, last, HALF_TURN * 3 * turn) }
          left + end_cap + right.reverse + begin_cap
        end

        # @return [Array<Array(Float, Float, Float)>] points along the curve of {StrokePath}
        def sampled(points, press)
          pairs = points.each_slice(2).to_a
          handles = pairs.each_index.map { |i| StrokePath.handle(pairs, i) }
          samples = [[*pairs.first.map(&:to_f), press.first.to_f]]
          pairs.each_cons(2).with_index do |(from, to), i|
            steps = [(Math.hypot(to[0] - from[0], to[1] - from[1]) / EVERY).ceil, 1].max
            (1..steps).each do |step|
              t = step / steps.to_f
              x, y = [0, 1].map { |axis| cubic(from[axis], from[axis] + handles[i][axis], to[axis] - handles[i + 1][axis], to[axis], t) }
              samples << [x, y, press[i] + (press[i + 1] - press[i]) * t]
            end
          end
          samples
        end

        def cubic(from, one, two, to, t)
          s = 1 - t
          s * s * s * from + 3 * s * s * t * one + 3 * s * t * t * two + t * t * t * to
        end
        private_class_method :cubic

        def stroke_points(samples, size)
          samples = padded(samples)
          points = [Point.new(samples[0][0], samples[0][1], samples[0][2] || 0.25, [1.0, 1.0], 0.0)]
          along = 0.0
          reached = false
          samples.each_with_index.drop(1).each do |(x, y, pressure), i|
            before = points.last
            next if before.x == x && before.y == y

            distance = Math.hypot(y - before.y, x - before.x)
            along += distance
            # The first stretch is too short to have a direction.
            next if i < samples.length - 1 && !reached && along < size

            reached ||= i < samples.length - 1
            points << Point.new(x, y, pressure || PLAIN, [(before.x - x) / distance, (before.y - y) / distance], along)
          end
          points[0].vector = points[1]&.vector || [0.0, 0.0]
          points
        end
        private_class_method :stroke_points

        def padded(samples)
          first, second = samples
          return [first, [first[0] + 1, first[1] + 1, first[2]]] if samples.length == 1
          return samples unless samples.length == 2

          [first, *(1..4).map { |i| [0, 1].map { |axis| first[axis] + (second[axis] - first[axis]) * (i / 4.0) } }]
        end
        private_class_method :padded

        # @return [Array(Array, Array, Float)] both edges and the half width at the end
        def sides(points, size)
          return single(points.first, size) if points.length == 1

          left, right = [], []
          nearest = (size * SMOOTHING)**2
          before = points.first.vector
          last_left = last_right = [points.first.x, points.first.y]
          turned = false
          radius = half(size, points.last.pressure)
          points.each_with_index do |point, i|
            final = i == points.length - 1
            next if !final && points.last.along - point.along < TAIL

            radius = [half(size, point.pressure), 0.01].max
            ahead = (final ? point : points[i + 1]).vector
            along = final ? 1.0 : dot(point.vector, ahead)
            sharp = along.negative?
            if sharp || (dot(point.vector, before).negative? && !turned)
              off = across(before, radius)
              turns(13, from: 0.0) do |turn|
                left << rotate(minus(point, off), point, HALF_TURN * turn)
                right << rotate(plus(point, off), point, HALF_TURN * -turn)
              end
              last_left, last_right = left.last, right.last
              turned = true if sharp
              next
            end
            turned = false
            off = across(final ? point.vector : between(ahead, point.vector, along), radius)
            one, other = minus(point, off), plus(point, off)
            if final
              left << one
              right << other
              next
            end
            (left << one) && last_left = one if i <= 1 || apart(last_left, one) > nearest
            (right << other) && last_right = other if i <= 1 || apart(last_right, other) > nearest
            before = point.vector
          end
          [left, right, radius]
        end
        private_class_method :sides

        def single(point, size)
          radius = half(size, point.pressure)
          [[[point.x - radius, point.y]], [[point.x + radius, point.y]], radius]
        end
        private_class_method :single

        def half(size, pressure) = size * (0.5 - THINNING * (0.5 - pressure))
        private_class_method :half

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
        private_class_method :turns

        def rotate((x, y), about, turn)
          sin, cos = Math.sin(turn), Math.cos(turn)
          dx, dy = x - about.x, y - about.y
          [dx * cos - dy * sin + about.x, dx * sin + dy * cos + about.y]
        end
        private_class_method :rotate

        def across(vector, radius) = [vector[1] * radius, -vector[0] * radius]
        private_class_method :across

        def between(one, other, share) = [0, 1].map { |axis| one[axis] + (other[axis] - one[axis]) * share }
        private_class_method :between

        def dot(one, other) = one[0] * other[0] + one[1] * other[1]
        private_class_method :dot

        def minus(point, off) = [point.x - off[0], point.y - off[1]]
        private_class_method :minus

        def plus(point, off) = [point.x + off[0], point.y + off[1]]
        private_class_method :plus

        def apart(one, other) = (one[0] - other[0])**2 + (one[1] - other[1])**2
        private_class_method :apart

        def middle(one, other) = [(one[0] + other[0]) / 2.0, (one[1] + other[1]) / 2.0]
        private_class_method :middle

        def number(pair) = pair.map { |value| format('%.2f', value).sub(/\.?0+\z/, '') }.join(' ')
        private_class_method :number
      end
    end
  end
end
