# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/invented'
require_relative '../../support/reference'

# What hands draw in every direction, and what is drawn of props and words at every size.
RSpec.describe 'Hands and sizes, against what they came to' do
  include Reference

  let(:invented) { Invented.new(79) }

  # Corners that a hand passes, between exactly straight and hardly so.
  def corners(kind, share)
    case kind
    when :line then [[0, 0], [1, share * 0.16 - 0.08]]
    when :arrow then [[0, 0], [1, 0], [1 - 0.6 * share, 0.12], [1, 0], [1 - 0.6 * share, -0.12]]
    when :barb then [[0, 0], [1, 0], [1 - 0.6 * share, 0.1]]
    when :box then [[0, 0], [1, 0], [1, 0.04 + 0.12 * share], [0, 0.04 + 0.12 * share], [0, 0]]
    when :open_box then [[0, 0], [1, 0], [1, 1], [0, 1], [0, share]]
    when :ring then Array.new(33) { |i| [Math.cos(i * Math::PI / 16), Math.sin(i * Math::PI / 16) * (0.04 + 0.1 * share)] }
    else Array.new(kind + 1) { |i| [Math.cos(i * 2 * Math::PI / kind), Math.sin(i * 2 * Math::PI / kind) * (0.7 + share * 0.3)] }
    end
  end

  def drawn(corners, size, degrees, tremble)
    turn = degrees * Math::PI / 180
    steps = corners.each_cons(2).flat_map { |(ax, ay), (bx, by)| (0..7).map { |i| [ax + (bx - ax) * i / 8.0, ay + (by - ay) * i / 8.0] } }
    [*steps, corners.last].flat_map do |x, y|
      [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)].map do |value|
        (value * size + invented.rng.rand(-1.0..1.0) * tremble).round(3)
      end
    end
  end

  it 'straighten to the same, whichever way they go' do
    kinds = [:line, :arrow, :barb, :box, :open_box, :ring, 3, 4, 5, 6, 7]
    cases = Array.new(660) do |i|
      points = drawn(corners(kinds[i % kinds.length], invented.rng.rand), invented.one(3, 7.9, 8, 8.2, 30, 200), (i * 29) % 360, invented.one(0, 0.2, 2, 8))
      guess = Core::Boards::Straighten.call(points)
      guess ? "#{guess.kind} #{(guess.confidence * 1000).round} #{digest(guess.fields)}" : 'nothing'
    end
    # Level and upright to the letter, and both ways.
    exact = [[0, 0, 50, 0], [50, 0, 0, 0], [0, 0, 0, 50], [0, 50, 0, 0], [0, 0, 50, 50], [0, 0, -50, 1], [0, 0, 1, -50], [0, 0, -1, -50], [0, 0], []]
    expect_reference('directions', cases + exact.map { |points| Core::Boards::Straighten.call(points)&.fields.inspect })
  end

  it 'draw props the same at any size, used or not' do
    settings = {
      'dice' => [{ count: 1, faces: 6 }, { count: 3, faces: 20 }], 'spinner' => [{ labels: %w[a b c] }, { labels: %w[a b], weights: [1, 5] }],
      'counter' => Core::Props::Counter::SHAPES.map { |shape| { shape: shape } }, 'timer' => [{ seconds: 5 }, { seconds: 754 }],
      'picker' => [{ names: %w[Ines Hana] }]
    }
    shows = {
      'dice' => [nil, { rolled: [1] }, { rolled: [4] }, { rolled: [7, 6, 20] }], 'spinner' => [nil, { index: 1, turn: 33.5 }, { index: 0, turn: 300 }],
      'counter' => [nil], 'timer' => [nil, { left: 61_001 }, { left: 1 }, { ends_at: 9_000 }], 'picker' => [nil, { name: 'Ines', picked: ['Ines'] }]
    }
    cases = settings.flat_map do |kind, all|
      all.product(shows.fetch(kind), [[100, 100], [240, 90], [57.5, 133.3]]).map do |set, shown, (w, h)|
        mark = { id: 'm', page: 'p1', kind: 'prop', prop: kind, settings: set, shows: shown, x: 10, y: 20, w: w, h: h, z: 1, ink: 'plum', by: 'o', at: 1 }.compact
        [kind, digest(Core::Boards::SvgWriter.new(Core::Boards::Board.new(marks: { 'm' => mark }), 'p1').call)]
      end
    end
    expect_reference('prop_drawings', cases)
  end

  it 'break lines at the same places' do
    words = ['Steady', 'as', 'she', 'goes', 'into', 'Pell', 'Haven', 'WWWWWWWW', 'iiiiiiiiiiiiiiiiiiii', 'Ö', '—', '漢字漢字', '', ' ', "two\nlines", "\n\n"]
    cases = Array.new(150) do |i|
      text = Array.new(1 + invented.upto(12)) { invented.one(*words) }.join(invented.one(' ', ' ', '  ', ''))
      layout = Core::Boards::TextLayout.new(text, size: 8 + invented.upto(60), width: invented.one(1, 30, 57, 120, 460), inset: i % 3)
      [layout.lines.length, digest(layout.lines), layout.height.round(3)]
    end
    layouts = ['', ' ', "\n", 'a', "a\n", ' a', 'a '].map { |text| Core::Boards::TextLayout.new(text, size: 10, width: 100).lines }
    # A line that fits to the thousandth, and one that does not.
    width = Core::Boards::AdvanceWidths.thousandths('a') * 4
    exact = [width, width - 1].map { |most| Core::Boards::TextLayout.new('aaaa', size: 1000, width: most).lines }
    expect_reference('layouts', cases + layouts + exact)
  end

  it 'have the same outlines however they are pressed' do
    cases = Array.new(90) do |i|
      count = [1, 2, 3, 5, 12, 40].at(i % 6)
      points = Array.new(count * 2) { invented.rng.rand(-80.0..80.0).round(invented.one(0, 1)) }
      points = points.each_slice(2).flat_map { |pair| [pair, pair] }.flatten if i % 7 == 3
      press = Array.new(points.length / 2) { [0, 0.5, 1, invented.rng.rand.round(2)].at(i % 4) }
      digest(Core::Boards::StrokeOutline.path(points, press, invented.one(1, 4, 40)))
    end
    expect_reference('pressed', cases)
  end

  it 'drop the same points at any tolerance' do
    cases = Array.new(80) do |i|
      count = [1, 2, 3, 4, 9, 250].at(i % 6)
      points = Array.new(count * 2) { |j| invented.rng.rand(0..9) + j }
      press = Array.new(count) { invented.rng.rand.round(1) } if i.odd?
      [Core::Boards::Simplify.indices(points, tolerance: i % 4, press: press, width: i % 9), Core::Boards::Simplify.call(points, tolerance: i % 4).length]
    end
    expect_reference('dropped', cases)
  end

  it 'read as well against one another' do
    inks = Core::Boards::Inks
    colours = [*inks::INKS.values, *inks::WASHES.values, inks::PAPER, '#000000', '#FFFFFF', '#0A0B0A', '#0B0B0B', '#777777']
    # Known answers of WCAG 2.2: black on white is 21:1, and #777777 on white 4.48:1.
    expect(inks.contrast('#000000', '#FFFFFF')).to eq(21.0)
    expect(inks.contrast('#777777', '#FFFFFF').round(2)).to eq(4.48)
    expect_reference('all_contrasts', colours.product(colours).map { |one, other| inks.contrast(one, other).round(5) })
  end
end
