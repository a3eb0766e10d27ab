# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The SVG path of a freehand stroke: quadratic curves through the midpoints between its
      # points, so that it bends smoothly yet passes close to every point.
      # `web/src/board/strokePath.ts` follows the same steps.
      module StrokePath
        module_function

        # @param points [Array<Numeric>] x and y in turn
        # @return [String] path data; a single point becomes a dot
        def call(points)
          pairs = points.each_slice(2).to_a
          first = pairs.first
          return "M#{number(first)}l0.01 0" if pairs.length == 1
          return "M#{number(first)}L#{number(pairs.last)}" if pairs.length == 2

          curves = pairs[1..-2].each_with_index.map do |pair, i|
            final = i == pairs.length - 3
            "Q#{number(pair)} #{number(final ? pairs.last : middle(pair, pairs[i + 2]))}"
          end
          "M#{number(first)}#{curves.join}"
        end

        def middle(one, other) = [(one[0] + other[0]) / 2.0, (one[1] + other[1]) / 2.0]
        private_class_method :middle

        def number(pair) = pair.map { |value| format('%.2f', value).sub(/\.?0+\z/, '') }.join(' ')
        private_class_method :number
      end
    end
  end
end
