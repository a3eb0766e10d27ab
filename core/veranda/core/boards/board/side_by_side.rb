# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Lays pages of several boards, or marks chosen from them, out on the first page of a new one, each with a name under it.
      # They stay marks, so they can be drawn on, moved and written into like any others.
      #
      #   SideBySide.new([{ name: 'Pell', board: board, page: 'p1' }, …], by: house, at: now).call #=> body of a `taken_in` entry
      #
      # Two to a row up to four, then three, then five; a page of more than two rows grows downward.
      class SideBySide
        # px
        GAP = 24
        NAME_SIZE = 28
        NAME_HEIGHT = NAME_SIZE * TextLayout::LEADING + 8
        # Around marks that are chosen from a page.
        AIR = 20
        # However small the rest gets, px.
        LEAST = { width: 1, size: Types::SMALLEST_KEPT }.freeze
        FRAME = { kind: 'rectangle', ink: 'slate', width: 2, locked: true }.freeze

        # Where on the new page a piece comes, and how much smaller.
        Spot = Struct.new(:x, :y, :scale, :from_x, :from_y) do
          def across(value) = (x + (value - from_x) * scale).round(1)
          def down(value) = (y + (value - from_y) * scale).round(1)
        end

        # @param pieces [Array<Hash>] `{ name:, board: Board, page:, marks: }`, `marks` the ids of those that are chosen, all without it
        # @param by [String] id of whom names and frames are by
        # @param at [Integer] ms since the epoch
        def initialize(pieces, by:, at:)
          @pieces = pieces
          @by = by
          @at = at
          @marks = []
        end

        # @return [Hash]
        # @raise [Refusal] `board_full`
        def call
          full!
          @pieces.each_slice(columns).with_index { |row, i| lay_row(row, i) }
          authors = @pieces.map { |piece| piece[:board].authors }.reduce({}, :merge)
          { pages: [{ page: Board::FIRST_PAGE, **(rows > 2 ? { grows: true } : {}) }], marks: @marks,
            authors: authors.map { |id, name| { id: id, name: name } } }
        end

        private

        def columns = { 0..1 => 1, 2..4 => 2, 5..30 => 3 }.find { |range, _| range.cover?(@pieces.length) }&.last || 5
        def rows = (@pieces.length / columns.to_f).ceil
        def cell_width = (Mark::PAGE_WIDTH - GAP * (columns + 1)) / columns.to_f

        def cell_height
          return cell_width * Mark::PAGE_HEIGHT / Mark::PAGE_WIDTH if rows > 2

          (Mark::PAGE_HEIGHT - GAP * (rows + 1)) / rows.to_f - NAME_HEIGHT
        end

        def full!
          count = @pieces.sum { |piece| chosen(piece).length + 3 }
          return if count <= Board::MAX_MARKS

          raise Refusal.new(:board_full, "Together these hold more than #{Board::MAX_MARKS} marks. Choose fewer of them.")
        end

        def chosen(piece)
          marks = piece[:board].on_page(piece[:page])
          piece[:marks] ? marks.select { |mark| piece[:marks].include?(mark[:id]) } : marks
        end

        def lay_row(row, index)
          top = GAP + index * (cell_height + NAME_HEIGHT + GAP)
          row.each_with_index { |piece, i| lay(piece, GAP + i * (cell_width + GAP), top) }
        end

        def lay(piece, left, top)
          marks = chosen(piece)
          x, y, w, h = piece[:marks] ? around(marks) : whole(piece)
          scale = [cell_width / w, cell_height / h, 1.0].min
          spot = Spot.new(left + (cell_width - w * scale) / 2, top, scale, x, y)
          ground(piece, spot)
          marks.each { |mark| put(scaled(mark, spot), mark) }
          frame(spot, w, h) unless piece[:marks]
          name(piece[:name], spot, top + h * scale, left + cell_width - spot.x)
        end

        def frame(spot, width, height)
          put({ **FRAME, x: spot.x.round(1), y: spot.y, w: (width * spot.scale).round(1), h: (height * spot.scale).round(1) })
        end

        def name(text, spot, below, room)
          put({ kind: 'text', ink: 'slate', text: text, size: NAME_SIZE, x: spot.x.round(1), y: (below + 8).round(1),
                w: [room, NAME_SIZE * 4].max.round(1) })
        end

        # A growing page is taken as far down as there is something on it.
        def whole(piece)
          board, page = piece.values_at(:board, :page)
          height = board.height(page)
          height -= Board::FREE_BELOW if board.page_facts.dig(page, :grows) && height - Board::FREE_BELOW >= Mark::PAGE_HEIGHT
          [0, 0, Mark::PAGE_WIDTH, height]
        end

        def around(marks)
          return [0, 0, Mark::PAGE_WIDTH, Mark::PAGE_HEIGHT] if marks.empty?

          boxes = marks.map { |mark| Mark.bounds(mark) }
          x, y = [0, 1].map { |i| boxes.map { |box| box[i] }.min - AIR }
          [x, y, boxes.map { |box| box[0] + box[2] }.max + AIR - x, boxes.map { |box| box[1] + box[3] }.max + AIR - y]
        end

        def ground(piece, spot)
          ground = piece[:board].page_facts.dig(piece[:page], :ground)
          return if ground.nil? || piece[:marks]

          put({ kind: Mark::PICTURE, ink: 'slate', alt: "Slide #{ground[:slide]}", locked: true,
                **ground.slice(:material, :version, :slide), x: spot.across(0), y: spot.down(0),
                w: (Mark::PAGE_WIDTH * spot.scale).round(1), h: (Board.height_of(ground) * spot.scale).round(1) })
        end

        # Its author and time stay; its id, its group and its place in the pile are of the new board.
        def put(mark, from = { by: @by, at: @at })
          @marks << { **mark, id: "s#{@marks.length}", page: Board::FIRST_PAGE, by: from[:by], at: from[:at], z: @marks.length + 1 }
        end

        def scaled(mark, spot)
          scale = spot.scale
          smaller = mark.except(:group, :took).merge(x: spot.across(mark[:x]), y: spot.down(mark[:y]))
          %i[w h].each { |field| smaller[field] = (mark[field] * scale).round(1) if mark[field] }
          LEAST.each { |field, least| smaller[field] = [mark[field] * scale, least].max.round(2) if mark[field] }
          smaller[:points] = mark[:points].map { |value| (value * scale).round(1) } if mark[:points]
          mark[:kind] == 'note' ? with_margins(smaller, scale) : smaller
        end

        # The margins of a note are the same at every size, so that what is left for its words must not shrink with them.
        def with_margins(note, scale)
          more = 2 * TextLayout::NOTE_INSET * (1 - scale)
          note.merge({ x: (note[:x] - more / 2).round(1), y: (note[:y] - more / 2).round(1), w: (note[:w] + more).round(1),
                       h: note[:h] && (note[:h] + more).round(1) }.compact)
        end
      end
    end
  end
end
