# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Sittings::Pairing do
  def draw(count, size: 2, seed: 7, met: {}) = described_class.draw(Array.new(count) { |i| format('p%03d', i) }, size: size, seed: seed, met: met)

  it 'puts everyone in one group, of the size that was asked for as far as it comes out' do
    [[2, 2, [2]], [3, 2, [3]], [7, 2, [2, 2, 3]], [3, 3, [3]], [4, 3, [2, 2]], [5, 3, [2, 3]], [7, 3, [2, 2, 3]], [300, 2, [2] * 150]].each do |count, size, lengths|
      groups = draw(count, size: size)
      expect(groups.flatten).to match_array(Array.new(count) { |i| format('p%03d', i) })
      expect(groups.map(&:length).sort).to eq(lengths)
    end
  end

  it 'is the same for the same seed, and another for another' do
    expect(draw(20)).to eq(draw(20))
    expect(Array.new(5) { |seed| draw(20, seed: seed) }.uniq.length).to be > 3
  end

  it 'lets nobody meet again as long as there is somebody new, over random classes' do
    30.times do |seed|
      rounds = []
      4.times { |round| rounds << draw(8, seed: (seed * 10) + round, met: described_class.met(rounds)) }
      expect(described_class.met(rounds).values.max).to eq(1), "seed #{seed}: #{rounds}"
    end
  end

  it 'spreads who meets again evenly when all have met' do
    rounds = []
    12.times { |round| rounds << draw(6, seed: round, met: described_class.met(rounds)) }
    times = described_class.met(rounds).values
    expect(times.length).to eq(15)
    expect(times.max - times.min).to be <= 2
  end

  it 'counts who met in threes, and weighs twice more than two times once' do
    met = described_class.met([[%w[b a c]], [%w[a b]]])
    expect(met).to eq(%w[a b] => 2, %w[a c] => 1, %w[b c] => 1)
    expect([[%w[a b], %w[c d]], [%w[a c], %w[b d]]].map { |groups| described_class.cost(groups, met) }).to eq([4, 1])
  end

  it 'needs two' do
    expect { draw(1) }.to refusing(:too_few)
  end
end

RSpec.describe 'Working in pairs' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }
  let(:hall) { sitting.tap { |hall| hall.do(odalys, 'class.rule', { right: 'threads', allow: false }) } }

  def pair(round = 'r1') = hall.do(odalys, 'class.pair', { round: round, size: 2, seed: 1, pairs: [{ people: %w[jonas farah] }] })
  def write(by, id, to) = hall.do(by, 'exchange.begin_thread', { id: id, people: [to], staff: false, post: { id: "#{id}-1", text: 'psst' } })

  it 'is told to each with who goes first, to staff as a whole, and to the room as a number' do
    pair
    expect(hall.own('farah').pair[:people].map { |one| one[:id] }).to eq(%w[jonas farah])
    expect(hall.place.pairs).to eq(round: 'r1', size: 2, pairs: 1)
    expect(hall.staff.paired[:pairs]).to eq([{ people: %w[jonas farah] }])
    expect(hall.world.entries('place/s1.main').to_s).not_to match(/pairs_drawn.*jonas/)
    expect(pair).to be_nil
  end

  it 'lets partners write to one another whatever the rules are, until it is over' do
    hall.do(person(:oona), 'class.join')
    expect { write(farah, 't0', 'jonas') }.to refusing(:may_not_threads)
    pair
    write(farah, 't1', 'jonas')
    expect { write(farah, 't2', 'oona') }.to refusing(:may_not_threads)
    thread = Stage::Track.new('thread/s1.t1', hall.world)
    thread.do(jonas, 'thread.post', { id: 'more', text: 'yes' })
    hall.do(odalys, 'class.end_pairs')
    expect { thread.do(jonas, 'thread.post', { id: 'late', text: 'still there?' }) }.to refusing(:may_not_threads)
    expect(hall.do(odalys, 'class.end_pairs')).to be_nil
    pair('r2')
    thread.do(jonas, 'thread.post', { id: 'again', text: 'here again' })
  end

  it 'is over with the step' do
    hall.do(odalys, 'class.move', { step: 'names' })
    pair
    hall.do(odalys, 'class.move', { step: 'crossing' })
    expect(hall.place.pairs).to be_nil
  end

  it 'gives a pair a copy that is theirs together' do
    hall.do(odalys, 'class.give_copies', { board: 'b1', copies: [{ board: 'c1', person: 'jonas', with: ['farah'] }] })
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: true })
    expect(Core::Sittings::HandOut.missing(hall.state, hall.staff)).to be_empty
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false })
    copy = Stage::Track.new('board/c1', hall.world)
    [farah, jonas].each { |one| copy.do(one, 'board.put', { marks: [stroke("of-#{one.id}")] }) }
    expect([farah, jonas, person(:oona)].map { |one| Core::Access::InClass.new(one, hall.state, hall.staff).reads?('board/c1') }).to eq([true, true, false])
  end
end
