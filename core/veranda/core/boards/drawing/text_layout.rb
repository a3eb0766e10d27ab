# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Breaks the text of a mark into lines that fit its width.
      #
      #   TextLayout.of(note).lines #=> ["Give-way vessel acts", "early and clearly."]
      #
      # Breaks at spaces (U+0020 alone); a word wider than the mark is broken where it must be.
      # `web/src/board/textLayout.ts` follows the same steps with the same widths; `spec/golden/` holds both together.
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
          @lines = text.empty? ? [''] : text.split("\n", -1).flat_map { |paragraph| wrap(paragraph) }
        end

        # @return [Float] px, margins included
        def height = @lines.length * @size * LEADING + 2 * @inset

        private

        # In one go over the characters, so that a long text costs no more than its length.
        def wrap(paragraph)
          lines = [+'']
          @sum = 0
          paragraph.split(/(?<= )/).each do |word|
            bare = word.delete_suffix(' ')
            begin_line(lines) unless lines.last.empty? || fits?(AdvanceWidths.thousandths(bare))
            bare.each_char { |character| put(lines, character) }
            put(lines, ' ', hangs: true) if word.end_with?(' ')
          end
          lines.map { |line| line.sub(/ +\z/, '') }
        end

        def fits?(more) = (@sum + more) * @size / 1000.0 <= @width

        def begin_line(lines)
          lines << +''
          @sum = 0
        end

        # A space at the end of a line may hang over.
        def put(lines, character, hangs: false)
          width = AdvanceWidths.thousandths(character)
          begin_line(lines) unless hangs || lines.last.empty? || fits?(width)
          lines.last << character
          @sum += width
        end
      end
    end
  end
end
