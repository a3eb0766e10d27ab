# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Undo and redo' do
  let(:track) { board }
  let(:odalys) { person(:odalys) }
  let(:tomas) { person(:tomas) }

  def mark(id) = track.state.marks[id]

  it 'takes back only what one did oneself, latest first' do
    track.do(odalys, 'board.put', { marks: [stroke('o1')] })
    track.do(tomas, 'board.put', { marks: [stroke('t1')] })
    track.do(odalys, 'board.put', { marks: [stroke('o2')] })

    track.do(odalys, 'board.undo')
    expect(track.state.marks.keys).to eq(%w[o1 t1])
    track.do(odalys, 'board.undo')
    expect(track.state.marks.keys).to eq(%w[t1])
    expect { track.do(odalys, 'board.undo') }.to refusing(:nothing_to_undo)
  end

  it 'does again what was taken back, with author, time and place in the pile' do
    track.do(odalys, 'board.put', { marks: [stroke('m1')] }, at: 7_000)
    track.do(tomas, 'board.put', { marks: [stroke('above')] })
    before = mark('m1')
    track.do(odalys, 'board.undo')
    track.do(odalys, 'board.redo')

    expect(mark('m1')).to eq(before)
    expect(track.state.on_page('p1').map { |each| each[:id] }).to eq(%w[m1 above])
  end

  it 'forgets what could be done again once something new is drawn' do
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    track.do(odalys, 'board.undo')
    track.do(odalys, 'board.put', { marks: [stroke('m2')] })
    expect { track.do(odalys, 'board.redo') }.to refusing(:nothing_to_redo)
  end

  it 'leaves alone what somebody else has changed since' do
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    track.do(odalys, 'board.change', { changes: [{ id: 'm1', set: { x: 100, ink: 'moss' } }] })
    track.do(tomas, 'board.change', { changes: [{ id: 'm1', set: { x: 500 } }] })
    track.do(odalys, 'board.undo')

    expect(mark('m1')).to include(x: 500, ink: 'lake')
  end

  it 'takes away a field that was not there before' do
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    track.do(odalys, 'board.change', { changes: [{ id: 'm1', set: { locked: true } }] })
    track.do(odalys, 'board.undo')
    expect(mark('m1')).not_to have_key(:locked)
  end

  it 'goes on after a snapshot was written and read back' do
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    track.do(odalys, 'board.change', { changes: [{ id: 'm1', set: { x: 300 } }] })
    step = track.restored.history.last_done('odalys')
    expect(step[:ops]).to eq([{ op: 'change', id: 'm1', set: { x: 10 }, if: { x: 300 } }])
  end

  # Three people do random things, each to their own marks: undoing everything leaves an empty board, doing all again brings
  # back what was there, and folding the entries again, or from a snapshot, gives the same board.
  12.times do |seed|
    it "ends where it began after undoing everything, and comes back (random play #{seed})" do
      rng = Random.new(seed)
      60.times { |i| random_act(rng, people.sample(random: rng), i, own: true) }
      people.each { |each| redo_all(each) }
      before = track.state.marks
      expect(before).not_to be_empty

      expect(track.refolded.to_h).to eq(track.state.to_h)
      expect(track.restored.to_h).to eq(track.state.to_h)
      expect(track.restored.size).to eq(track.state.size)
      people.each { |each| undo_all(each) }
      expect(track.state.marks).to be_empty
      people.each { |each| redo_all(each) }
      expect(track.state.marks).to eq(before)
    end
  end

  # When they change and take off each other's marks too, what is left are marks that somebody else had taken off and has put back.
  12.times do |seed|
    it "leaves only what others had taken off (random play #{seed})" do
      rng = Random.new(seed)
      60.times { |i| random_act(rng, people.sample(random: rng), i) }
      expect(track.refolded.to_h).to eq(track.state.to_h)
      people.each { |each| undo_all(each) }
      removed = track.entries.flat_map do |entry|
        entry.body[:ops].select { |op| op[:op] == 'remove' }.map { |op| [op[:id], entry.actor] }
      end
      track.state.marks.each_value do |left|
        expect(removed).to(be_any { |id, by| id == left[:id] && by != left[:by] })
      end
      expect(people.map { |each| track.state.history.last_done(each.id) }).to all(be_nil)
    end
  end

  it 'leaves a mark that was locked since, for those who may not change it' do
    hall = sitting
    drawn = board(sitting: hall)
    farah = person(:farah)
    drawn.do(farah, 'board.put', { marks: [stroke('mine')] })
    drawn.do(farah, 'board.change', { changes: [{ id: 'mine', set: { x: 400 } }] })
    drawn.do(odalys, 'board.change', { changes: [{ id: 'mine', set: { locked: true } }] })
    2.times { drawn.do(farah, 'board.undo') }
    expect(drawn.state.marks['mine']).to include(x: 400, locked: true)
    drawn.do(odalys, 'board.undo')
    expect(drawn.state.marks['mine']).not_to have_key(:locked)
  end

  def people = @people ||= [odalys, tomas, person(:odalys).dup.tap { |ruth| ruth.id = 'ruth' }]

  def redo_all(by)
    loop { track.do(by, 'board.redo') }
  rescue Core::Refusal => e
    raise unless e.code == :nothing_to_redo
  end

  def undo_all(by)
    loop { track.do(by, 'board.undo') }
  rescue Core::Refusal => e
    raise unless e.code == :nothing_to_undo
  end

  def random_act(rng, by, index, own: false)
    there = own ? track.state.marks.select { |_, each| each[:by] == by.id } : track.state.marks
    id = there.keys.sample(random: rng)
    case rng.rand(6)
    when 0, 1 then track.do(by, 'board.put', { marks: [stroke("m#{index}", x: rng.rand(500))] })
    when 2 then id && track.do(by, 'board.change', { changes: [{ id: id, set: { x: rng.rand(500), ink: 'plum' } }] })
    when 3 then id && track.do(by, 'board.remove', { ids: [id] })
    when 4 then track.state.history.last_done(by.id) && track.do(by, 'board.undo')
    else track.state.history.last_undone(by.id) && track.do(by, 'board.redo')
    end
  end
end
