# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # The inks. Every one reaches 4.5:1 on paper (WCAG 2.2, 1.4.3); washes lie under text.
      module Inks
        PAPER = '#FBF7EE'
        INKS = {
          'slate' => '#23313A', 'brick' => '#A8412A', 'moss' => '#3F6B2A',
          'lake' => '#2C5F8A', 'plum' => '#7A3B69', 'umber' => '#7A5217'
        }.freeze
        WASHES = {
          'slate' => '#DCE1E3', 'brick' => '#F3DDD6', 'moss' => '#DFEAD7',
          'lake' => '#DCE8F2', 'plum' => '#EEDCE9', 'umber' => '#FBEFD5'
        }.freeze
        NAMES = INKS.keys.freeze

        module_function

        # @param hex [String] `#RRGGBB`
        # @return [Float] relative luminance, 0..1 (WCAG 2.2, "relative luminance")
        def luminance(hex)
          red, green, blue = hex.scan(/\h\h/).map do |part|
            channel = part.to_i(16) / 255.0
            channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055)**2.4
          end
          0.2126 * red + 0.7152 * green + 0.0722 * blue
        end

        # @return [Float] contrast ratio, 1..21 (WCAG 2.2, "contrast ratio")
        def contrast(one, other)
          dark, light = [luminance(one), luminance(other)].sort
          (light + 0.05) / (dark + 0.05)
        end
      end
    end
  end
end
