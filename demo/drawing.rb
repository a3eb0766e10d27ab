# frozen_string_literal: true

module Demo
  # Marks as a practised hand would put them on a board. Everything is given in px on a
  # 1600 × 1000 page; ids count up so that each board reads the same every time.
  class Drawing
    # @param page [String]
    # @param prefix [String] begins every id
    # @param seed [Integer] of the hand's unsteadiness
    def initialize(page: 'p1', prefix: 'm', seed: 1)
      @page = page
      @prefix = prefix
      @rng = Random.new(seed)
      @count = 0
    end

    # @param points [Array<Array(Numeric, Numeric)>] corners, joined as a steady hand would
    def freehand(points, ink: 'slate', width: 4, took: nil)
      path = points.each_cons(2).flat_map { |from, to| along(from, to) } << points.last
      drawn('stroke', path, ink: ink, width: width, took: took || path.length * 18)
    end

    # @yieldparam x [Numeric]
    # @yieldreturn [Numeric] y
    def curve(range, step: 16, ink: 'slate', width: 4, took: nil)
      path = range.step(step).map { |x| [x, yield(x)] }
      drawn('stroke', path, ink: ink, width: width, took: took || path.length * 40)
    end

    def highlight(from, to, ink: 'umber') = drawn('highlight', [from, to], ink: ink, width: 26)
    def line(from, to, ink: 'slate', width: 3) = drawn('line', [from, to], ink: ink, width: width)
    def arrow(from, to, ink: 'slate', width: 5) = drawn('arrow', [from, to], ink: ink, width: width)

    def text(x, y, words, ink: 'slate', size: 30, w: nil)
      width = w || [(Veranda::Core::Boards::AdvanceWidths.of(words, size) + 12).ceil, 40].max
      mark('text', x, y, text: words, ink: ink, size: size, w: width)
    end

    def note(x, y, words, ink: 'umber', size: 30, w: 360) = mark('note', x, y, text: words, ink: ink, size: size, w: w, h: 60)
    def rectangle(x, y, w, h, ink: 'slate', fill: false) = mark('rectangle', x, y, w: w, h: h, ink: ink, width: 3, fill: fill)
    def ellipse(x, y, w, h, ink: 'slate', width: 4) = mark('ellipse', x, y, w: w, h: h, ink: ink, width: width)

    # A hull seen from above, its bow at `heading` degrees clockwise from up.
    def boat(x, y, heading, ink:, size: 46)
      hull = [[0, -1.5], [0.5, -0.7], [0.5, 1], [-0.5, 1], [-0.5, -0.7], [0, -1.5]]
      turn = heading * Math::PI / 180
      path = hull.map do |dx, dy|
        [x + size * (dx * Math.cos(turn) - dy * Math.sin(turn)), y + size * (dx * Math.sin(turn) + dy * Math.cos(turn))]
      end
      freehand(path, ink: ink, width: 5)
    end

    private

    def mark(kind, x, y, **fields)
      @count += 1
      { id: "#{@prefix}#{@count}", page: @page, kind: kind, x: x.round(1), y: y.round(1), **fields }
    end

    def drawn(kind, path, took: nil, **fields)
      x, y = path.first
      points = path.flat_map { |px, py| [(px - x).round(1), (py - y).round(1)] }
      mark(kind, x, y, points: points, **fields, **(took ? { took: took.round } : {}))
    end

    # Points every 14 px or so, a little off the straight line.
    def along(from, to)
      steps = [(Math.hypot(to[0] - from[0], to[1] - from[1]) / 14).ceil, 1].max
      (0...steps).map do |i|
        share = i.to_f / steps
        [from[0] + (to[0] - from[0]) * share + wobble, from[1] + (to[1] - from[1]) * share + wobble]
      end
    end

    def wobble = (@rng.rand - 0.5) * 1.6
  end
end
