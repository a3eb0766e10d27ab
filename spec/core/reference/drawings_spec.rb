# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/invented'
require_relative '../../support/reference'

# What is made of strokes, marks and props.
RSpec.describe 'Drawings, against what they came to' do
  include Reference

  let(:invented) { Invented.new(77) }

  it 'become the same shapes' do
    cases = Array.new(160) do |i|
      kind = Invented::HAND_KINDS[i % Invented::HAND_KINDS.length]
      points = invented.hand(kind, invented.one(5, 9, 40, 160, 500), invented.one(0, 1, 4, 12))
      guess = Core::Boards::Straighten.call(points)
      [digest(points), guess && [guess.kind, guess.confidence.round(4), guess.fields]]
    end
    dots = [[0, 0], [0, 0, 0, 0], [3, 4, 3, 4, 3, 4]].map { |points| [points, Core::Boards::Straighten.call(points)&.kind] }
    expect_reference('straighten', cases + dots)
  end

  it 'have the same outlines' do
    cases = Array.new(30) do |i|
      points = invented.hand(Invented::HAND_KINDS[i % 8], 200, 3).first(2 * [1, 2, 3, 4, 9, 60].at(i % 6))
      press = Array.new(points.length / 2) { i.odd? ? invented.real(0, 1) : 0.5 }
      [points.length, digest(Core::Boards::StrokeOutline.path(points, press, 1 + i))]
    end
    dots = [[5, 5], [5, 5, 5.5, 5], [5, 5, 6, 7], [5, 5, 5, 5]].map { |points| Core::Boards::StrokeOutline.path(points, points.each_slice(2).map { 0.5 }, 9) }
    expect_reference('outlines', cases + dots.map { |dot| digest(dot) })
  end

  it 'drop the same points' do
    cases = Array.new(40) do |i|
      points = invented.hand(%i[wild round line box][i % 4], 300, 6)
      press = Array.new(points.length / 2) { invented.real(0, 1) } if i.even?
      [Core::Boards::Simplify.indices(points, press: press, width: 8), Core::Boards::Simplify.call(points, tolerance: i % 5).length]
    end
    long = Array.new(900) { |i| [i * 2, (Math.sin(i / 9.0) * 50).round(1)] }.flatten
    expect_reference('simplify', cases << Core::Boards::Simplify.indices(long))
  end

  it 'are drawn and read back the same' do
    cases = Array.new(60) do |i|
      board = invented.board(1 + i % 9)
      pictures = ->(material, version, slide) { "#{material}/#{version}/#{slide}.png" } if i % 3 == 2
      text = Core::Boards::SvgWriter.new(board, 'p1', title: 'Crossing', pictures: pictures, ground: i % 4 != 3).call
      read = Core::Boards::SvgReader.new(text).call
      [digest(text), read.marks.length, digest(read.to_h), board.height('p1'), digest(board.words), board.size]
    end
    expect_reference('pages', cases)
  end

  it 'are arranged to the same places' do
    cases = Core::Boards::Arrangement::WAYS.product((0..5).to_a).map do |way, _|
      board = invented.board(12)
      chosen = board.marks.values.sample(1 + invented.upto(8), random: invented.rng)
      [way, digest(Core::Boards::Arrangement.call(chosen, way, board: board, language: invented.one('en', 'sv')))]
    end
    expect_reference('arrangement', cases)
  end

  it 'have props that come out the same' do
    cases = Array.new(120) do |i|
      prop = invented.prop
      shown = nil
      at = 1_000_000 + i * 7_000
      (1..5).map do |step|
        at += invented.one(1_500, 1_500, 1_500, 2_000_000)
        action = invented.one(*Core::Props.of(prop[:prop])::ACTIONS) or next
        shown = Core::Props.use(prop[:prop], action, settings: prop[:settings], shows: shown, at: at, seed: i * 5 + step, present: %w[Ines Hana])
      end
    end
    expect_reference('props', cases)
  end

  it 'have props refused for the same reasons' do
    tried = [['dice', { count: 2 }], ['dice', { faces: 2 }], ['spinner', {}], ['spinner', { labels: %w[a b], weights: [1] }], ['timer', {}],
             ['counter', {}], ['picker', {}], ['spinner', { labels: %w[a b], weights: [1, 2] }]]
    said = tried.map do |kind, settings|
      Core::Props.check!(kind, settings) && 'fine'
    rescue Core::Refusal => e
      [e.code, e.says]
    end
    expect_reference('prop_settings', said)
  end
end
