# frozen_string_literal: true

require 'json'
require 'rexml/document'

module Veranda
  module Core
    module Boards
      # Writes one page of a board as an SVG that any viewer shows and {SvgReader} reads back
      # to equal marks. What SVG has no words for (author, time, ink by name, lock) stands in
      # attributes of the namespace {NAMESPACE}.
      #
      #   SvgWriter.new(board, 'p1', title: 'Crossing').call #=> "<svg …>"
      #
      # Pictures are asked for one by one, so that the file stands alone:
      #
      #   SvgWriter.new(board, 'p1', pictures: ->(material, version, slide) { 'data:image/png;base64,…' })
      class SvgWriter
        NAMESPACE = 'urn:veranda:board:1'
        # Everything about a mark that its drawing alone does not tell, in this order.
        KEPT = %i[id page kind ink width size locked fill took by at z x y w h angle group sign alt material version slide prop
                  settings shows press].freeze
        # Those of them that are written as JSON.
        NESTED = %i[settings shows press].freeze
        # How far beyond the page marks are drawn, and what is left free around them there, in px.
        MARGIN = 800
        EDGE = 20
        FONT = "'Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Next Variable', sans-serif"

        # @param board [Board]
        # @param page [String]
        # @param title [String]
        # @param pictures [#call, nil] answers with the address of a slide's picture, or nil
        # @param ground [Boolean] whether the slide beneath is drawn
        def initialize(board, page, title: 'Board', pictures: nil, ground: true)
          @board = board
          @page = page
          @title = title
          @pictures = pictures || ->(*) {}
          @ground = ground
        end

        # @return [String] a standalone SVG document
        def call
          document = REXML::Document.new
          svg = document.add_element('svg', root_attributes)
          svg.add_element('title').text = Mark.plain(@title)
          if @ground
            x, y, w, h = frame.map(&:to_s)
            svg.add_element('rect', 'class' => 'paper', 'x' => x, 'y' => y, 'width' => w, 'height' => h, 'fill' => Inks::PAPER)
            lay_ground(svg)
          end
          @board.on_page(@page).each { |mark| draw(svg, mark) }
          document.to_s
        end

        # One of its marks by itself, for whoever draws a page mark by mark: nothing of it but its drawing.
        # @param mark [Hash]
        # @param frame [Array<Numeric>] x, y, width and height in px of what is drawn
        # @return [String] an SVG
        def alone(mark, frame)
          document = REXML::Document.new
          svg = document.add_element('svg', 'xmlns' => 'http://www.w3.org/2000/svg', 'xmlns:v' => NAMESPACE, 'viewBox' => frame.join(' '),
                                            'font-family' => FONT)
          send(:"draw_#{mark[:kind]}", svg.add_element('g', 'transform' => place(mark)), mark)
          document.to_s
        end

        # The page, and what was written on its margin: on screen one sees that too.
        # @return [Array<Integer>] x, y, width, height in px
        def frame
          page = [0, 0, Mark::PAGE_WIDTH, @board.height(@page)]
          left, top, right, bottom = @board.on_page(@page).map { |mark| Mark.bounds(mark) }.push(page)
                                           .map { |x, y, w, h| [x, y, x + w, y + h] }.transpose
                                           .then { |xs, ys, rs, bs| [xs.min, ys.min, rs.max, bs.max] }
          x, y = [left, top].map { |edge| edge.negative? ? [edge.floor - EDGE, -MARGIN].max : 0 }
          [x, y, reach(right, page[2]) - x, reach(bottom, page[3]) - y]
        end

        private

        def root_attributes
          x, y, w, h = frame
          { 'xmlns' => 'http://www.w3.org/2000/svg', 'xmlns:v' => NAMESPACE, 'v:page' => @page,
            'viewBox' => "#{x} #{y} #{w} #{h}", 'font-family' => FONT, 'width' => w.to_s, 'height' => h.to_s, **facts }
        end

        def reach(edge, page) = edge > page ? [edge.ceil + EDGE, page + MARGIN].min : page

        def facts
          @board.page_facts[@page] ? { 'v:facts' => JSON.generate(@board.page_facts[@page]) } : {}
        end

        def lay_ground(svg)
          ground = @board.page_facts.dig(@page, :ground) or return
          address = @pictures.call(*ground.values_at(:material, :version, :slide)) or return
          svg.add_element('image', 'class' => 'ground', 'width' => Mark::PAGE_WIDTH.to_s,
                                   'height' => Board.height_of(ground).to_s, 'href' => address)
        end

        def draw(svg, mark)
          group = svg.add_element('g', 'class' => 'mark', 'transform' => place(mark))
          KEPT.each { |field| group.add_attribute("v:#{field}", written(field, mark[field])) unless mark[field].nil? }
          group.add_attribute('v:author', Mark.plain(@board.authors[mark[:by]])) if @board.authors[mark[:by]]
          group.add_element('desc').text = Mark.plain(mark[:text]) if mark[:text]
          send(:"draw_#{mark[:kind]}", group, mark)
        end

        # What came from elsewhere may hold characters that XML has no way to write.
        def written(field, value) = Mark.plain(NESTED.include?(field) ? JSON.generate(value) : value.to_s)

        def place(mark)
          moved = "translate(#{mark[:x]} #{mark[:y]})"
          return moved if (mark[:angle] || 0).zero?

          x, y, w, h = Mark.box(mark)
          "#{moved} rotate(#{mark[:angle]} #{x - mark[:x] + w / 2.0} #{y - mark[:y] + h / 2.0})"
        end

        def draw_stroke(group, mark)
          return path(group, mark, StrokePath.call(mark[:points]), pen(mark)) unless pressed?(mark)

          outline = StrokeOutline.path(mark[:points], mark[:press], mark[:width])
          path(group, mark, outline, 'fill' => Inks::INKS.fetch(mark[:ink]))
        end

        def pressed?(mark) = mark[:press] && mark[:press].length * 2 == mark[:points].length

        def draw_highlight(group, mark)
          wash = { 'stroke' => Inks::WASHES.fetch(mark[:ink]), 'style' => 'mix-blend-mode:multiply' }
          path(group, mark, StrokePath.call(mark[:points]), pen(mark).merge(wash))
        end

        def draw_line(group, mark)
          path(group, mark, StrokePath.call(mark[:points]), pen(mark))
        end

        def draw_arrow(group, mark)
          path(group, mark, StrokePath.call(mark[:points]) + ArrowHead.call(mark[:points], mark[:width]), pen(mark))
        end

        def draw_polygon(group, mark)
          path(group, mark, "M#{mark[:points].each_slice(2).map { |pair| pair.join(' ') }.join('L')}Z", pen(mark))
        end

        def draw_rectangle(group, mark)
          group.add_element('rect', pen(mark).merge('width' => mark[:w].to_s, 'height' => mark[:h].to_s, 'rx' => '4'))
        end

        def draw_ellipse(group, mark)
          rx, ry = mark[:w] / 2.0, mark[:h] / 2.0
          place = { cx: rx, cy: ry, rx: rx, ry: ry }.to_h { |name, value| [name.to_s, value.to_s] }
          group.add_element('ellipse', pen(mark).merge(place))
        end

        def draw_sign(group, mark)
          wide = { 'stroke-width' => (mark[:w] * 0.14).round(2).to_s }
          group.add_element('path',
                            pen(mark.merge(width: 1, fill: nil)).merge(wide, 'd' => Signs.path(mark[:sign], mark[:w], mark[:h])))
        end

        def draw_image(group, mark)
          address = @pictures.call(*mark.values_at(:material, :version, :slide))
          group.add_element('title').text = Mark.plain(mark[:alt]) unless mark[:alt].empty?
          size = { 'width' => mark[:w].to_s, 'height' => mark[:h].to_s }
          return group.add_element('rect', size.merge('fill' => Inks::WASHES['slate'])) unless address

          group.add_element('image', size.merge('href' => address, 'preserveAspectRatio' => 'none'))
        end

        def draw_prop(group, mark) = PropDrawing.new(group, mark).call

        def draw_text(group, mark) = lines(group, mark, 0)

        def draw_note(group, mark)
          height = [mark[:h] || 0, TextLayout.of(mark).height].max
          group.add_element('rect', 'width' => mark[:w].to_s, 'height' => height.to_s, 'rx' => '4',
                                    'fill' => Inks::WASHES.fetch(mark[:ink]), 'stroke' => Inks::INKS.fetch(mark[:ink]))
          lines(group, mark, TextLayout::NOTE_INSET)
        end

        def lines(group, mark, inset)
          fill = mark[:kind] == 'note' ? Inks::INKS['slate'] : Inks::INKS.fetch(mark[:ink])
          text = group.add_element('text', 'fill' => fill, 'font-size' => mark[:size].to_s)
          TextLayout.of(mark).lines.each_with_index do |line, index|
            y = inset + mark[:size] * (1 + index * TextLayout::LEADING)
            text.add_element('tspan', 'x' => inset.to_s, 'y' => y.round(2).to_s).text = Mark.plain(line)
          end
        end

        def path(group, mark, data, attributes)
          group.add_element('path', attributes.merge('d' => data, 'v:points' => mark[:points].join(' ')))
        end

        def pen(mark)
          fill = mark[:fill] ? Inks::WASHES.fetch(mark[:ink]) : 'none'
          { 'fill' => fill, 'stroke' => Inks::INKS.fetch(mark[:ink]), 'stroke-width' => mark[:width].to_s,
            'stroke-linecap' => 'round', 'stroke-linejoin' => 'round' }
        end
      end
    end
  end
end
