# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/random_marks'

RSpec.describe Core::Boards::SideBySide do
  include RandomMarks

  let(:rng) { Random.new(7) }

  def board(*marks, **facts)
    given = marks.each_with_index.map { |mark, i| { page: 'p1', ink: 'lake', by: 'farah', at: 5, z: i + 1, **mark } }
    Core::Boards::Board.new(marks: given.to_h { |mark| [mark[:id], mark.freeze] }, authors: { 'farah' => 'Farah Lindqvist' }, **facts)
  end

  def pieces(count, **more) = Array.new(count) { |i| { name: "Room #{i}", board: board(note, stroke), page: 'p1', **more } }
  def note(**more) = { kind: 'note', id: 'm0', x: 100, y: 100, w: 220, size: 28, text: 'Give way to vessels on the starboard side', **more }
  def stroke(**more) = { kind: 'stroke', id: 'm1', x: 1200, y: 700, points: [0, 0, 300, 250], width: 4, **more }
  def laid(some) = described_class.new(some, by: 'house', at: 9).call
  def made(some) = Core::Boards::Board.new.apply(Core::Streams::Entry.new(stream: 'board/b', seq: 1, at: 9, actor: 'house', kind: 'taken_in', body: laid(some)))
  def bounds(mark) = Core::Boards::Mark.bounds(mark)
  def apart?(one, other) = one[0] + one[2] <= other[0] || other[0] + other[2] <= one[0] || one[1] + one[3] <= other[1] || other[1] + other[3] <= one[1]

  it 'puts each page into a frame of its own, with its name under it, apart from the others' do
    [1, 2, 3, 4, 5, 15, 40, 100].each do |count|
      marks = laid(pieces(count))[:marks]
      frames = marks.select { |mark| mark[:kind] == 'rectangle' }.map { |mark| bounds(mark) }
      names = marks.select { |mark| mark[:kind] == 'text' }
      expect([frames.length, names.map { |mark| mark[:text] }]).to eq([count, Array.new(count) { |i| "Room #{i}" }])
      boxes = frames + names.map { |mark| bounds(mark) }
      expect(boxes.combination(2)).to all(satisfy { |one, other| apart?(one, other) })
      expect(boxes).to all(satisfy { |x, y, w, h| x >= 0 && y >= 0 && x + w <= 1600 && y + h <= Core::Types::REACH })
      expect(names.zip(frames)).to all(satisfy { |name, frame| name[:y] >= frame[1] + frame[3] })
    end
  end

  it 'has all of up to six pages in view, and lets the page grow for more' do
    expect([2, 4, 6, 7].map { |count| made(pieces(count)).then { |board| [board.height('p1'), board.page_facts.dig('p1', :grows)] } })
      .to match([[1000, nil], [1000, nil], [1000, nil], [be > 1000, true]])
  end

  it 'keeps authors and times, breaks words where they broke, and gives names and frames to nobody' do
    whole = laid(pieces(2))
    notes = whole[:marks].select { |mark| mark[:kind] == 'note' }
    expect(notes).to all(include(by: 'farah', at: 5))
    expect(notes.map { |mark| Core::Boards::TextLayout.of(mark).lines }.uniq).to eq([Core::Boards::TextLayout.of(note).lines])
    expect(whole[:marks].select { |mark| %w[text rectangle].include?(mark[:kind]) }).to all(include(by: 'house', at: 9))
    expect(whole[:authors]).to eq([{ id: 'farah', name: 'Farah Lindqvist' }])
  end

  it 'takes chosen marks alone, no larger than they were' do
    some = laid(pieces(2, marks: ['m0']))[:marks]
    expect(some.map { |mark| mark[:kind] }).to eq(%w[note text note text])
    expect(some.first.values_at(:size, :w)).to eq([28, 220])
    expect(laid(pieces(1, marks: ['gone']))[:marks].map { |mark| mark[:kind] }).to eq(['text'])
  end

  it 'shows the slide that a page is drawn on, and all of a page that has grown' do
    slide = { material: 'm', version: 2, slide: 3, w: 960, h: 540 }
    taken = laid([{ name: 'A', board: board(stroke, page_facts: { 'p1' => { ground: slide } }), page: 'p1' }])[:marks]
    expect(taken.first).to include(kind: 'image', material: 'm', version: 2, slide: 3, w: be_within(1).of(taken.find { |mark| mark[:kind] == 'rectangle' }[:w]))
    grown = laid([{ name: 'A', board: board(stroke(y: 3_000), page_facts: { 'p1' => { grows: true } }), page: 'p1' }])[:marks]
    frame = bounds(grown.find { |mark| mark[:kind] == 'rectangle' })
    expect(bounds(grown.first)).to(satisfy { |_, y, _, h| y >= frame[1] && y + h <= frame[1] + frame[3] })
  end

  it 'makes marks that a file may bring back, whatever was on the pages' do
    some = Array.new(9) { |i| { name: "Room #{i}", board: board(*Array.new(20) { |i| random_mark(rng, i) }), page: 'p1' } }
    body = laid(some)
    expect(body[:marks].map { |mark| mark[:id] }.uniq.length).to eq(body[:marks].length)
    read = Core::Contract.check(Core::Boards::TakeIn.contract, JSON.parse(JSON.generate(body)))
    expect(read[:marks].length).to eq(body[:marks].length)
    made(some).marks.each_value { |mark| Core::Boards::Mark.check!(mark) }
  end

  it 'refuses more marks than a board holds' do
    full = board(*Array.new(2_600) { |i| stroke(id: "m#{i}") })
    expect { laid(Array.new(2) { { name: 'A', board: full, page: 'p1' } }) }.to refusing(:board_full)
  end
end
