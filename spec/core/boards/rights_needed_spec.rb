# frozen_string_literal: true

require_relative '../../core_helper'

# For each thing a student can do, which right it takes: with all others it is refused, with that one alone it is done.
RSpec.describe 'Rights that commands take' do
  let(:hall) { sitting }
  let(:track) { board(sitting: hall) }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }

  before do
    track.do(farah, 'board.put', { marks: [stroke('own'), stroke('undone')] })
    track.do(farah, 'board.put', { marks: [prop('die', 'dice', count: 1, faces: 6)] })
    track.do(farah, 'board.put', { marks: [box('last', 5, 5)] })
    track.do(odalys, 'board.put', { marks: [stroke('hers')] })
  end

  def allow(rights)
    Core::Rights::RIGHTS.each_key { |right| hall.do(odalys, 'class.rule', { right: right.to_s, allow: rights.include?(right) }) }
  end

  all = Core::Rights::RIGHTS.keys
  let(:all) { all }
  {
    'board.put' => [{ marks: [{ id: 'n', page: 'p1', kind: 'rectangle', x: 1, y: 1, w: 9, h: 9, ink: 'lake', width: 2 }] }, :draw],
    'board.change' => [{ changes: [{ id: 'own', set: { x: 50 } }] }, :draw], 'board.remove' => [{ ids: %w[own] }, :draw],
    'board.undo' => [{}, :draw], 'board.add_page' => [{ page: 'p2', after: 'p1' }, :add],
    'board.point' => [{ page: 'p1', path: [0, 1, 2] }, :draw], 'board.arrange' => [{ ids: %w[own last], way: 'left' }, :draw],
    'board.use_prop' => [{ id: 'die', action: 'roll' }, :props], 'exchange.post' => [{ id: 'p1', text: 'Which light?' }, :post]
  }.each do |wire_name, (input, right)|
    it "#{wire_name} takes #{right}" do
      on = { on: 'exchange/s1.main' } if wire_name.start_with?('exchange')
      allow(all - [right])
      expect { track.do(farah, wire_name, input, **on.to_h) }.to refusing(:"may_not_#{right}")
      allow([right])
      expect(track.do(farah, wire_name, input, **on.to_h)).not_to be_nil
    end
  end

  # What staff alone do, they too do only while the class is going on.
  { 'board.clear' => { page: 'p1' }, 'board.add_page' => { page: 'p2', after: 'p1' }, 'board.set_page' => { page: 'p1', grows: true },
    'board.bring_back' => { page: 'p1', seq: 1 }, 'board.put' => { marks: [{ id: 'n', page: 'p1', kind: 'text', x: 1, y: 1, w: 90, size: 30, ink: 'lake', text: 'Aye' }] },
    'board.change' => { changes: [{ id: 'hers', set: { locked: true } }] }, 'board.remove' => { ids: %w[hers] }, 'board.undo' => {},
    'board.straighten' => { ids: %w[hers] }, 'board.use_prop' => { id: 'die', action: 'roll' } }.each do |wire_name, input|
    it "#{wire_name} is over with the class, for staff as well" do
      allow([])
      done = track.do(odalys, wire_name, input)
      expect(done).not_to be_nil unless wire_name == 'board.straighten'
      hall.do(odalys, 'class.end')
      expect { track.do(odalys, wire_name, input) }.to refusing(:class_ended)
    end
  end

  it 'clearing, what a page is, and locks are for staff, whatever is allowed' do
    allow(all)
    [['board.clear', { page: 'p1', by: 'farah' }], ['board.set_page', { page: 'p1', grows: true }],
     ['board.bring_back', { page: 'p1', seq: 1 }], ['board.change', { changes: [{ id: 'own', set: { locked: true } }] }],
     ['board.put', { marks: [box('n', 5, 5, locked: true)] }]].each do |wire_name, input|
      expect { track.do(farah, wire_name, input) }.to refusing(:staff_only)
    end
  end

  it 'board.redo takes draw' do
    track.do(farah, 'board.undo')
    allow(all - [:draw])
    expect { track.do(farah, 'board.redo') }.to refusing(:may_not_draw)
    allow([:draw])
    expect(track.do(farah, 'board.redo')).not_to be_nil
  end

  it 'board.put takes props as well where one puts a prop' do
    die = { marks: [stroke('s2'), prop('d2', 'dice', count: 1, faces: 6)] }
    allow(all - [:props])
    expect { track.do(farah, 'board.put', die) }.to refusing(:may_not_props)
    allow(%i[draw props])
    expect(track.do(farah, 'board.put', die)).not_to be_nil
  end

  it 'board.change and board.arrange take arrange where the marks are others’' do
    allow(all - [:arrange])
    [['board.change', { changes: [{ id: 'hers', set: { x: 50 } }] }], ['board.arrange', { ids: %w[own hers], way: 'left' }]].each do |wire_name, input|
      expect { track.do(farah, wire_name, input) }.to refusing(:not_your_mark)
    end
    allow(%i[draw arrange])
    expect(track.do(farah, 'board.change', { changes: [{ id: 'hers', set: { x: 50 } }] })).not_to be_nil
  end
end
