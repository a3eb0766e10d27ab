# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # What a poll came to as a page of a board: what was asked, and a bar for each answer. `web/src/polls/page/asMarks.ts` puts the same
      # on boards.
      class PollPage
        # px of a page: where it begins, how far bars go, and how far apart rows are at most.
        LEFT = 120
        TOP = 230
        WIDEST = 1_100
        ROW = 92
        BOTTOM = 960
        # Rows that are still read on a page, and letters of one.
        MOST = 12
        LETTERS = 90

        # @param poll [Polls::Poll] of which something is shown
        # @return [Boards::Board] with one page
        def self.of(poll) = Boards::Board.from(pages: [Boards::Board::FIRST_PAGE], marks: new(poll).marks, authors: [], history: [], top: 0)

        def initialize(poll)
          @question = poll.question
          @shown = poll.shown
          @tally = @shown[:tally]
        end

        # @return [Array<Hash>] {Boards::Mark}s
        def marks
          shown = rows.first(MOST)
          most = [1, *shown.map { |row| row[:count] }].max
          step = [ROW, (BOTTOM - TOP) / [shown.length, 1].max].min
          all = head + shown.each_with_index.flat_map { |row, i| bar(row, TOP + i * step, step, most) }
          all.each_with_index.map { |mark, i| { id: "m#{i}", page: Boards::Board::FIRST_PAGE, by: 'house', at: 0, z: i + 1, **mark } }
        end

        private

        def head
          [text(@question[:text].to_s[0, 3 * LETTERS], LEFT, 50, 40, Boards::Mark::PAGE_WIDTH - 2 * LEFT),
           text(answered, LEFT, 170, 24, WIDEST)]
        end

        def answered
          count = @tally[:count]
          right = @tally[:right] ? ", #{(@tally[:right] * 100).round} % right" : ''
          "#{count} #{count == 1 ? 'person' : 'people'} answered#{right}"
        end

        def bar(row, y, step, most)
          w = [WIDEST * row[:count] / most.to_f, 2].max.round
          ink = row[:right] ? 'moss' : 'lake'
          [text(row[:words].to_s[0, LETTERS], LEFT, y, [26, step * 0.34].min, Boards::Mark::PAGE_WIDTH - LEFT),
           { kind: 'rectangle', ink: ink, fill: true, width: 2, x: LEFT, y: y + step * 0.42, w: w, h: step * 0.36 },
           text(row[:count].to_s, LEFT + w + 14, y + step * 0.4, [28, step * 0.4].min, 120)]
        end

        def text(words, x, y, size, w) = { kind: 'text', ink: 'slate', x: x, y: y, w: w, size: [size, 14].max, text: words }

        def rows = Polls::ShownResults.rows(@question, @shown)
      end
    end
  end
end
