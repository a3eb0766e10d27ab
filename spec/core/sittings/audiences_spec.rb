# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Boards for some' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:hall) { sitting }

  def named(*people) = Stage::PLAN[:boards] + [{ id: 'b5', name: 'For some', audience: 'people', people: people, first_page: 'p1' }]
  def own(who) = hall.world.state("own/s1.#{who}")

  it 'are told to those whom they name, on the stream that is theirs alone, before they come and while the class goes on' do
    hall.do(odalys, 'class.set_boards', { boards: named('farah', 'oona') })
    expect([own('farah'), own('oona')].map(&:boards)).to all(eq([{ id: 'b5', name: 'For some', first_page: 'p1' }]))
    expect(own('jonas').boards).to be_empty
    expect(hall.world.entries('sitting/s1').to_s).not_to include('For some')
    hall.do(odalys, 'class.set_boards', { boards: named('jonas'), people: %w[farah oona] })
    expect(%w[farah oona jonas].map { |who| own(who).boards.length }).to eq([0, 0, 1])
    expect(hall.do(odalys, 'class.set_boards', { boards: named('jonas'), people: %w[farah jonas] })).to be_nil
  end

  it 'are planned so' do
    hall = sitting(boards: named('farah'))
    expect(hall.world.state('own/s1.farah').boards).to eq([{ id: 'b5', name: 'For some', first_page: 'p1' }])
    expect(hall.world.state('sitting/s1').boards.map { |board| board[:id] }).to eq(%w[b1 b2])
  end

  it 'do not come on show, and go off it when they become so' do
    expect { hall.do(odalys, 'class.hand_out', { board: 'b3', on: true }) }.to refusing(:board_for_staff)
    hall.do(odalys, 'class.show', { board: 'b1', page: 'p1' })
    boards = [{ id: 'b1', name: 'Names', audience: 'people', people: ['farah'] }]
    hall.do(odalys, 'class.set_boards', { boards: boards })
    expect(hall.place.shown).to be_nil
    expect { hall.do(odalys, 'class.show', { board: 'b1', page: 'p1' }) }.to refusing(:board_for_staff)
  end

  it 'are handed out no more once they are for some, to late arrivals neither' do
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: true })
    hall.do(odalys, 'class.set_boards', { boards: [{ id: 'b1', name: 'Names', audience: 'staff' }] })
    expect([hall.state.handed, Core::Sittings::HandOut.missing(hall.state, hall.staff)]).to eq([[], {}])
  end
end

RSpec.describe 'Handing out' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:hall) { sitting }
  let(:copies) { [{ board: 'c1', person: 'farah' }, { board: 'c2', person: 'jonas' }] }

  def missing = Core::Sittings::HandOut.missing(hall.state, hall.staff)

  it 'gives everyone a copy who is there and has none, and late arrivals too' do
    expect(missing).to be_empty
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: true })
    expect(missing).to eq('b1' => %w[farah jonas])
    hall.do(odalys, 'class.give_copies', { board: 'b1', copies: copies })
    expect(missing).to be_empty
    hall.do(person(:oona), 'class.join')
    expect(missing).to eq('b1' => ['oona'])
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: false })
    expect(missing).to be_empty
  end

  it 'tells each of their own copy, and staff of all; given twice they are there once' do
    2.times { hall.do(odalys, 'class.give_copies', { board: 'b1', copies: copies }) }
    expect(hall.world.state('own/s1.farah').copies).to eq([{ board: 'c1', of: 'b1' }])
    expect(hall.staff.copies.values).to eq(copies.map { |copy| { **copy, of: 'b1' } })
    expect(hall.world.entries('own/s1.farah').to_s).not_to include('c2')
    expect(hall.staff.board('c2')).to include(name: 'Names', audience: 'people', people: ['jonas'])
  end

  it 'is done once, by staff, of boards that all may see, and of a few at a time' do
    many = Array.new(12) { |i| { id: "m#{i}", name: "Board #{i}", audience: 'everyone' } }
    hall.do(odalys, 'class.set_boards', { boards: many })
    expect { hall.do(farah, 'class.hand_out', { board: 'm1', on: true }) }.to refusing(:staff_only)
    expect { hall.do(odalys, 'class.hand_out', { board: 'nowhere', on: true }) }.to refusing(:no_such_board)
    10.times { |i| hall.do(odalys, 'class.hand_out', { board: "m#{i}", on: true }) }
    expect(hall.do(odalys, 'class.hand_out', { board: 'm1', on: true })).to be_nil
    expect { hall.do(odalys, 'class.hand_out', { board: 'm11', on: true }) }.to refusing(:too_many_handed_out)
    hall.do(odalys, 'class.hand_out', { board: 'm1', on: false })
    expect(hall.do(odalys, 'class.hand_out', { board: 'm1', on: false })).to be_nil
    hall.do(odalys, 'class.hand_out', { board: 'm11', on: true })
    hall.do(odalys, 'class.end')
    expect { hall.do(odalys, 'class.hand_out', { board: 'm11', on: false }) }.to refusing(:class_ended)
  end

  it 'lets everyone work on their copy whatever the rules are, and on nobody else’s board' do
    hall.do(odalys, 'class.give_copies', { board: 'b1', copies: copies })
    %w[draw add arrange props].each { |right| hall.do(odalys, 'class.rule', { right: right, allow: false }) }
    copy = Stage::Track.new('board/c1', hall.world)
    copy.do(odalys, 'board.put', { marks: [stroke('prepared')] })
    copy.do(farah, 'board.put', { marks: [stroke('hers')] })
    copy.do(farah, 'board.change', { changes: [{ id: 'prepared', set: { x: 5 } }] })
    copy.do(farah, 'board.add_page', { page: 'p2', after: 'p1' })
    expect { copy.do(farah, 'board.clear', { page: 'p1' }) }.to refusing(:staff_only)
    expect { copy.do(person(:jonas), 'board.put', { marks: [stroke('not-his')] }) }.to refusing(:may_not_draw)
    expect { Stage::Track.new('board/b1', hall.world).do(farah, 'board.put', { marks: [stroke('x')] }) }.to refusing(:may_not_draw)
    hall.do(odalys, 'class.end')
    expect { copy.do(farah, 'board.put', { marks: [stroke('late')] }) }.to refusing(:class_ended)
  end
end

RSpec.describe 'A locked board' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:drawn) do
    board(sitting: sitting).tap do |drawn|
      %w[add arrange].each { |right| drawn.do(odalys, 'class.rule', { right: right, allow: true }, on: 'place/s1.main') }
      drawn.do(odalys, 'board.add_page', { page: 'p2', after: 'p1' })
      drawn.do(farah, 'board.put', { marks: [stroke('mine'), prop('die', 'dice', count: 1, faces: 6)] })
      drawn.do(farah, 'board.put', { marks: [stroke('there', page: 'p2')] })
    end
  end
  tries = { 'board.put' => { marks: [{ id: 'new', page: 'p1', kind: 'rectangle', x: 0, y: 0, w: 9, h: 9, width: 3, ink: 'slate' }] },
            'board.change' => { changes: [{ id: 'mine', set: { x: 9 } }] }, 'board.remove' => { ids: ['mine'] },
            'board.arrange' => { ids: ['mine'], way: 'to_front' }, 'board.straighten' => { ids: ['mine'] }, 'board.use_prop' => { id: 'die', action: 'roll' } }

  tries.each do |wire_name, input|
    it "keeps students from #{wire_name}, and staff from nothing" do
      drawn.do(odalys, 'board.lock', { on: true, page: 'p1' })
      expect { drawn.do(farah, wire_name, input) }.to refusing(:page_locked)
      drawn.do(odalys, 'board.lock', { on: false, page: 'p1' })
      drawn.do(odalys, 'board.lock', { on: true })
      expect { drawn.do(farah, wire_name, input) }.to refusing(:board_locked)
      expect { drawn.do(odalys, wire_name, input) }.not_to raise_error
    end
  end

  it 'is locked page by page or as a whole, and so in what is kept of it' do
    drawn.do(odalys, 'board.lock', { on: true, page: 'p1' })
    expect { drawn.do(farah, 'board.change', { changes: [{ id: 'there', set: { page: 'p1' } }] }) }.to refusing(:page_locked)
    drawn.do(farah, 'board.change', { changes: [{ id: 'there', set: { x: 7 } }] })
    drawn.do(farah, 'board.add_page', { page: 'p3', after: 'p2' })
    expect(drawn.do(odalys, 'board.lock', { on: true, page: 'p1' })).to be_nil
    drawn.do(odalys, 'board.lock', { on: true })
    expect { drawn.do(farah, 'board.add_page', { page: 'p4', after: 'p2' }) }.to refusing(:board_locked)
    expect { drawn.do(farah, 'board.lock', { on: false }) }.to refusing(:staff_only)
    expect { drawn.do(odalys, 'board.lock', { on: true, page: 'p9' }) }.to refusing(:no_such_page)
    kept = Core::Boards::Board.from(JSON.parse(JSON.generate(drawn.state.to_h), symbolize_names: true))
    expect([kept.locked?, kept.page_locked?('p1'), kept.page_locked?('p2'), kept.view]).to eq([true, true, false, drawn.state.view])
  end

  it 'gets nothing back by undo that was taken to another page before it was locked' do
    drawn.do(farah, 'board.change', { changes: [{ id: 'mine', set: { page: 'p2' } }] })
    drawn.do(odalys, 'board.lock', { on: true, page: 'p1' })
    drawn.do(farah, 'board.undo')
    expect(drawn.state.marks['mine'][:page]).to eq('p2')
  end

  it 'takes back and does again nothing that is locked' do
    drawn.do(odalys, 'board.lock', { on: true, page: 'p2' })
    undone = drawn.do(farah, 'board.undo')
    expect(undone.body[:ops]).to be_empty
    expect(drawn.state.marks).to have_key('there')
  end
end
