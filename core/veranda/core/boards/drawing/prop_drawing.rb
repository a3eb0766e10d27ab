# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Draws a prop as it stood: what was rolled, where the wheel rests, whose name was picked.
      # `web/src/board/props/` draws the same with hands on it.
      class PropDrawing
        PANEL = '#FFFDF9'
        HAIRLINE = '#DDD3C0'
        # Where pips sit on a die, as quarters of its side, by face.
        PIPS = {
          1 => [[2, 2]], 2 => [[1, 1], [3, 3]], 3 => [[1, 1], [2, 2], [3, 3]], 4 => [[1, 1], [1, 3], [3, 1], [3, 3]],
          5 => [[1, 1], [1, 3], [2, 2], [3, 1], [3, 3]], 6 => [[1, 1], [1, 2], [1, 3], [3, 1], [3, 2], [3, 3]]
        }.freeze
        # Corners of the counters, as shares of their box; a round one has none.
        CORNERS = {
          'square' => [[0.08, 0.08], [0.92, 0.08], [0.92, 0.92], [0.08, 0.92]],
          'triangle' => [[0.5, 0.05], [0.95, 0.9], [0.05, 0.9]],
          'diamond' => [[0.5, 0.03], [0.97, 0.5], [0.5, 0.97], [0.03, 0.5]],
          'star' => Array.new(10) do |i|
            reach = i.even? ? 0.48 : 0.2
            turn = Math::PI * (i / 5.0 - 0.5)
            [0.5 + reach * Math.cos(turn), 0.52 + reach * Math.sin(turn)].map { |value| value.round(3) }
          end,
          'boat' => [[0.5, 0.02], [0.72, 0.3], [0.78, 0.62], [0.7, 0.96], [0.3, 0.96], [0.22, 0.62], [0.28, 0.3]]
        }.freeze

        # @param group [REXML::Element] to draw into, with its corner at 0, 0
        # @param mark [Hash]
        def initialize(group, mark)
          @group = group
          @mark = mark
          @w, @h = mark.values_at(:w, :h)
          @shows = mark[:shows] || {}
          @settings = mark[:settings]
          @ink = Inks::INKS.fetch(mark[:ink])
        end

        def call = send(:"draw_#{@mark[:prop]}")

        private

        def draw_dice
          side = [@w / @settings[:count].to_f, @h].min
          faces = @shows[:rolled] || [nil] * @settings[:count]
          faces.each_with_index { |face, i| die(i * side, side, face) }
        end

        def die(x, side, face)
          inset = side * 0.06
          box(x + inset, inset, side - 2 * inset, side - 2 * inset, PANEL, @ink)
          return unless face
          return words(face, x + side / 2, side * 0.62, side * 0.42) if @settings[:faces] > 6 || !PIPS.key?(face)

          PIPS[face].each do |across, down|
            @group.add_element('circle', 'cx' => number(x + side * across / 4), 'cy' => number(side * down / 4), 'r' => number(side * 0.07),
                                         'fill' => @ink)
          end
        end

        # Each label with the angles between which its part lies, in radians clockwise from the top.
        def parts
          weights = @settings[:weights] || [1] * @settings[:labels].length
          from = -(@shows[:turn] || 0) * Math::PI / 180
          @settings[:labels].zip(weights).map do |label, weight|
            start = from
            [label, start, from += 2 * Math::PI * weight / weights.sum]
          end
        end

        def draw_spinner
          radius = [@w, @h].min / 2.0
          parts.each_with_index do |(label, from, to), i|
            slice(radius, from, to, i)
            middle = (from + to) / 2
            words(label, radius * (1 + 0.62 * Math.sin(middle)), radius * (1 - 0.62 * Math.cos(middle)) + 6, 20)
          end
          @group.add_element('path', 'd' => "M#{number(radius - 10)} -6L#{number(radius + 10)} -6L#{number(radius)} 16Z",
                                     'fill' => @ink)
        end

        def slice(radius, from, to, index)
          one, other = [from, to].map do |turn|
            "#{number(radius * (1 + Math.sin(turn)))} #{number(radius * (1 - Math.cos(turn)))}"
          end
          large = to - from > Math::PI ? 1 : 0
          r = number(radius)
          @group.add_element('path', 'd' => "M#{r} #{r}L#{one}A#{r} #{r} 0 #{large} 1 #{other}Z",
                                     'fill' => Inks::WASHES.values[index % Inks::WASHES.length], 'stroke' => HAIRLINE)
        end

        def draw_counter
          corners = CORNERS[@settings[:shape]]
          if corners
            points = corners.map { |x, y| "#{number(x * @w)},#{number(y * @h)}" }.join(' ')
            return @group.add_element('polygon', 'points' => points, 'fill' => @ink, 'stroke' => PANEL, 'stroke-width' => '3')
          end

          place = { cx: @w / 2.0, cy: @h / 2.0, rx: @w * 0.46, ry: @h * 0.46 }.to_h { |name, value| [name.to_s, number(value)] }
          @group.add_element('ellipse', **place,
                                        'fill' => @ink, 'stroke' => PANEL, 'stroke-width' => '3')
        end

        def draw_timer
          box(0, 0, @w, @h, PANEL, @ink)
          seconds = ((@shows[:left] || (@shows[:ends_at] ? 0 : @settings[:seconds] * 1000)) / 1000.0).ceil
          words(format('%d:%02d', seconds / 60, seconds % 60), @w / 2.0, @h * 0.68, @h * 0.5)
        end

        def draw_picker
          box(0, 0, @w, @h, PANEL, @ink)
          words(@shows[:name] || '?', @w / 2.0, @h * 0.6, [@h * 0.3, 40].min)
        end

        def box(x, y, w, h, fill, stroke)
          @group.add_element('rect', 'x' => number(x), 'y' => number(y), 'width' => number(w), 'height' => number(h), 'rx' => '10',
                                     'fill' => fill, 'stroke' => stroke, 'stroke-width' => '2')
        end

        def words(text, x, y, size)
          @group.add_element('text', 'x' => number(x), 'y' => number(y), 'font-size' => number(size), 'text-anchor' => 'middle',
                                     'fill' => Inks::INKS['slate']).text = Mark.plain(text.to_s)
        end

        def number(value) = format('%.2f', value).sub(/\.?0+\z/, '')
      end
    end
  end
end
