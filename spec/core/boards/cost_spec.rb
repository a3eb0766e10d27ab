# frozen_string_literal: true

require_relative '../../core_helper'

# What a hostile or just a large board costs, counted in calls and not in seconds.
RSpec.describe 'The cost of' do
  # @return [Integer] how often Ruby methods were called
  def calls(&block)
    count = 0
    TracePoint.new(:call) { count += 1 }.enable(&block)
    count
  end

  # Twice as much may cost little more than twice as much.
  def expect_linear(&)
    small, large = [1, 2].map { |times| calls { yield(times) } }
    expect(large).to be < 2.6 * small + 200
  end

  it 'breaking text into lines grows with its length, however narrow the mark' do
    [0, 40, 900].each do |width|
      expect_linear { |times| Core::Boards::TextLayout.new('x' * (400 * times), size: 20, width: width) }
      expect_linear { |times| Core::Boards::TextLayout.new('word ' * (80 * times), size: 20, width: width) }
    end
    expect(calls { Core::Boards::TextLayout.new('x' * 4_000, size: 20, width: 0) }).to be < 40_000
  end

  it 'arranging marks grows little faster than their number' do
    Core::Boards::Arrangement::WAYS.each do |way|
      expect_linear do |times|
        marks = Array.new(60 * times) { |i| [text("m#{i}", "word #{i}", x: i * 3 % 700, y: i * 7 % 900), i] }
        state = Core::Boards::Board.new(marks: marks.to_h { |mark, i| [mark[:id], mark.merge(z: i + 1, by: 'farah', at: 1)] })
        Core::Boards::Arrangement.call(state.marks.values.first(40 * times), way, board: state)
      end
    end
  end

  it 'the outline of a stroke is bounded, however far it goes' do
    near = Array.new(50) { |i| [i.even? ? 0 : 60, i * 5] }.flatten
    far = Array.new(50) { |i| [i.even? ? -Core::Types::REACH : Core::Types::REACH, i * 200] }.flatten
    sizes = [near, far].map { |points| Core::Boards::StrokeOutline.path(points, [0.5] * 50, 6).bytesize }
    expect(sizes.last).to be < 300_000
    expect(sizes.first).to be > 1_000
  end

  # Whatever is sent, a few hundred random texts stay cheap.
  it 'random texts stays within bounds' do
    rng = Random.new(4)
    letters = ['a', ' ', "\n", 'Ж', 'é', '界', '-', "\u00A0", 'W']
    60.times do
      words = Array.new(rng.rand(1_000)) { letters.sample(random: rng) }.join
      layout = nil
      used = calls { layout = Core::Boards::TextLayout.new(words, size: 14 + rng.rand(100), width: rng.rand(800)) }
      expect(used).to be < 100 + 14 * words.length
      expect(layout.lines.join.delete(" \n")).to eq(words.delete(" \n"))
    end
  end
end

RSpec.describe 'What cannot be drawn' do
  let(:track) { board }
  let(:odalys) { person(:odalys) }
  let(:soundness) { Core::Boards::Soundness }

  def svg = Core::Boards::SvgWriter.new(track.state, 'p1').call

  it 'is no mark whose points and pressures differ in number' do
    track.do(odalys, 'board.put', { marks: [stroke('pen', press: [0.1, 0.5, 1])] })
    expect { track.do(odalys, 'board.change', { changes: [{ id: 'pen', set: { points: [0, 0, 9, 9] } }] }) }.to refusing(:mark_incomplete)
    expect { track.do(odalys, 'board.change', { changes: [{ id: 'pen', set: { press: [0.5] } }] }) }.to refusing(:mark_incomplete)
    track.do(odalys, 'board.change', { changes: [{ id: 'pen', set: { points: [0, 0, 9, 9], press: [0.5, 1] } }] })
    expect(svg).to include('v:press')
  end

  it 'is drawn as well as it can be when a board of earlier has it' do
    odd = [stroke('pen', press: [0.1]), prop('die', 'dice', count: 1, faces: 6).merge(shows: { rolled: [9] }),
           prop('pick', 'picker', names: ["A\uFFFEnna"]).merge(shows: { name: "B\u0001en" }), text('words', "ab\uFFFFcd")]
    marks = odd.to_h { |mark| [mark[:id], mark.merge(z: 1, by: 'farah', at: 1)] }
    old = Core::Boards::Board.new(marks: marks, authors: { 'farah' => "Fa\u0002rah" })
    written = Core::Boards::SvgWriter.new(old, 'p1', title: "Bo\u0003ard").call
    expect(Core::Boards::SvgReader.new(written).call.marks.length).to eq(4)
  end

  it 'is cleaned of characters that are none before it is kept' do
    track.do(odalys, 'board.put', { marks: [prop('wheel', 'spinner', labels: ["Po\uFFFErt", "Star\u0007board"]), text('t', "a\u0001b\tc")] })
    expect(track.state.marks['wheel'][:settings][:labels]).to eq(%w[Port Starboard])
    expect(track.state.marks['t'][:text]).to eq('ab c')
    expect(svg).to include('Port')
  end

  it 'never reaches the log: what would leave a mark without something it needs is refused' do
    mark = stroke('m').merge(z: 1, by: 'farah', at: 1)
    marks = { 'm' => mark }
    change = ->(set) { [{ op: 'change', id: 'm', set: set }] }
    [{ z: nil }, { page: nil }, { points: nil }, { kind: 'rectangle' }, { x: Float::NAN }, { y: Float::INFINITY }, { kind: nil }].each do |set|
      expect { soundness.check!(marks, change.call(set)) }.to refusing(:mark_unsound)
    end
    expect { soundness.check!(marks, [{ op: 'put', mark: { id: 'n', kind: 'note' } }]) }.to refusing(:mark_unsound)
    soundness.check!(marks, change.call({ x: 5, group: nil, kind: 'line', took: nil }))
    soundness.check!(marks, change.call({ kind: 'rectangle', points: nil, w: 4, h: 5 }))
    soundness.check!(marks, [{ op: 'remove', id: 'm' }, { op: 'change', id: 'gone', set: { z: nil } }])
  end

  it 'is mended on reading when it was stored by an earlier version' do
    track.do(odalys, 'board.put', { marks: [box('a', 0, 0)] })
    was = track.state.marks['a']
    track.state.apply(Core::Streams::Entry.new(stream: track.name, seq: 9, at: 9, actor: 'odalys', kind: 'edited',
                                               body: { ops: [{ op: 'change', id: 'a', set: { z: nil, width: 9, w: nil } }] }))
    expect(track.state.marks['a']).to eq(was.merge(width: 9))
    snapshot = JSON.parse(JSON.generate(track.state.to_h), symbolize_names: true)
    snapshot[:marks].first.delete(:z)
    expect(Core::Boards::Board.from(snapshot).on_page('p1').first).to include(z: 0)
  end
end

RSpec.describe Veranda::Core::Boards::Arrangement do
  it 'piles the marks of each page among themselves' do
    marks = [['a', 'p1', 1], ['b', 'p2', 2], ['c', 'p1', 3], ['d', 'p2', 4], ['e', 'p1', 5]]
    state = Core::Boards::Board.new(pages: %w[p1 p2], marks: marks.to_h { |id, page, z| [id, box(id, 0, 0, page: page).merge(z: z)] })
    order = lambda do |ids, way|
      sets = described_class.call(ids.map { |id| state.marks[id] }, way, board: state)
      expect(sets.values).to all(match(z: be_a(Integer)))
      %w[p1 p2].map { |page| state.on_page(page).map { |mark| mark.merge(sets.fetch(mark[:id], {})) }.sort_by { |mark| mark[:z] }.map { |mark| mark[:id] }.join }
    end
    expect(order.call(%w[a b], 'forward')).to eq(%w[cae db])
    expect(order.call(%w[a b], 'to_front')).to eq(%w[cea db])
    expect(order.call(%w[e d], 'backward')).to eq(%w[aec db])
    expect(order.call(%w[e d], 'to_back')).to eq(%w[eac db])
    expect(order.call(%w[e], 'forward')).to eq(%w[ace bd])
    expect(order.call(%w[a c], 'forward')).to eq(%w[eac bd])
  end
end
