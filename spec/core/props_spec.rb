# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Core::Props do
  let(:odalys) { person(:odalys) }

  def use(kind, action, settings, shows: nil, at: 0, seed: 1, present: [])
    described_class.use(kind, action, settings: settings, shows: shows, at: at, seed: seed, present: present)
  end

  it 'rolls every face about as often as the others (chi-squared, 5 degrees of freedom, p = 0.001: 20.5)' do
    counts = (1..3000).flat_map { |seed| use('dice', 'roll', { count: 2, faces: 6 }, seed: seed)[:rolled] }.tally
    expect(counts.keys).to match_array(1..6)
    expect(counts.values.sum { |count| (count - 1000)**2 / 1000.0 }).to be < 20.5
  end

  it 'stops a spinner where its weights say, and shows the same place on the wheel' do
    settings = { labels: %w[Rain Sun], weights: [3, 1] }
    spins = (1..2000).map { |seed| use('spinner', 'spin', settings, seed: seed) }
    expect(spins.count { |spin| spin[:index].zero? }).to be_within(90).of(1500)
    spins.each { |spin| expect(spin[:turn] < 270).to eq(spin[:index].zero?) unless spin[:turn] == 270 }
  end

  it 'picks nobody twice until everyone was picked' do
    names = %w[Amadou Bettina Cosmin Anna Anna]
    shows = nil
    rounds = Array.new(3) do |round|
      Array.new(5) { |i| (shows = use('picker', 'pick', { names: names }, shows: shows, seed: 10 * round + i))[:name] }
    end
    expect(rounds).to all(match_array(names))
  end

  it 'picks among the students in class when it has no names, and says so when there are none' do
    hall = sitting
    track = board(sitting: hall)
    track.do(odalys, 'board.put', { marks: [prop('p', 'picker')] })
    picked = Array.new(2) { track.do(odalys, 'board.use_prop', { id: 'p', action: 'pick' }).body[:shows][:name] }
    expect(picked).to contain_exactly('Farah Lindqvist', 'Jonas Whitlock')
    expect { use('picker', 'pick', {}) }.to refusing(:nobody_to_pick)
  end

  it 'counts down, rests with what is left, and goes on from there' do
    running = use('timer', 'start', { seconds: 60 }, at: 1_000)
    expect(running).to eq(ends_at: 61_000)
    resting = use('timer', 'pause', { seconds: 60 }, shows: running, at: 21_000)
    expect(resting).to eq(left: 40_000)
    expect(use('timer', 'start', { seconds: 60 }, shows: resting, at: 100_000)).to eq(ends_at: 140_000)
    expect(use('timer', 'reset', { seconds: 60 }, shows: running)).to eq(left: 60_000)
  end

  it 'keeps the seed with the result, so that the draw can be done again' do
    track = board
    track.do(odalys, 'board.put', { marks: [prop('d', 'dice', count: 3, faces: 20)] })
    entry = track.do(odalys, 'board.use_prop', { id: 'd', action: 'roll' })
    again = use('dice', 'roll', { count: 3, faces: 20 }, seed: entry.body[:seed])
    expect(again).to eq(entry.body[:shows])
    expect(track.refolded.marks['d'][:shows]).to eq(again)
  end

  it 'lets no undo take a roll back' do
    track = board
    track.do(odalys, 'board.put', { marks: [prop('d', 'dice', count: 1, faces: 6)] })
    track.do(odalys, 'board.change', { changes: [{ id: 'd', set: { x: 500 } }] })
    shown = track.do(odalys, 'board.use_prop', { id: 'd', action: 'roll' }).body[:shows]
    track.do(odalys, 'board.undo')
    expect(track.state.marks['d']).to include(x: 100, shows: shown)
  end

  it 'asks for the right to use props, and refuses props that lack something' do
    hall = sitting
    hall.do(odalys, 'class.rule', { right: 'props', allow: false })
    track = board(sitting: hall)
    track.do(odalys, 'board.put', { marks: [prop('d', 'dice', count: 1, faces: 6)] })
    expect { track.do(person(:farah), 'board.use_prop', { id: 'd', action: 'roll' }) }.to refusing(:may_not_props)
    { 'dice' => { count: 2 }, 'spinner' => { labels: %w[a b], weights: [1] }, 'counter' => {}, 'timer' => {} }.each do |kind, settings|
      expect { track.do(odalys, 'board.put', { marks: [prop(kind, kind, **settings)] }) }.to refusing(:prop_incomplete)
    end
    expect { track.do(odalys, 'board.use_prop', { id: 'd', action: 'spin' }) }.to refusing(:no_such_action)
  end
end

RSpec.describe Core::Boards::SvgWriter do
  # Faces up to six have pips where a die has six of them, and figures where it has more.
  [[6, 1], [7, 0]].each do |faces, pips|
    it "draws a one of #{faces} faces with #{pips} pips" do
      mark = prop('d', 'dice', count: 1, faces: faces).merge(shows: { rolled: [1] }, z: 1, by: 'odalys', at: 1).freeze
      text = described_class.new(Core::Boards::Board.new(marks: { 'd' => mark }, top: 1), 'p1', title: 'Dice').call
      expect(text.scan('<circle').length - described_class.new(Core::Boards::Board.new, 'p1', title: 'Dice').call.scan('<circle').length).to eq(pips)
    end
  end
end
