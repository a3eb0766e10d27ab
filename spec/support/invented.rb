# frozen_string_literal: true

# Marks, boards and hands' strokes by the dozen, the same for the same seed.
class Invented
  TURNS = [0, 3, 5, 30, 88].freeze
  ROUND = Array.new(25) { |i| [Math.cos(i * Math::PI / 12) / 2, Math.sin(i * Math::PI / 12) / 3] }.freeze
  # Corners that a hand passes, across a width of 1.
  HANDS = {
    line: [[0, 0], [1, 0]], arrow: [[0, 0], [1, 0], [0.8, 0.15], [1, 0], [0.8, -0.15]],
    box: [[0, 0], [1, 0], [1, 0.6], [0, 0.6], [0, 0.02]], triangle: [[0, 0], [1, 0], [0.5, 0.8], [0, 0.02]],
    round: ROUND, flat: [[0, 0], [1, 0], [1, 0.05], [0, 0.05], [0, 0]], hook: [[0, 0], [1, 0], [0.9, 0.3]]
  }.freeze
  HAND_KINDS = [*HANDS.keys, :wild].freeze

  attr_reader :rng

  def initialize(seed)
    @rng = Random.new(seed)
  end

  def one(*of) = of.sample(random: @rng)
  def real(from, to) = @rng.rand(from.to_f..to.to_f).round(1)
  def upto(most) = @rng.rand(most)

  # A stroke as hands make it: with tremble, and turned a little.
  # @return [Array<Float>] x, y, x, y, …
  def hand(kind, size, tremble)
    turn = one(*TURNS) * Math::PI / 180
    aside = [upto(600), upto(400)]
    corners = kind == :wild ? Array.new(9) { [@rng.rand, @rng.rand] } : HANDS.fetch(kind)
    way(corners).flat_map do |x, y|
      [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)].zip(aside).map do |v, by|
        (v * size + by + @rng.rand(-tremble.to_f..tremble.to_f)).round(3)
      end
    end
  end

  def mark(id, page: 'p1')
    { id: id, page: page, x: real(-300, 1800), y: real(-200, 1300), ink: one(*Core::Boards::Inks::NAMES), width: 1 + upto(20),
      **one(*drawn, *shapes, *words, *pictures),
      **{ angle: one(nil, 0, 15, -90), group: one(nil, 'g1', 'g2'), locked: one(nil, true), took: 300 }.compact }
  end

  def prop
    one({ prop: 'dice', settings: { count: 1 + upto(4), faces: one(2, 6, 20) } },
        { prop: 'spinner', settings: { labels: %w[Port Starboard Ahead] } }, { prop: 'spinner', settings: { labels: %w[A B], weights: [1, 3] } },
        { prop: 'counter', settings: { shape: one(*Core::Props::Counter::SHAPES) } }, { prop: 'timer', settings: { seconds: 30 + upto(900) } },
        { prop: 'picker', settings: { names: %w[Anna Ben Anna] } })
  end

  # @param count [Integer] marks on it
  def board(count)
    marks = Array.new(count) { |i| used(mark("m#{i}")).merge(z: i + 1, by: one('odalys', 'farah'), at: 1_000 + i).freeze }
    facts = one({}, { 'p1' => { grows: true } }, { 'p1' => { ground: { material: 'deck', version: 1, slide: 2, w: 4, h: 3 } } })
    Core::Boards::Board.new(marks: marks.to_h { |mark| [mark[:id], mark] }, authors: { 'farah' => 'Farah' }, page_facts: facts, top: count)
  end

  private

  def way(corners)
    corners.each_cons(2).flat_map { |(ax, ay), (bx, by)| (0..5).map { |i| [ax + (bx - ax) * i / 6.0, ay + (by - ay) * i / 6.0] } } << corners.last
  end

  def size = { w: real(1, 400), h: real(1, 300) }

  def drawn
    points = hand(:round, 90, 2)
    [{ kind: 'stroke', points: hand(:wild, 200, 5) }, { kind: 'stroke', points: points, press: Array.new(points.length / 2) { @rng.rand.round(2) } },
     { kind: 'highlight', points: hand(:line, 200, 3) }]
  end

  def shapes
    [{ kind: 'line', points: [0, 0, real(-90, 90), 40] }, { kind: 'arrow', points: [0, 0, 50, real(-90, 90)], fill: true },
     { kind: 'polygon', points: [0, 0, 90, 10, 40, 70], fill: one(true, false) }, { kind: 'rectangle', **size, fill: one(true, false) },
     { kind: 'ellipse', **size }]
  end

  def words
    [{ kind: 'text', text: "Steady\nas she goes", size: 14 + upto(60), w: real(20, 400) },
     { kind: 'note', text: 'Give way early', size: 26, w: real(60, 300), h: real(10, 200) }]
  end

  def pictures
    [{ kind: 'sign', sign: one(*Core::Boards::Mark::SIGNS), **size },
     { kind: 'image', **size, material: 'deck', version: 2, slide: 3, alt: one('A chart', '') }, { kind: 'prop', **prop, w: 200.0, h: 120.0 }]
  end

  # A prop that has been used once, most times.
  def used(mark)
    action = mark[:kind] == 'prop' && one(true, true, false) && one(*Core::Props.of(mark[:prop])::ACTIONS) or return mark
    mark.merge(shows: Core::Props.use(mark[:prop], action, settings: mark[:settings], shows: nil, at: 1_000, seed: upto(99), present: %w[A B]))
  end
end
