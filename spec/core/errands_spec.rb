# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Veranda::Core::Errands do
  def of(stream, kind, state, **body)
    entry = Veranda::Core::Streams::Entry.new(stream: stream, seq: 7, at: 1, actor: 'odalys', kind: kind, body: body)
    described_class.of(entry, state).map { |errand| [errand.key, errand.facts] }
  end

  def state(**facts) = Struct.new(*facts.keys).new(*facts.values)

  it 'has copies made where something is handed out, for many who come at once by one errand' do
    expect(of('sitting/s', 'joined', state(handed: []), people: [])).to eq([])
    expect(of('sitting/s', 'joined', state(handed: ['b']), people: [])).to eq([['hand_copies s', { sitting: 's' }]])
    expect(of('sitting/s', 'handed_out', state(handed: ['b']), board: 'b')).to eq([['hand_copies s', { sitting: 's' }]])
  end

  it 'has done aside what of a cue takes a while, each firing for itself' do
    staff = Veranda::Core::Sittings::StaffFacts.new
    staff.instance_variable_set(:@steps, [{ id: 'one', cues: [{ id: 'p', kind: 'pairs', size: 2 }, { id: 't', kind: 'timer', seconds: 60 }] }])
    expect(of('staff/s', 'cued', staff, cue: 'p')).to eq([['do_cue s 7', { sitting: 's', cue: 'p', firing: 7 }]])
    expect(of('staff/s', 'cued', staff, cue: 't')).to eq([])
    expect(of('staff/s', 'cued', staff, cue: 'gone')).to eq([])
  end

  it 'has pairs given copies where they work on a board' do
    drawn = { round: 'r', seed: 1, pairs: [{ people: %w[farah jonas] }] }
    expect(of('staff/s', 'paired', nil, **drawn)).to eq([])
    expect(of('staff/s', 'paired', nil, **drawn, board: 'b'))
      .to eq([['copy_for_pairs s r', { sitting: 's', round: 'r', board: 'b', pairs: [{ people: %w[farah jonas] }] }]])
  end

  it 'has counted what is not counted as it comes' do
    of_kind = ->(**facts) { of('poll/s.q', 'round_closed', state(nameless?: false, counts_marks?: false, **facts), round: 1) }
    expect(of_kind.call).to eq([])
    expect(of_kind.call(nameless?: true)).to eq([['count_round s q', { sitting: 's', poll: 'q' }]])
    expect(of_kind.call(counts_marks?: true).length).to eq(1)
    expect(of('staff/s', 'poll_put_away', nil, poll: 'q')).to eq([['put_away_poll s q', { sitting: 's', poll: 'q' }]])
  end

  it 'has the class of a lesson told what it will be taught, for many edits by one errand' do
    expect(of('plan/l', 'plan_set', nil, starts_at: 1)).to eq([['tell_plan l', { lesson: 'l' }]])
    expect(of('plan/l', 'step_moved', nil, id: 'one', after: nil)).to eq([['tell_plan l', { lesson: 'l' }]])
    expect(of('plan/l', 'plan_begun', nil, title: 'New')).to eq([])
  end

  it 'has kept what is left of a class that is over' do
    expect(of('sitting/s', 'ended', state(stretches: [])).map(&:first)).to eq(['finish_polls s', 'keep_snapshots s'])
    expect(of('sitting/s', 'ended', state(stretches: [{}])).map(&:first)).to include('keep_tracks s')
    expect(of('board/s', 'ended', nil)).to eq([])
  end
end
