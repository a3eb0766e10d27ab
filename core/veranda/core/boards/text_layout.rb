# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Breaks the text of a mark into lines that fit its width.
      #
      #   TextLayout.of(note).lines #=> ["Give-way vessel acts", "early and clearly."]
      #
      # Breaks at spaces; a word wider than the mark is broken where it must be.
      # `web/src/board/textLayout.ts` follows the same steps with the same widths.
      class TextLayout
        LEADING = 1.3
        NOTE_INSET = 18

        # @param mark [Hash] a text or note
        # @return [TextLayout]
        def self.of(mark)
          inset = mark[:kind] == 'note' ? NOTE_INSET : 0
          new(mark[:text], size: mark[:size], width: mark[:w] - 2 * inset, inset: inset)
        end

        # @return [Array<String>]
        attr_reader :lines

        # @param text [String]
        # @param size [Numeric] px
        # @param width [Numeric] px to fit the lines into
        # @param inset [Numeric] px of margin on every side
        def initialize(text, size:, width:, inset: 0)
          @size = size
          @width = [width, size].max
          @inset = inset
          @lines = text.split("\n", -1).flat_map { |paragraph| wrap(paragraph) }
        end

        # @return [Float] px, margins included
        def height = @lines.length * @size * LEADING + 2 * @inset

        private

        def wrap(paragraph)
          lines = ['']
          paragraph.split(/(?<= )/).each do |word|
            lines << '' unless lines.last.empty? || fits?(lines.last + word.rstrip)
            lines[-1] += word
            split_last(lines) until fits?(lines.last.rstrip)
          end
          lines.map(&:rstrip)
        end

        def fits?(line) = AdvanceWidths.of(line, @size) <= @width

        # Moves what does not fit of one long word to a new line, at least one character at a time.
        def split_last(lines)
          word = lines.last
          length = (1..word.length).take_while { |n| n == 1 || fits?(word[0, n]) }.last
          lines[-1] = word[0, length]
          lines << word[length..]
        end
      end
    end
  end
end
