# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Drops the points of a line that lie within a tolerance of the line through their
      # neighbours: Ramer (1972), "An iterative procedure for the polygonal approximation of
      # plane curves"; Douglas and Peucker (1973). Ends always stay.
      module Simplify
        # In px on a 1600-wide page: under half a px on a laptop, so nobody sees the difference.
        TOLERANCE = 0.7

        # Longer strokes are taken a stretch of so many points at a time. The method needs the square
        # of their number in the worst case, and somebody might send the worst case on purpose.
        STRETCH = 200

        module_function

        # @param points [Array<Numeric>] x and y in turn
        # @param tolerance [Numeric] px; the greatest distance a dropped point may lie off
        # @return [Array<Numeric>] a subset of the points, in order
        def call(points, tolerance: TOLERANCE)
          indices(points, tolerance: tolerance).flat_map { |i| [points[2 * i], points[2 * i + 1]] }
        end

        # @param points [Array<Numeric>] x and y in turn
        # @param press [Array<Numeric>, nil] the pen's pressure at each point; where it bends, points stay too
        # @param width [Numeric] px of the pen, by which pressure becomes a distance
        # @return [Array<Integer>] which points stay
        def indices(points, tolerance: TOLERANCE, press: nil, width: 0)
          last = points.length / 2 - 1
          return (0..last).to_a if last < 2

          bounds = (0..last).step(STRETCH).to_a | [last]
          bounds.each_cons(2).reduce([0]) do |kept, (first, final)|
            within = between(points, first, final, tolerance)
            within |= between(edge(press, width, first, final), first, final, tolerance) if press
            kept.concat(within.sort)
          end
        end

        # The half width of the stroke over its points, as a line of its own.
        def edge(press, width, first, final)
          Array.new(2 * (final + 1)) do |i|
            if i < 2 * first
              0
            else
              (i.even? ? i / 2 * width : press[i / 2] * width / 2.0)
            end
          end
        end
        private_class_method :edge

        # Works with a stack of what is still open, since a wild stroke would nest too deep.
        # @return [Array<Integer>] indices kept after `first`, up to and with `final`
        def between(points, first, final, tolerance)
          kept = [final]
          open = [[first, final]]
          while (from, to = open.pop)
            index, distance = farthest(points, from, to)
            next unless index && distance > tolerance

            kept << index
            open << [from, index] << [index, to]
          end
          kept.sort
        end
        private_class_method :between

        # @return [Array(Integer, Float)] index of the farthest point between two, and its distance in px
        def farthest(points, first, final)
          ax, ay, bx, by = points[2 * first], points[2 * first + 1], points[2 * final], points[2 * final + 1]
          best = nil
          most = -1.0
          ((first + 1)...final).each do |i|
            distance = to_segment(points[2 * i], points[2 * i + 1], ax, ay, bx, by)
            best, most = i, distance if distance > most
          end
          [best, most]
        end
        private_class_method :farthest

        # @return [Float] distance of (x, y) from the segment a–b; a closed stroke has a = b
        def to_segment(x, y, ax, ay, bx, by)
          dx = bx - ax
          dy = by - ay
          length = dx * dx + dy * dy
          along = length.zero? ? 0.0 : (((x - ax) * dx + (y - ay) * dy) / length.to_f).clamp(0.0, 1.0)
          Math.hypot(x - (ax + along * dx), y - (ay + along * dy))
        end
      end
    end
  end
end
