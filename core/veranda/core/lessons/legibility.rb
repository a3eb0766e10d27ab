# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # Which texts of a board are hard to read: too small at the width of a laptop, or too faint on
      # what lies beneath them (WCAG 2.2, 1.4.3: 4.5:1, and 3:1 for large text).
      module Legibility
        # Letters of this size and more, in px as seen, count as large (18 pt in WCAG's words).
        LARGE = 24
        # The grid of tones over a slide.
        TONES_ACROSS = 32
        TONES_DOWN = 20
        ENOUGH = 4.5
        ENOUGH_LARGE = 3.0

        module_function

        # @param board [Boards::Board]
        # @param tones [#call, nil] answers `(material, version, slide)` with `{ across:, colours: ['#RRGGBB', …] }`, row by row,
        #   or nil when it is not known
        # @return [Array<Hash>] `{ code: :small_text, mark:, page:, words:, px: }` or `{ code: :faint_text, …, contrast: }`
        def of(board, tones: nil)
          board.pages.flat_map do |page|
            marks = board.on_page(page)
            marks.each_with_index.select { |mark, _| written?(mark) }.filter_map do |mark, i|
              small(mark) || faint(mark, marks.take(i), board.page_facts.dig(page, :ground), tones)
            end
          end
        end

        # @param size [Numeric] px on the page
        # @return [Integer] px as seen on a laptop
        def seen(size) = (size * Readiness::PAPER_ON_LAPTOP / Boards::Mark::PAGE_WIDTH.to_f).round

        def written?(mark) = Boards::Mark::WRITTEN.include?(mark[:kind]) && !mark[:text].strip.empty?
        private_class_method :written?

        def small(mark)
          px = seen(mark[:size])
          { code: :small_text, **place(mark), px: px } if px < Readiness::SMALLEST
        end
        private_class_method :small

        # The worst of everything the text lies on counts.
        def faint(mark, below, ground, tones)
          return if mark[:kind] == 'note' # notes bring their own paper

          ink = Boards::Inks::INKS.fetch(mark[:ink])
          contrast = beneath(mark, below, ground, tones).map { |colour| Boards::Inks.contrast(ink, colour) }.min
          enough = seen(mark[:size]) >= LARGE ? ENOUGH_LARGE : ENOUGH
          { code: :faint_text, **place(mark), contrast: contrast.floor(1) } if contrast < enough
        end
        private_class_method :faint

        def place(mark) = { mark: mark[:id], page: mark[:page], words: mark[:text].strip.lines.first.strip }
        private_class_method :place

        # @return [Array<String>] colours under a text: of the topmost thing that covers it, or of the slide, or the paper
        def beneath(mark, below, ground, tones)
          box = Boards::Mark.bounds(mark)
          cover = below.reverse.find { |other| covers?(other, box) }
          if cover && cover[:kind] == 'image'
            return pictured(cover.slice(:material, :version, :slide), box, Boards::Mark.bounds(cover),
                            tones)
          end
          return [Boards::Inks::WASHES.fetch(cover[:ink])] if cover
          return [Boards::Inks::PAPER] unless ground

          height = Boards::Mark::PAGE_WIDTH * ground[:h] / ground[:w].to_f
          pictured(ground, box, [0, 0, Boards::Mark::PAGE_WIDTH, height], tones)
        end
        private_class_method :beneath

        def covers?(mark, box)
          solid = mark[:kind] == 'note' || mark[:kind] == 'image' || (mark[:fill] && Boards::Mark::BOXED.include?(mark[:kind]))
          return false unless solid

          x, y, w, h = Boards::Mark.bounds(mark)
          middle_x, middle_y = box[0] + box[2] / 2.0, box[1] + box[3] / 2.0
          middle_x.between?(x, x + w) && middle_y.between?(y, y + h)
        end
        private_class_method :covers?

        # The tones of a picture within a box, both given in page px.
        def pictured(slide, box, frame, tones)
          grid = tones&.call(*slide.values_at(:material, :version, :slide))
          return [Boards::Inks::PAPER] if grid.nil? || grid[:colours].empty?

          rows = grid[:colours].each_slice(grid[:across]).to_a
          across = cells(box[0], box[2], frame[0], frame[2], grid[:across])
          down = cells(box[1], box[3], frame[1], frame[3], rows.length)
          down.flat_map { |row| across.map { |column| rows[row][column] } }
        end
        private_class_method :pictured

        def cells(from, extent, start, whole, count)
          first = ((from - start) / whole.to_f * count).floor.clamp(0, count - 1)
          last = ((from + extent - start) / whole.to_f * count).ceil.clamp(first + 1, count)
          (first...last).to_a
        end
        private_class_method :cells
      end
    end
  end
end
