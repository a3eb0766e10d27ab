# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # How a page lies in a box when the whole of it is looked at. `web/src/board/hand/useView.ts` fits in the same way.
      #
      # @!attribute scale [Float] points per px of the page
      # @!attribute x [Float] the px of the page at the left edge of the box
      # @!attribute y [Float] and at its top
      # @!attribute w [Integer] points of the box
      # @!attribute h [Integer] points of what is drawn; of a long page more than the box has
      Fit = Struct.new(:scale, :x, :y, :w, :h) do
        # A page that is longer than a sheet is fitted to its width; one reads down it.
        # @param height [Numeric] px of the page
        # @return [Fit]
        def self.of(height, box_w, box_h)
          width = Boards::Mark::PAGE_WIDTH
          long = height > width
          scale = long ? box_w.fdiv(width) : [box_w.fdiv(width), box_h.fdiv(height)].min
          new(scale, (width - box_w / scale) / 2, [(height - box_h / scale) / 2, 0].min, box_w, long ? (height * scale).ceil : box_h)
        end

        # @return [Array<Float>] x, y, width and height in px of the page of all that is drawn
        def frame = [x, y, w / scale, h / scale]

        # @param box [Array<Numeric>] x, y, width and height in px of the page
        # @param around [Numeric] points that are added on each side
        # @return [Array<Integer>] the same in whole points
        def points(box, around: 2)
          px, py, wide, high = box
          left, top = [px - x, py - y].map { |edge| ((edge * scale) - around).floor }
          right, bottom = [px + wide - x, py + high - y].map { |edge| ((edge * scale) + around).ceil }
          [left, top, right - left, bottom - top]
        end
      end
    end
  end
end
