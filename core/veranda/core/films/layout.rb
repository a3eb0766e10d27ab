# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # Where things lie in the picture of a film, from its first moment to its last: the paper, people in a column beside it where there
      # are pictures of any, and what is said in a strip beneath where that is wished.
      class Layout
        WIDTH = 1280
        HEIGHT = 720
        # Of the column of people, in points: as many as have room, each with a line for their name.
        COLUMN = 240
        SEEN = 4
        NAME = 22
        # Of the strip beneath.
        STRIP = 76

        # @param people [Boolean] whether anybody is seen
        # @param captions [Boolean] whether what is said is written in the picture
        def initialize(people:, captions:)
          @people = people
          @captions = captions
        end

        # @return [Array<Integer>] x, y, width and height in points
        def paper = [0, 0, WIDTH - (@people ? COLUMN : 0), HEIGHT - (@captions ? STRIP : 0)]

        # @return [Array<Integer>, nil]
        def strip = @captions ? [0, HEIGHT - STRIP, paper[2], STRIP] : nil

        # @return [Array<Integer>, nil]
        def column = @people ? [WIDTH - COLUMN, 0, COLUMN, HEIGHT] : nil

        # @param slot [Integer] from 0 up
        # @return [Array<Integer>] where one person is seen
        def picture(slot)
          x, y = column.take(2)
          high = HEIGHT / SEEN
          [x, y + slot * high, COLUMN, high - NAME]
        end

        # @return [Array<Integer>] where their name stands
        def name(slot)
          x, y, w, h = picture(slot)
          [x, y + h, w, NAME]
        end

        # @param place [String, Integer] `paper`, or a slot
        # @return [Array<Integer>]
        def box(place) = place == 'paper' ? paper : picture(place)
      end
    end
  end
end
