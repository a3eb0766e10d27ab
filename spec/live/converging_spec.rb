# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Many hands on one board' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }

  def join(who) = Wire.join(server, who, { sitting: made[:sitting] })

  # What somebody sees who folded nothing but what they were told.
  def seen(wire)
    entries = wire.heard.select { |message| message['t'] == 'entry' && message['stream'] == board }
    entries.sort_by { |message| message['seq'] }.each_with_object(Core::Boards::Board.new) do |message, state|
      body = JSON.parse(JSON.generate(message['body']), symbolize_names: true)
      state.apply(Core::Streams::Entry.new(stream: board, seq: message['seq'], at: message['at'], actor: message['by'], kind: message['kind'], body: body))
    end
  end

  it 'ends the same for everyone, also when two move one mark at the same moment' do
    wires = %w[odalys farah jonas].map { |who| join(who) }
    wires.first.do('board.put', board, marks: [stroke('m', x: 0, y: 0), text('a', 'Anton'), text('z', 'Zeno', y: 300)])
    wires.map.with_index do |wire, i|
      Thread.new do
        12.times do |step|
          wire.do('board.change', board, changes: [{ id: 'm', set: { x: 100 * i + step } }])
          wire.do('board.arrange', board, ids: %w[a z m], way: %w[left sort_column to_front].fetch((step + i) % 3)) if step % 4 == i
          wire.do('board.put', board, marks: [stroke("own-#{i}-#{step}")])
        end
      end
    end.each(&:join)
    head = ARCHIVE.log.state(board)[1]
    wires.each { |wire| wire.wait { |message| message['t'] == 'entry' && message['stream'] == board && message['seq'] == head } }

    views = wires.map { |wire| seen(wire).view }
    expect(views.uniq.length).to eq(1)
    expect(views.first).to eq(ARCHIVE.log.state(board).first.view)
    expect(views.first[:marks].length).to eq(39)
  end

  it 'never sorts or moves what was taken off in between' do
    odalys, tomas = join('odalys'), join('tomas')
    odalys.do('board.put', board, marks: [text('a', 'Anton'), text('b', 'Bettina')])
    tomas.do('board.remove', board, ids: ['a'])
    expect(odalys.do('board.arrange', board, ids: %w[a b], way: 'left')).to include('code' => 'no_such_mark')
    expect(odalys.do('board.undo', board)).to include('t' => 'done')
    expect(ARCHIVE.log.state(board).first.marks).to be_empty
  end
end
