# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The SVG path of a freehand stroke: cubic curves through all of its points. At each point
      # the curve runs parallel to the line between its neighbours (Catmull and Rom, 1974, "A class
      # of local interpolating splines"), with handles no longer than a third of the shorter side,
      # so that it cannot swing out; at corners it has none, so that they stay sharp.
      # `web/src/board/paths.ts` follows the same steps.
      module StrokePath
        # A turn sharper than this (cosine of 55°) is a corner and meant as one.
        CORNER = 0.57

        module_function

        # @param points [Array<Numeric>] x and y in turn
        # @return [String] path data; a single point becomes a dot
        def call(points)
          pairs = points.each_slice(2).to_a
          return "M#{number(pairs[0])}l0.01 0" if pairs.length == 1
          return "M#{number(pairs.first)}L#{number(pairs.last)}" if pairs.length == 2

          handles = pairs.each_index.map { |i| handle(pairs, i) }
          curves = pairs.each_cons(2).zip(handles.each_cons(2)).map do |(from, to), (leaving, arriving)|
            "C#{number(plus(from, leaving, 1))} #{number(plus(to, arriving, -1))} #{number(to)}"
          end
          "M#{number(pairs.first)}#{curves.join}"
        end

        # @return [Array(Float, Float)] from the point towards where the stroke goes on
        def handle(pairs, index)
          before, point, after = pairs[index - 1], pairs[index], pairs[index + 1]
          return [0, 0] if index.zero? || after.nil?

          arriving, leaving = minus(point, before), minus(after, point)
          shorter = [Math.hypot(*arriving), Math.hypot(*leaving)].min
          along = minus(after, before)
          length = Math.hypot(*along)
          return [0, 0] if shorter.zero? || length.zero? || corner?(arriving, leaving)

          along.map { |value| value / length * shorter / 3 }
        end

        def corner?(arriving, leaving)
          dot = arriving[0] * leaving[0] + arriving[1] * leaving[1]
          dot < CORNER * Math.hypot(*arriving) * Math.hypot(*leaving)
        end
        private_class_method :corner?

        def minus(one, other) = [(one[0] - other[0]).to_f, (one[1] - other[1]).to_f]
        private_class_method :minus

        def plus(point, handle, sign) = [point[0] + sign * handle[0], point[1] + sign * handle[1]]
        private_class_method :plus

        def number(pair) = pair.map { |value| format('%.2f', value).sub(/\.?0+\z/, '') }.join(' ')
        private_class_method :number
      end
    end
  end
end
