# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The lines of the small marks: tick, cross and arrow, as shares of their box.
      module Signs
        LINES = {
          'tick' => [[[0.1, 0.55], [0.4, 0.85], [0.9, 0.15]]],
          'cross' => [[[0.15, 0.15], [0.85, 0.85]], [[0.85, 0.15], [0.15, 0.85]]],
          'arrow' => [[[0.08, 0.5], [0.92, 0.5]], [[0.6, 0.2], [0.92, 0.5], [0.6, 0.8]]]
        }.freeze

        module_function

        # @param sign [String] one of {Mark::SIGNS}
        # @param width [Numeric] px
        # @param height [Numeric] px
        # @return [String] path data
        def path(sign, width, height)
          LINES.fetch(sign).map do |line|
            "M#{line.map { |x, y| "#{(x * width).round(2)} #{(y * height).round(2)}" }.join('L')}"
          end.join
        end
      end
    end
  end
end
