# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Cues and rules of a step' do
  let(:odalys) { person(:odalys) }

  it 'must say what they do, on a board of the lesson if on any' do
    check = ->(**cue) { Core::Lessons::Cues.check!({ id: 'c', **cue }, %w[b1]) }
    [{ kind: 'timer', seconds: 60 }, { kind: 'show', board: 'b1' }, { kind: 'record' }].each { |cue| expect { check.call(**cue) }.not_to raise_error }
    [{ kind: 'timer' }, { kind: 'show' }].each { |cue| expect { check.call(**cue) }.to refusing(:cue_incomplete) }
    [{ kind: 'show', board: 'b9' }, { kind: 'timer', seconds: 60, board: 'b9' }].each { |cue| expect { check.call(**cue) }.to refusing(:no_such_board) }
  end

  it 'fires a timer, a board and the recording' do
    hall = sitting
    hall.do(odalys, 'class.cue', { cue: 'fog' }, at: 2_000_000)
    expect(hall.place.timer).to eq(ends_at: 2_060_000, label: 'Fog drill')
    hall.do(odalys, 'class.cue', { cue: 'look' })
    expect(hall.place.shown).to eq(board: 'b2', page: 'p1')
    hall.do(odalys, 'class.cue', { cue: 'rec' })
    expect(hall.state).to be_recording
    expect(hall.staff.cued).to eq(%w[fog look rec])
    expect(hall.restored.to_h).to eq(hall.refolded.to_h)
    hall.do(odalys, 'class.stop_timer')
    expect(hall.place.timer).to be_nil
  end

  it 'knows only cues of its own run sheet' do
    expect { sitting.do(odalys, 'class.cue', { cue: 'nothing' }) }.to refusing(:no_such_cue)
  end

  it 'puts the house rules of a step in force when it begins' do
    steps = Stage::PLAN[:steps].map { |step| step[:id] == 'crossing' ? step.merge(rules: { draw: false, post: true, props: false }) : step }
    hall = sitting(steps: steps)
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false, person: 'farah' })
    hall.do(odalys, 'class.move', { step: 'crossing' })
    expect(hall.place.rules.to_h).to eq(for_all: Core::Rights::HouseRules::DEFAULT.merge(draw: false, post: true, props: false), exceptions: [],
                                        by_step: %w[draw post props])
    hall.do(odalys, 'class.move', { step: 'sum-up' })
    expect(hall.place.rules.for_all(:draw)).to be(false)
  end

  it 'shows a board at the page chosen for it' do
    boards = Stage::PLAN[:boards].map { |board| board[:id] == 'b2' ? board.merge(first_page: 'p4') : board }
    hall = sitting(boards: boards)
    hall.do(odalys, 'class.move', { step: 'crossing' })
    expect(hall.place.shown).to eq(board: 'b2', page: 'p4')
  end

  it 'hand a board out and show it, and ask for pairs where there are two' do
    cues = [{ id: 'own', kind: 'hand_out', board: 'b2' }, { id: 'two', kind: 'pairs', size: 2 }]
    hall = sitting(steps: Stage::PLAN[:steps].map { |step| step[:id] == 'names' ? step.merge(cues: cues) : step })
    2.times { hall.do(odalys, 'class.cue', { cue: 'own' }) }
    expect([hall.state.handed, hall.place.shown]).to eq([['b2'], { board: 'b2', page: 'p1' }])
    expect(hall.do(odalys, 'class.cue', { cue: 'two' }).kind).to eq('cued')
    hall.do(person(:jonas), 'class.leave', { place: 'main' })
    expect { hall.do(odalys, 'class.cue', { cue: 'two' }) }.to refusing(:too_few)
    expect { Core::Lessons::Cues.check!({ id: 'c', kind: 'pairs' }, []) }.to refusing(:cue_incomplete)
    expect { Core::Lessons::Cues.check!({ id: 'c', kind: 'hand_out', board: 'gone' }, %w[b1]) }.to refusing(:no_such_board)
  end
end
