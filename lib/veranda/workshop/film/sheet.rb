# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # One page as it is drawn in a film. It is kept from one picture to the next, and only what is different is drawn anew: a mark that
      # lies on top at once, anything else by laying what was beneath and drawing again what lies there.
      class Sheet
        # Drawings of marks that are kept.
        KEPT = 1_500
        # What a page is before anybody draws on it, as in `web/src/board/page/PageView.tsx`.
        RULE = '#DDD3C0'
        DOTS = 50

        # @return [Core::Films::Fit]
        attr_reader :fit
        # @return [Canvas]
        attr_reader :canvas
        # @return [Array<Numeric>, nil] the box of what was last drawn, in points
        attr_reader :last

        # @param fit [Core::Films::Fit]
        # @param pictures [#call] answers with the address of a slide's picture, see {Core::Boards::SvgWriter}
        def initialize(fit, pictures)
          @fit = fit
          @pictures = pictures
          @drawn = {}
          @bounds = {}.compare_by_identity
          @drawings = {}.compare_by_identity
          @canvas = Canvas.new(fit.w, fit.h)
        end

        # @param board [Core::Boards::Board]
        # @param page [String]
        # @param without [Array<String>] ids of marks that are drawn elsewhere
        # @return [self]
        def catch_up(board, page, without: [])
          @writer = Core::Boards::SvgWriter.new(board, page, pictures: @pictures)
          lay_ground(board, page)
          marks = board.marks.each_value.select { |mark| mark[:page] == page && !without.include?(mark[:id]) }
          changed(marks.to_h { |mark| [mark[:id], mark] })
          self
        end

        # Draws a mark elsewhere, as it would be drawn here.
        # @param canvas [Canvas]
        # @param box [Array<Numeric>] x, y, width and height in points
        def draw_on(canvas, mark, box, clip:)
          canvas.draw(Drawing.of(@writer.alone(mark, @fit.frame)), box, clip: clip)
        end

        private

        def all = [0, 0, @fit.w, @fit.h]

        def lay_ground(board, page)
          facts = board.page_facts.dig(page, :ground)
          return if @ground && @facts == facts

          @facts = facts
          @ground = Canvas.new(@fit.w, @fit.h).fill(Core::Boards::Inks::PAPER).draw(Drawing.of(ground(facts, board.height(page))), all)
          @canvas.lay(@ground)
          @drawn = {}
        end

        def ground(facts, height)
          width = Core::Boards::Mark::PAGE_WIDTH
          address = facts && @pictures.call(*facts.values_at(:material, :version, :slide))
          <<~SVG
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="#{@fit.frame.join(' ')}">
              #{if address
                  %(<image width="#{width}" height="#{Core::Boards::Board.height_of(facts)}" preserveAspectRatio="none" href="#{address}"/>)
                else
                  %(<defs><pattern id="dots" width="#{DOTS}" height="#{DOTS}" patternUnits="userSpaceOnUse"><circle cx="#{DOTS / 2}" cy="#{DOTS / 2}" r="1.6" fill="#{RULE}"/></pattern></defs><rect width="#{width}" height="#{height}" fill="url(#dots)"/>)
                end}
              <rect width="#{width}" height="#{height}" fill="none" stroke="#{RULE}" stroke-width="#{1 / @fit.scale}" stroke-dasharray="#{3 / @fit.scale} #{6 / @fit.scale}"/>
            </svg>
          SVG
        end

        def changed(marks)
          gone = missing(@drawn, marks)
          come = piled(missing(marks, @drawn))
          on_top = gone.empty? && come.any? && come.first[:z] > top
          @drawn = marks
          on_top ? come.each { |mark| draw(mark, box(mark)) } : mend((gone + come).map { |mark| box(mark) })
          @last = box(come.last) if come.any?
        end

        # A mark that is another in any way is another mark.
        def missing(some, others) = some.each_value.reject { |mark| others[mark[:id]].equal?(mark) }
        def piled(marks) = marks.sort_by { |mark| [mark[:z], mark[:id]] }
        def top = @drawn.each_value.map { |mark| mark[:z] }.max || -1

        # Boxes that meet are mended at once, since whatever lies there would be drawn for each of them.
        def mend(boxes)
          joined(boxes).each do |box|
            @canvas.lay(@ground, clip: box)
            there = @drawn.each_value.select { |mark| meets?(box(mark), box) }
            piled(there).each { |mark| draw(mark, box) }
          end
        end

        def joined(boxes)
          boxes.each_with_object([]) do |box, list|
            while (other = list.find { |one| meets?(one, box) })
              list.delete(other)
              box = around(one: other, other: box)
            end
            list << box
          end
        end

        def around(one:, other:)
          x, y = [one[0], other[0]].min, [one[1], other[1]].min
          [x, y, [one[0] + one[2], other[0] + other[2]].max - x, [one[1] + one[3], other[1] + other[3]].max - y]
        end

        def meets?(one, other)
          one[0] < other[0] + other[2] && other[0] < one[0] + one[2] && one[1] < other[1] + other[3] && other[1] < one[1] + one[3]
        end

        def draw(mark, clip) = @canvas.draw(drawing(mark), all, clip: clip)

        def drawing(mark)
          @drawings.fetch(mark) do
            @drawings.shift if @drawings.length >= KEPT
            @drawings[mark] = Drawing.of(@writer.alone(mark, @fit.frame))
          end
        end

        # Points in which a mark can be seen: its box, and what its ink goes beyond it.
        def box(mark) = @bounds[mark] ||= @fit.points(Core::Boards::Mark.bounds(mark), around: 3 + reach(mark) * @fit.scale)

        # The head of an arrow is wider than its line, and a prop has a handle.
        def reach(mark)
          width = (mark[:width] || 4).to_f
          case mark[:kind]
          when 'arrow' then 12 + 3 * width
          when 'prop' then 24
          when 'text', 'note' then mark[:size] / 2.0
          when 'sign' then mark[:w] * 0.14
          else width
          end
        end
      end
    end
  end
end
