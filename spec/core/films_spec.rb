# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Core::Films::Pieces do
  let(:clock) { Core::Recordings::Clock.new([[1_000, 11_000], [21_000, 31_000]], cuts: [[4_000, 6_000]]) }

  it 'of a track are what the recording goes through, each from where it lies in the file' do
    pieces = described_class.of_track(clock, began_at: 3_000, length: 20_000)
    expect(pieces).to eq([{ from: 2_000, to: 3_000, at: 0, speed: 1 }, { from: 3_000, to: 8_000, at: 3_000, speed: 1 },
                          { from: 8_000, to: 10_000, at: 18_000, speed: 1 }])
    expect(described_class.within(pieces, 2_500, 4_000)).to eq([{ from: 2_500, to: 3_000, at: 500, speed: 1 },
                                                                { from: 3_000, to: 4_000, at: 3_000, speed: 1 }])
    expect(described_class.of_track(clock, began_at: 12_000, length: 5_000)).to eq([])
  end

  it 'of a clip play, stand still, go round and end as it did in class' do
    clip = { at: 2_000, since: 100_000, playing: true, speed: 2.0, loop: nil, length: 10_000 }
    of = ->(more, from, to) { described_class.of_clip({ **clip, **more }, wall: 101_000, from: from, to: to).map { |piece| piece.values_at(:from, :to, :at, :speed) } }
    expect(of.call({}, 500, 5_500)).to eq([[500, 3_500, 4_000, 2.0], [3_500, 5_500, 10_000, 0]])
    expect(of.call({ playing: false }, 0, 900)).to eq([[0, 900, 2_000, 0]])
    expect(of.call({ loop: [1_000, 5_000], speed: 1.0 }, 0, 9_000)).to eq([[0, 2_000, 3_000, 1.0], [2_000, 6_000, 1_000, 1.0], [6_000, 9_000, 1_000, 1.0]])
  end
end

RSpec.describe Core::Films::WhoIsSeen do
  def picture(person, from, to) = { person: person, from: from, to: to }
  def seen(rows) = rows.map { |row| [row[:from], row[:to], row[:slots].map { |one| one && one[:person] }] }

  it 'keeps people in their places, and chooses who teaches, who is large and who spoke last' do
    few = described_class.new([picture('a', 0, 9), picture('b', 0, 4), picture('c', 5, 9)])
    expect(seen(few.slots)).to eq([[0, 4, ['a', 'b', nil, nil]], [4, 5, ['a', nil, nil, nil]], [5, 9, ['a', 'c', nil, nil]]])
    many = %w[a b c d e f].map { |one| picture(one, 0, 100) }
    chosen = described_class.new(many, staff: ['f'], spoke: [['e', 10], ['a', 20]], large: [[0, nil], [50, 'd']]).slots
    expect(chosen.map { |row| [row[:from], row[:slots].map { |one| one[:person] }.sort] }).to eq([[0, %w[a b c f]], [10, %w[a b e f]], [50, %w[a d e f]]])
    expect(described_class.new([]).slots).to eq([])
  end
end

RSpec.describe Core::Films::Fit do
  it 'lays a page into a box as a browser does' do
    page = described_class.of(1_000, 1_280, 720)
    expect(page.to_a.map { |value| value.round(3) }).to eq([0.72, -88.889, 0.0, 1_280, 720])
    expect(described_class.of(900, 1_280, 720).frame).to eq([0.0, 0.0, 1_600.0, 900.0])
    # A long page fills the width, and goes on below.
    long = described_class.of(3_200, 800, 450)
    expect([long.scale, long.h]).to eq([0.5, 1_600])
    expect(long.points([100, 200, 10, 10], around: 1)).to eq([49, 99, 7, 7])
  end
end

RSpec.describe Core::Films::Playing do
  let(:clock) { Core::Recordings::Clock.new([[0, 20_000]]) }
  let(:board) { { pages: ['p1'], page_facts: [], marks: [], authors: [{ id: 'o', name: 'Odalys Brandt' }], undo: {}, top: 0, locked: false } }
  let(:place) { { shown: { board: 'b', page: 'p1' }, rules: { for_all: {}, exceptions: [] } } }
  let(:start) { { kind: 'seam', t: 0, wall: 0, streams: { 'place/s.main' => place, 'board/b' => board } } }

  def told(t, kind, stream: 'board/b', **body) = { stream: stream, seq: 1, t: t, at: t, by: 'o', kind: kind, body: body }
  def playing(*more) = described_class.new(sitting: 's', told: [start, *more], clock: clock)

  it 'lets a stroke grow, and says when something is different next' do
    stroke = { id: 'm', page: 'p1', kind: 'stroke', x: 0, y: 0, points: [0, 0, 1, 1, 2, 2, 3, 3], width: 4, ink: 'lake', took: 1_000 }
    one = playing(told(5_000, 'edited', ops: [{ op: 'put', mark: stroke }]))
    expect([one.following, one.moving, one.page.moving]).to eq([5_000, nil, {}])
    one.advance(5_500)
    expect([one.page.moving['m'][:points], one.moving]).to eq([[0, 0, 1, 1], 5_620])
    one.advance(5_990)
    expect(one.moving).to eq(6_000)
    one.advance(6_000)
    expect([one.page.moving, one.following, one.moving]).to eq([{}, nil, nil])
  end

  it 'lets a timer count down to nothing' do
    timer = { id: 'm', page: 'p1', kind: 'prop', prop: 'timer', settings: { seconds: 3 }, x: 0, y: 0, w: 9, h: 9, ink: 'lake', shows: { ends_at: 8_300 } }
    one = playing(told(5_000, 'edited', ops: [{ op: 'put', mark: timer }]))
    one.advance(6_000)
    expect([one.page.moving['m'][:shows], one.moving]).to eq([{ left: 2_300 }, 6_300])
    one.advance(6_300)
    expect(one.moving).to eq(7_300)
    one.advance(9_000)
    expect([one.page.moving['m'][:shows], one.moving]).to eq([{ left: 0 }, nil])
  end

  it 'follows a pointer a second late, and forgets all at a seam' do
    one = playing(told(3_000, 'pointed', page: 'p1', path: [500, 10, 20, 0, 30, 40]), { **start, t: 9_000, wall: 9_000 })
    one.advance(3_600)
    expect(one.pointer).to eq({ x: 10, y: 20, by: 'o' })
    one.advance(4_000)
    expect(one.pointer).to eq({ x: 30, y: 40, by: 'o' })
    one.advance(4_200)
    expect([one.pointer, one.moving]).to eq([nil, nil])
    before = one.version('b')
    one.advance(9_000)
    expect(one.version('b')).to be > before
  end
end
