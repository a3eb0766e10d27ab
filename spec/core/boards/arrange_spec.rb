# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Arranging marks' do
  let(:track) { board }
  let(:odalys) { person(:odalys) }

  def put(*marks) = track.do(odalys, 'board.put', { marks: marks })

  def arrange(way, *ids, **more)
    track.do(odalys, 'board.arrange', { ids: ids, way: way, **more })
    ids.map { |id| track.state.marks[id].values_at(:x, :y) }
  end

  def pile = track.state.on_page('p1').map { |mark| mark[:id] }

  it 'lines marks up by the one that reaches farthest' do
    put(box('a', 100, 100), box('b', 300, 200, 40, 20))
    expect(arrange('left', 'a', 'b')).to eq([[100, 100], [100, 200]])
    put(box('c', 500, 300))
    expect(arrange('right', 'b', 'c')).to eq([[560, 200], [500, 300]])
    expect(arrange('middle', 'b', 'c')).to eq([[560, 270], [500, 250]])
  end

  it 'spaces marks evenly and leaves the outermost where they are' do
    put(box('a', 0, 0), box('b', 130, 50), box('c', 500, 0))
    expect(arrange('space_across', 'a', 'b', 'c').map(&:first)).to eq([0, 250, 500])
  end

  it 'lines a turned mark up by the box it fills as it lies' do
    put(box('a', 100, 0), box('b', 300, 0, 100, 20, angle: 90))
    arrange('left', 'a', 'b')
    expect(Core::Boards::Mark.bounds(track.state.marks['b']).first.round).to eq(100)
  end

  it 'moves a group as one piece' do
    put(box('a', 0, 0), box('b', 200, 100, group: 'g'), box('c', 320, 140, group: 'g'))
    expect(arrange('left', 'a', 'b', 'c')).to eq([[0, 0], [0, 100], [120, 140]])
  end

  it 'sorts names into a column in the order of the language' do
    names = %w[Zeno Örn Ärla Anton]
    put(*names.each_with_index.map { |name, i| text("n#{i}", name, x: 400 - 50 * i, y: 100 + 40 * i) })
    order = lambda do |language|
      arrange('sort_column', *%w[n0 n1 n2 n3], language: language)
      track.state.marks.each_value.sort_by { |mark| mark[:y] }.map { |mark| mark[:text] }
    end
    expect(order.call('sv')).to eq(%w[Anton Zeno Ärla Örn])
    expect(order.call('de')).to eq(%w[Anton Ärla Örn Zeno])
    expect(track.state.marks.each_value.map { |mark| mark[:x] }.uniq).to eq([250])
  end

  it 'leaves pictures and shapes out of a sort' do
    put(text('b', 'Bow', x: 300), box('box', 0, 0), text('a', 'Aft', x: 300, y: 300))
    arrange('sort_column', 'b', 'box', 'a')
    expect(track.state.marks.values.sort_by { |mark| mark[:y] }.map { |mark| mark[:id] }).to eq(%w[box a b])
    expect(track.state.marks['box']).to include(x: 0, y: 0)
  end

  it 'sorts into a row, and one undo brings back what was' do
    put(text('b', 'Bow', x: 100), text('a', 'Aft', x: 700))
    expect(arrange('sort_row', 'a', 'b').map(&:last)).to eq([100, 100])
    expect(track.state.marks['a'][:x]).to be < track.state.marks['b'][:x]
    track.do(odalys, 'board.undo')
    expect(track.state.marks['a'][:x]).to eq(700)
  end

  it 'piles marks: to the front, to the back, past one neighbour' do
    put(box('a', 0, 0), box('b', 0, 0), box('c', 0, 0), box('d', 0, 0))
    arrange('to_front', 'a')
    expect(pile).to eq(%w[b c d a])
    arrange('to_back', 'd')
    expect(pile).to eq(%w[d b c a])
    arrange('forward', 'd')
    expect(pile).to eq(%w[b d c a])
    arrange('backward', 'c')
    expect(pile).to eq(%w[b c d a])
    expect(track.refolded.to_h).to eq(track.restored.to_h)
  end

  it 'leaves locked marks to staff' do
    put(box('a', 0, 0, locked: true), box('b', 50, 50))
    hall = sitting
    expect do
      board(sitting: hall).tap do |other|
        other.do(odalys, 'board.put', { marks: [box('a', 0, 0, locked: true), box('b', 9, 9)] })
      end.do(person(:farah), 'board.arrange', { ids: %w[a b], way: 'left' })
    end
      .to refusing(:mark_locked)
  end
end
