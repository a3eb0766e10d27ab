# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The two short lines at the end of an arrow.
      # `web/src/board/arrowHead.ts` follows the same steps.
      module ArrowHead
        # Half the angle between the lines, in radians.
        SPREAD = 0.45

        module_function

        # @param points [Array<Numeric>] the arrow's line, x and y in turn
        # @param width [Numeric] px of the line
        # @return [String] path data to follow the line's own
        def call(points, width)
          x, y = points[-2..]
          from_x, from_y = points[-4..] || points
          angle = Math.atan2(y - from_y, x - from_x)
          size = 12 + 2.5 * width
          left, right = [-SPREAD, SPREAD].map do |turn|
            format('%.2f %.2f', x - size * Math.cos(angle + turn), y - size * Math.sin(angle + turn))
          end
          format('M%s L%.2f %.2f L%s', left, x, y, right)
        end
      end
    end
  end
end
