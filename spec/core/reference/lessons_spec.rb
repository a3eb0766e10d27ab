# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/invented'
require_relative '../../support/reference'

# What is found about lessons, their materials and their recordings' clocks.
RSpec.describe 'Lessons, against what was found of them' do
  include Reference

  let(:invented) { Invented.new(78) }

  def step(number)
    minutes = 5 + invented.upto(40)
    { id: "s#{number}", title: "Step #{number}", minutes: minutes, shortest: invented.upto(minutes + 1), board: invented.one(nil, 'b1', 'b2'),
      material: invented.one(nil, 'm1'), rules: invented.one(nil, { draw: false }, { draw: true }),
      cues: invented.one([], [{ id: 'c', kind: invented.one('record', 'show'), board: 'b2' }]) }
  end

  def material
    { id: 'm1', title: 'Deck', state: invented.one('ready', 'failed', 'waiting', 'working'), newer: invented.one(nil, 'failed'),
      findings: invented.one([], [{ code: 'font_missing' }], [{ code: :many_slides }]) }
  end

  def people
    Array.new(invented.upto(6)) { |n| { name: "Person #{n}", role: invented.one('student', 'instructor'), address: invented.one(nil, 'a@b') } }
  end

  it 'are as ready, and take as long' do
    tones = ->(*) { { across: 2, colours: %w[#FFFFFF #102030 #888888 #FBF7EE] } }
    cases = Array.new(60) do |i|
      steps = Array.new(invented.upto(6)) { |n| step(n) }
      found = Core::Lessons::Readiness.of({ steps: steps, minutes: 60, starts_at: 1_000_000, record_from: invented.one(nil, 's0') },
                                          now: invented.one(0, 99_000_000), boards: { 'b1' => invented.board(6), 'b2' => Core::Boards::Board.new },
                                          names: { 'b1' => 'One', 'b2' => 'Two' }, materials: [material], tones: (tones if i.even?),
                                          people: people, staff_only: invented.one([], ['b2']))
      sheet = Core::Lessons::RunSheet.new(steps, starts_at: 1_000_000, minutes: 45)
      [found.map { |one| one[:code] }, digest(found), digest(sheet.to_h), sheet.over]
    end
    expect_reference('readiness', cases)
  end

  it 'are as hard to read' do
    tones = ->(_, version, slide) { { across: 4, colours: Array.new(12) { |i| %w[#FFFFFF #102030 #888888 #FBF7EE #2B5F8C][(i * slide + version) % 5] } } if slide }
    cases = Array.new(80) do |i|
      board = invented.board(14)
      words = %w[text note].cycle.take(16).map.with_index do |kind, n|
        mark = { id: "w#{n}", page: 'p1', kind: kind, x: invented.real(0, 1300), y: invented.real(0, 900), w: invented.real(40, 300), size: 18 + invented.upto(40),
                 text: 'Give way', ink: invented.one(*Core::Boards::Inks::NAMES), width: 3, z: 20 + n, by: 'odalys', at: 1 }
        (kind == 'note' ? mark.merge(h: 60.0) : mark).freeze
      end
      full = Core::Boards::Board.new(marks: board.marks.merge(words.to_h { |mark| [mark[:id], mark] }), authors: {}, page_facts: board.page_facts, top: 60)
      digest(Core::Lessons::Legibility.of(full, tones: i % 4 == 3 ? nil : tones))
    end
    expect_reference('legibility', cases)
  end

  it 'leave the same doubts about materials' do
    seen = Array.new(60) do
      { size: invented.one(1, 37_500_000, 37_500_001, 90_000_000), slides: invented.one(1, 200, 201, 301),
        saved: invented.one(nil, 1, 4), promised: invented.one(nil, 4, 9), empty: Array.new(invented.upto(5)) { 1 + invented.upto(9) }.uniq,
        animated: Array.new(invented.upto(4)) { 1 + invented.upto(9) }.uniq, fonts: invented.one({}, { 'Nautilus' => nil, 'Kompass' => 'Carlito' }),
        dropped: invented.one([], ['scripts'], ['scripts', 'links to other places']) }.compact
    end
    expect_reference('findings', seen.map { |facts| Core::Materials::Findings.of(facts) })
  end

  it 'have recordings whose clocks go the same' do
    cases = Array.new(40) do
      edges = Array.new(4) { invented.upto(9_000) }.sort
      cuts = Array.new(invented.upto(3)) { invented.upto(9_000).then { |from| [from, from + invented.upto(900)] } }
      clock = Core::Recordings::Clock.new([edges[0, 2], edges[2, 2]], cuts: cuts)
      moments = [-1, 0, *edges, 5_000, 99_999]
      [clock.stretches, clock.length, *%i[wall time covers?].map { |asked| moments.map { |at| clock.public_send(asked, at) } }, clock.overlaps?(edges[1], edges[2])]
    end
    expect_reference('clocks', cases)
  end
end
