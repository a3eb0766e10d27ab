# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Drawing on a board' do
  let(:odalys) { person(:odalys) }
  let(:tomas) { person(:tomas) }
  let(:track) { board }

  def ids = track.state.on_page('p1').map { |mark| mark[:id] }
  def mark(id) = track.state.marks.fetch(id)

  it 'signs each mark with author and time, and piles them in order' do
    track.do(odalys, 'board.put', { marks: [stroke('m1'), note('m2')] }, at: 5_000)

    expect(mark('m1')).to include(by: 'odalys', at: 5_000)
    expect(ids).to eq(%w[m1 m2])
    expect(track.state.authors).to eq('odalys' => 'Odalys Brandt')
  end

  it 'does not let a client say who drew' do
    expect { track.do(odalys, 'board.put', { marks: [stroke('m1', by: 'farah')] }) }.to refusing(:bad_input)
  end

  it 'keeps a stroke of one point, as a dot' do
    track.do(odalys, 'board.put', { marks: [stroke('dot', points: [0, 0])] })
    expect(mark('dot')[:points]).to eq([0, 0])
  end

  it 'refuses a stroke of 20,000 points and says which field is wrong' do
    huge = stroke('m1', points: Array.new(40_000) { |i| i % 900 })
    expect { track.do(odalys, 'board.put', { marks: [huge] }) }.to raise_error(Core::Refusal, /marks\.0\.points/)
    expect(ids).to be_empty
  end

  it 'refuses coordinates that are not finite or far outside' do
    [1e300, '12', nil, 20_001].each do |x|
      expect { track.do(odalys, 'board.put', { marks: [stroke('m1', x: x)] }) }.to refusing(:bad_input)
    end
    infinite = { 'marks' => [stroke('m1').transform_keys(&:to_s).merge('x' => Float::INFINITY)] }
    expect { Core::Contract.check(Core::Boards::PutMarks.contract, infinite) }.to refusing(:bad_input)
  end

  it 'refuses odd numbers of coordinates, unknown inks, wild widths and fields it does not know' do
    wrong = [{ points: [1, 2, 3] }, { ink: 'pink' }, { width: 0 }, { width: 900 }, { colour: 'red' }, { kind: 'blob' }]
    wrong.each { |field| expect { track.do(odalys, 'board.put', { marks: [stroke('m1', **field)] }) }.to refusing(:bad_input) }
  end

  it 'refuses marks that lack what their kind needs' do
    expect { track.do(odalys, 'board.put', { marks: [note('n').except(:text)] }) }.to refusing(:mark_incomplete)
    expect { track.do(odalys, 'board.put', { marks: [stroke('s').except(:points)] }) }.to refusing(:mark_incomplete)
  end

  it 'refuses the same id twice, in one go or two' do
    expect { track.do(odalys, 'board.put', { marks: [stroke('m1'), stroke('m1')] }) }.to refusing(:mark_exists)
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    expect { track.do(tomas, 'board.put', { marks: [stroke('m1')] }) }.to refusing(:mark_exists)
  end

  it 'drops control characters from text, which no document could hold' do
    track.do(odalys, 'board.put', { marks: [note('n', "a\u0000b\r\nc\td\u0007")] })
    expect(mark('n')[:text]).to eq("ab\nc d")
  end

  describe 'changing' do
    before { track.do(odalys, 'board.put', { marks: [stroke('m1'), note('m2')] }) }

    it 'moves and recolours, and leaves author and time' do
      track.do(tomas, 'board.change', { changes: [{ id: 'm1', set: { x: 99, ink: 'plum' } }] })
      expect(mark('m1')).to include(x: 99, y: 20, ink: 'plum', by: 'odalys')
    end

    it 'adds nothing to the stream when nothing is different' do
      expect(track.do(odalys, 'board.change', { changes: [{ id: 'm1', set: { x: 10 } }] })).to be_nil
    end

    it 'refuses marks that have gone' do
      expect { track.do(odalys, 'board.change', { changes: [{ id: 'x', set: { x: 1 } }] }) }.to refusing(:no_such_mark)
    end

    it 'passes over marks that someone else has just taken off' do
      track.do(tomas, 'board.remove', { ids: ['m1'] })
      expect(track.do(odalys, 'board.remove', { ids: ['m1'] })).to be_nil
    end
  end

  describe 'pages' do
    it 'adds a page after another and keeps marks to their page' do
      track.do(odalys, 'board.add_page', { page: 'p2', after: 'p1' })
      track.do(odalys, 'board.add_page', { page: 'between', after: 'p1' })
      track.do(odalys, 'board.put', { marks: [stroke('m1', page: 'p2')] })

      expect(track.state.pages).to eq(%w[p1 between p2])
      expect(ids).to be_empty
    end

    it 'refuses pages that are not there' do
      expect { track.do(odalys, 'board.put', { marks: [stroke('m1', page: 'p9')] }) }.to refusing(:no_such_page)
      expect { track.do(odalys, 'board.clear', { page: 'p9' }) }.to refusing(:no_such_page)
    end
  end

  describe 'in a class' do
    let(:hall) { sitting }
    let(:track) { board(sitting: hall) }
    let(:farah) { person(:farah) }
    let(:jonas) { person(:jonas) }

    it 'lets students change and take off what is theirs, and what is others\' only once they may' do
      track.do(farah, 'board.put', { marks: [stroke('f1'), text('f2', 'Farah')] })
      attempts = [['board.change', { changes: [{ id: 'f2', set: { text: '' } }] }], ['board.change', { changes: [{ id: 'f1', set: { x: 50 } }] }],
                  ['board.arrange', { ids: %w[f1 f2], way: 'left' }], ['board.straighten', { ids: ['f1'] }],
                  ['board.remove', { ids: ['f1'] }]]
      attempts.each { |wire_name, input| expect { track.do(jonas, wire_name, input) }.to refusing(:not_your_mark) }
      track.do(farah, 'board.change', { changes: [{ id: 'f1', set: { x: 70 } }] })

      hall.do(odalys, 'class.rule', { right: 'arrange', allow: true, person: 'jonas' })
      attempts.each { |wire_name, input| track.do(jonas, wire_name, input) }
      expect(ids).to eq(['f2'])
      track.do(farah, 'board.remove', { ids: ['f2'] })
      expect(ids).to be_empty
    end

    it 'lets all who may use props move them, and only move them' do
      track.do(odalys, 'board.put', { marks: [prop('boat', 'counter', shape: 'boat')] })
      track.do(farah, 'board.change', { changes: [{ id: 'boat', set: { x: 300, y: 40 } }] })
      expect(track.state.marks['boat']).to include(x: 300, by: 'odalys')
      expect { track.do(farah, 'board.change', { changes: [{ id: 'boat', set: { ink: 'moss' } }] }) }.to refusing(:not_your_mark)
      hall.do(odalys, 'class.rule', { right: 'props', allow: false })
      expect { track.do(farah, 'board.change', { changes: [{ id: 'boat', set: { x: 1 } }] }) }.to refusing(:not_your_mark)
    end

    it 'keeps students from locked marks, from locking, clearing and adding pages' do
      track.do(odalys, 'board.put', { marks: [stroke('m1', locked: true)] })
      expect { track.do(farah, 'board.change', { changes: [{ id: 'm1', set: { x: 1 } }] }) }.to refusing(:mark_locked)
      track.do(farah, 'board.put', { marks: [stroke('f1')] })
      expect { track.do(farah, 'board.change', { changes: [{ id: 'f1', set: { locked: true } }] }) }.to refusing(:staff_only)
      expect { track.do(farah, 'board.put', { marks: [stroke('f2', locked: true)] }) }.to refusing(:staff_only)
      expect { track.do(farah, 'board.clear', { page: 'p1' }) }.to refusing(:staff_only)
      expect { track.do(farah, 'board.add_page', { page: 'p2', after: 'p1' }) }.to refusing(:may_not_add)
    end

    it 'clears all but locked marks in one entry, which one undo brings back' do
      track.do(odalys, 'board.put', { marks: [stroke('keep', locked: true)] })
      track.do(farah, 'board.put', { marks: [stroke('f1'), stroke('f2')] })
      before = track.state.marks.dup

      track.do(odalys, 'board.clear', { page: 'p1' })
      expect(ids).to eq(['keep'])
      track.do(odalys, 'board.undo')
      expect(track.state.marks).to eq(before)
    end
  end
end
