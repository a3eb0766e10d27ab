# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Boards
      # Works out where marks go when they are lined up, spaced out, piled or sorted.
      #
      #   Arrangement.call(marks, 'left', board: board) #=> { 'm1' => { x: 40.0 }, … }
      #
      # Marks of one group count as one piece. Lining up goes by the piece that reaches farthest;
      # spacing keeps the two outermost where they are; sorting begins at the top left of them all.
      module Arrangement
        LINES = %w[left centre right top middle bottom].freeze
        SPACES = %w[space_across space_down].freeze
        PILES = %w[to_front to_back forward backward].freeze
        SORTS = %w[sort_column sort_row].freeze
        WAYS = [*LINES, *SPACES, *PILES, *SORTS].freeze

        # Between sorted pieces, in px.
        GAP = 16

        Piece = Struct.new(:marks, :x, :y, :w, :h) do
          def self.of(marks)
            boxes = marks.map { |mark| Mark.bounds(mark) }
            x, y = boxes.map { |box| box[0] }.min, boxes.map { |box| box[1] }.min
            new(marks, x, y, boxes.map { |box| box[0] + box[2] }.max - x, boxes.map { |box| box[1] + box[3] }.max - y)
          end

          # @return [Hash] the changes that move all marks of the piece, so that its corner comes to (x, y)
          def to(to_x, to_y)
            dx, dy = to_x - x, to_y - y
            marks.to_h { |mark| [mark[:id], { x: (mark[:x] + dx).round(1), y: (mark[:y] + dy).round(1) }] }
          end

          def words = marks.filter_map { |mark| mark[:text] }.join(' ').strip
        end

        module_function

        # @param marks [Array<Hash>]
        # @param way [String] one of {WAYS}
        # @param board [Board] for the pile they lie in
        # @param language [String] BCP 47 tag, for sorting
        # @return [Hash{String => Hash}] fields to set by mark id
        def call(marks, way, board:, language: 'en')
          return pile(marks, way, board) if PILES.include?(way)

          pieces = marks.group_by { |mark| mark[:group] || mark[:id] }.each_value.map { |group| Piece.of(group) }
          return {} if pieces.length < 2

          if LINES.include?(way) then line_up(pieces, way)
          elsif SPACES.include?(way) then space(pieces, way)
          else sort(pieces, way, language)
          end
        end

        def line_up(pieces, way)
          all = Piece.of(pieces.flat_map(&:marks))
          merge(pieces) { |piece| piece.to(*lined(piece, all, way)) }
        end
        private_class_method :line_up

        # @return [Array(Numeric, Numeric)] where the corner of a piece comes
        def lined(piece, all, way)
          case way
          when 'left' then [all.x, piece.y]
          when 'centre' then [all.x + (all.w - piece.w) / 2.0, piece.y]
          when 'right' then [all.x + all.w - piece.w, piece.y]
          when 'top' then [piece.x, all.y]
          when 'middle' then [piece.x, all.y + (all.h - piece.h) / 2.0]
          else [piece.x, all.y + all.h - piece.h]
          end
        end
        private_class_method :lined

        # Equal gaps between neighbours, which may be below zero when the pieces are too large.
        def space(pieces, way)
          place, extent = way == 'space_across' ? %i[x w] : %i[y h]
          order = pieces.sort_by { |piece| [piece[place], piece.marks.first[:id]] }
          span = order.last[place] + order.last[extent] - order.first[place]
          gap = (span - order.sum { |piece| piece[extent] }) / (order.length - 1).to_f
          at = order.first[place]
          merge(order) do |piece|
            target = at
            at += piece[extent] + gap
            place == :x ? piece.to(target, piece.y) : piece.to(piece.x, target)
          end
        end
        private_class_method :space

        # Only what is written is sorted; a picture that was chosen with it stays where it is.
        def sort(pieces, way, language)
          pieces = pieces.select { |piece| piece.marks.any? { |mark| mark[:text] } }
          return {} if pieces.length < 2

          all = Piece.of(pieces.flat_map(&:marks))
          order = pieces.sort_by { |piece| [Collation.key(piece.words, language: language), piece.marks.first[:id]] }
          x, y = all.x, all.y
          merge(order) do |piece|
            moved = piece.to(x, y)
            way == 'sort_column' ? y += piece.h + GAP : x += piece.w + GAP
            moved
          end
        end
        private_class_method :sort

        # To the front or back of everything on their page, or past the next one above or below.
        def pile(marks, way, board)
          marks.group_by { |mark| mark[:page] }.map { |page, chosen| pile_page(board.on_page(page), chosen, way) }.reduce({}, :merge)
        end
        private_class_method :pile

        # @param page [Array<Hash>] all marks of one page, bottom first
        # @param chosen [Array<Hash>] those of them that go elsewhere
        def pile_page(page, chosen, way)
          ids = chosen.to_set { |mark| mark[:id] }
          chosen, others = page.partition { |mark| ids.include?(mark[:id]) }
          order = case way
                  when 'to_front' then others + chosen
                  when 'to_back' then chosen + others
                  else past_neighbour(page, others, ids, way)
                  end
          heights = page.map { |mark| mark[:z] }
          heights = (1..order.length).to_a if heights.uniq.length < heights.length
          order.zip(heights).to_h { |mark, z| [mark[:id], { z: z }] }
        end
        private_class_method :pile_page

        def past_neighbour(page, others, ids, way)
          chosen = page.select { |mark| ids.include?(mark[:id]) }
          below = if way == 'forward' then others_below(page, ids, page.rindex { |mark| ids.include?(mark[:id]) }) + 1
                  else others_below(page, ids, page.index { |mark| ids.include?(mark[:id]) }) - 1
                  end.clamp(0, others.length)
          others.take(below) + chosen + others.drop(below)
        end
        private_class_method :past_neighbour

        def others_below(page, ids, index) = page.take(index).count { |mark| !ids.include?(mark[:id]) }
        private_class_method :others_below

        def merge(pieces, &) = pieces.map(&).reduce({}, :merge)
        private_class_method :merge
      end
    end
  end
end
