# frozen_string_literal: true

require 'cgi'

module Veranda
  module Workshop
    module Film
      # The picture of a film at a moment: the paper with what is on show, who is seen, and what is said where that is written.
      #
      # Moving pictures are laid into it afterwards by the program that encodes it; what is drawn here leaves room for them.
      class Frame
        # Pages that are kept, the one that was not on show longest goes first.
        SHEETS = 10
        # Drawings of words that are kept.
        WORDS = 60
        PANEL = '#FFFDF9'
        INK = Core::Boards::Inks::INKS['slate']
        BRICK = Core::Boards::Inks::INKS['brick']
        # Share of the paper above the end of what was last written on a long page.
        ABOVE = 0.6

        # @param layout [Core::Films::Layout]
        # @param pictures [#call] see {Sheet}
        def initialize(layout, pictures)
          @layout = layout
          @pictures = pictures
          @sheets = {}
          @words = {}
          @canvas = Canvas.new(Core::Films::Layout::WIDTH, Core::Films::Layout::HEIGHT)
        end

        # @param seen [Seen]
        # @return [String] its points, see {Canvas#bytes}
        def draw(seen)
          paper(seen)
          people(seen.names) if @layout.column
          said(seen.caption) if @layout.strip
          @canvas.bytes
        end

        private

        def paper(seen)
          box = @layout.paper
          return @canvas.fill(PANEL, box) if seen.covered
          return page(seen.page, seen.version, seen) if seen.page

          @canvas.fill(Core::Boards::Inks::PAPER, box)
          write(seen.says, box, size: 24, centred: true)
        end

        def page(page, version, seen)
          sheet = sheet(page, version)
          down = scrolled(sheet)
          box = @layout.paper
          @canvas.lay(sheet.canvas, 0, -down, clip: box)
          all = [0, -down, sheet.fit.w, sheet.fit.h]
          page.moving.each_value { |mark| sheet.draw_on(@canvas, mark, all, clip: box) }
          point(sheet.fit, down, seen.pointer) if seen.pointer
        end

        # One page at a height is one sheet; one that grew is another.
        def sheet(page, version)
          fit = Core::Films::Fit.of(page.state.height(page.page), *@layout.paper.last(2))
          key = [page.board, page.page, fit]
          sheet, drawn = @sheets.delete(key)
          sheet ||= Sheet.new(fit, @pictures)
          moving = page.moving.keys
          sheet.catch_up(page.state, page.page, without: moving) unless drawn == [version, moving]
          @sheets.shift if @sheets.length >= SHEETS
          @sheets[key] = [sheet, [version, moving]]
          sheet
        end

        # @return [Integer] points that a long page is moved up, so that what was last written on it is seen
        def scrolled(sheet)
          high = @layout.paper[3]
          return 0 unless sheet.fit.h > high && sheet.last

          (sheet.last[1] + sheet.last[3] - (high * ABOVE)).round.clamp(0, sheet.fit.h - high)
        end

        # As in `web/src/board/others/Glimpsed.tsx`.
        def point(fit, down, pointer)
          x, y = (pointer[:x] - fit.x) * fit.scale, ((pointer[:y] - fit.y) * fit.scale) - down
          glow = kept([:pointer, pointer[:name]]) do
            <<~SVG
              <svg xmlns="http://www.w3.org/2000/svg" viewBox="-30 -30 260 60" font-family="#{Core::Boards::SvgWriter::FONT}">
                <circle r="15" fill="#{BRICK}" opacity="0.22"/><circle r="6" fill="#{BRICK}"/>
                <text x="18" y="5" font-size="13" font-weight="650" fill="#{BRICK}" stroke="#{Core::Boards::Inks::PAPER}" stroke-width="3" paint-order="stroke">#{escape(pointer[:name].to_s)}</text>
              </svg>
            SVG
          end
          @canvas.draw(glow, [x - 30, y - 30, 260, 60], clip: @layout.paper)
        end

        def people(names)
          return if @named == names

          @named = names
          @canvas.fill(PANEL, @layout.column)
          names.each_with_index { |name, slot| write(name, @layout.name(slot), size: 14, lines: 1) if name }
        end

        def said(words)
          return if @said == [words]

          @said = [words]
          @canvas.fill(INK, @layout.strip)
          write(words, @layout.strip, size: 22, colour: PANEL, centred: true, lines: 2) if words
        end

        # @param box [Array<Integer>] points
        def write(words, box, size:, colour: INK, centred: false, lines: 2)
          drawing = kept([words, box, size]) do
            said = Core::Boards::TextLayout.new(words, size: size, width: box[2] - 24).lines
            said = [*said.first(lines - 1), "#{said[lines - 1]} …"] if said.length > lines
            top = (box[3] - (said.length * size * 1.3)) / 2
            rows = said.each_with_index.map do |line, i|
              %(<tspan x="#{centred ? box[2] / 2 : 12}" y="#{(top + (size * (1 + (i * 1.3)))).round(1)}">#{escape(line)}</tspan>)
            end
            <<~SVG
              <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{box[2]} #{box[3]}" font-family="#{Core::Boards::SvgWriter::FONT}">
                <text font-size="#{size}" fill="#{colour}" text-anchor="#{centred ? 'middle' : 'start'}">#{rows.join}</text>
              </svg>
            SVG
          end
          @canvas.draw(drawing, box, clip: box)
        end

        def kept(key)
          @words.shift if @words.length >= WORDS && !@words.key?(key)
          @words[key] ||= Drawing.of(yield)
        end

        def escape(text) = CGI.escapeHTML(Core::Boards::Mark.plain(text))
      end
    end
  end
end
