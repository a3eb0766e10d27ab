# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Recognises what a hand-drawn stroke was meant to be.
      #
      #   guess = Straighten.call(points)
      #   guess.kind       #=> "ellipse"
      #   guess.confidence #=> 0.87
      #   guess.fields     #=> { x:, y:, w:, h: }, relative to the stroke's own x, y
      #
      # Each candidate is fitted to the points; its confidence is 1 for a perfect fit and falls to 0
      # when the points lie on average {WORST} of the stroke's extent off it. The surest one wins,
      # and nothing below {SURE} does.
      module Straighten
        Guess = Struct.new(:kind, :confidence, :fields, keyword_init: true)

        # Share of the extent (the longer side of the box) at which confidence is 0.
        WORST = 0.09
        SURE = 0.5
        # Ends closer than this share of the stroke's length make it closed.
        CLOSED = 0.18
        # Corners are what stays when the stroke is simplified with this share of its extent.
        CORNERS = 0.07
        # An arrow's head takes at most this share of the shaft.
        HEAD = 0.45

        module_function

        # @param points [Array<Numeric>] x and y in turn
        # @return [Guess, nil] nil when it looks like nothing in particular
        def call(points)
          pairs = points.each_slice(2).to_a
          return if pairs.empty?

          best = candidates(pairs).max_by(&:confidence)
          best if best && best.confidence >= SURE
        end

        def candidates(pairs)
          _, _, w, h = extent(pairs)
          size = [w, h].max.to_f
          return [] if size < 8

          length = pairs.each_cons(2).sum { |one, other| distance(one, other) }
          closed = distance(pairs.first, pairs.last) < CLOSED * length
          shapes = if closed
                     [ellipse(pairs, size), rectangle(pairs, size),
                      polygon(pairs, size)]
                   else
                     [line(pairs), arrow(pairs, size)]
                   end
          shapes.compact
        end
        private_class_method :candidates

        def line(pairs)
          from, to = pairs.first, pairs.last
          length = distance(from, to)
          off = mean(pairs) { |pair| Simplify.to_segment(*pair, *from, *to) }
          guess('line', off, length, points: flat(level([from, to])))
        end
        private_class_method :line

        # A shaft, then a stroke back and forth at its end.
        def arrow(pairs, size)
          corners = corners(pairs, size * 0.6)
          return unless corners.length.between?(3, 6)

          from, tip = corners[0], corners[1]
          shaft = distance(from, tip)
          rest = corners.drop(2)
          return unless rest.all? { |corner| distance(corner, tip) < HEAD * shaft } && rest.any? do |corner|
            backward?(from, tip, corner)
          end

          last = pairs.index(tip)
          off = mean(pairs.take(last + 1)) { |pair| Simplify.to_segment(*pair, *from, *tip) }
          guess('arrow', off, shaft, points: flat(level([from, tip])))
        end
        private_class_method :arrow

        def backward?(from, tip, corner)
          ((tip[0] - from[0]) * (corner[0] - tip[0]) + (tip[1] - from[1]) * (corner[1] - tip[1])).negative?
        end
        private_class_method :backward?

        def rectangle(pairs, size)
          x, y, w, h = extent(pairs)
          return if [w, h].min < size * 0.08

          off = mean(pairs) { |px, py| [px - x, x + w - px, py - y, y + h - py].min }
          # All four corners have to be visited; an ellipse visits none.
          missed = [[x, y], [x + w, y], [x, y + h], [x + w, y + h]].map do |corner|
            pairs.map do |pair|
              distance(pair, corner)
            end.min
          end
          guess('rectangle', [off, missed.sum / 4.0 * 0.5].max, size, x: x, y: y, w: w, h: h)
        end
        private_class_method :rectangle

        def ellipse(pairs, size)
          x, y, w, h = extent(pairs)
          rx, ry = w / 2.0, h / 2.0
          return if [rx, ry].min < size * 0.06

          off = mean(pairs) do |px, py|
            out = Math.hypot((px - x - rx) / rx, (py - y - ry) / ry)
            (out - 1).abs * [rx, ry].min
          end
          guess('ellipse', off, size, x: x, y: y, w: w, h: h)
        end
        private_class_method :ellipse

        # Triangles and the like; four-cornered ones only when they are no upright boxes.
        def polygon(pairs, size)
          corners = corners([*pairs, pairs.first], size)[..-2]
          return unless corners.length.between?(3, 6)

          ring = [*corners, corners.first]
          off = mean(pairs) { |pair| ring.each_cons(2).map { |from, to| Simplify.to_segment(*pair, *from, *to) }.min }
          # Every further corner fits a little better by itself, so it has to earn its place.
          guess('polygon', off + size * 0.006 * corners.length, size, points: flat(corners))
        end
        private_class_method :polygon

        def guess(kind, off, size, **fields)
          confidence = (1 - off / (WORST * size)).clamp(0.0, 1.0)
          Guess.new(kind: kind, confidence: confidence, fields: fields.transform_values { |value| rounded(value) })
        end
        private_class_method :guess

        # Lines within 4° of level or upright are meant to be.
        def level((from, to))
          dx, dy = to[0] - from[0], to[1] - from[1]
          slope = Math.tan(4 * Math::PI / 180)
          return [from, [to[0], from[1]]] if dy.abs < slope * dx.abs
          return [from, [from[0], to[1]]] if dx.abs < slope * dy.abs

          [from, to]
        end
        private_class_method :level

        def corners(pairs, size) = Simplify.call(pairs.flatten, tolerance: CORNERS * size).each_slice(2).to_a
        private_class_method :corners

        def extent(pairs)
          xs, ys = pairs.transpose
          [xs.min, ys.min, xs.max - xs.min, ys.max - ys.min]
        end
        private_class_method :extent

        def mean(pairs, &) = pairs.sum(&) / pairs.length.to_f
        private_class_method :mean

        def distance(one, other) = Math.hypot(one[0] - other[0], one[1] - other[1])
        private_class_method :distance

        def flat(pairs) = pairs.flatten(1)
        private_class_method :flat

        def rounded(value) = value.is_a?(Array) ? value.map { |number| number.round(1) } : value.round(1)
        private_class_method :rounded
      end
    end
  end
end
