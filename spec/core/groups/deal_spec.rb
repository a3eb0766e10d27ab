# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Groups::Deal do
  groups = Veranda::Core::Groups

  def people(count) = Array.new(count) { |i| format('p%03d', i) }
  def wish(kind, *people, by: nil) = Veranda::Core::Groups::Wish.from(kind: kind, people: people, by: by)
  def pairs(rooms) = rooms.flat_map { |room| room.sort.combination(2).to_a }

  def deal(people, sizes, **more)
    described_class.new(people: people, sizes: sizes, seed: 1, steps: 8_000, **more).call
  end

  # Every hard rule, looked at by itself and not as the search does.
  def broken(dealt, people, sizes, wishes)
    room_of = dealt.rooms.each_with_index.flat_map { |room, i| room.map { |id| [id, i] } }.to_h
    wrong = []
    wrong << :people unless dealt.rooms.flatten.sort == people.sort
    wrong << :sizes unless dealt.rooms.map(&:length).sort == sizes.sort
    # Only what a contradiction names may be left out; what was not met is no excuse.
    (wishes - dealt.contradictions.map(&:last)).each do |one|
      here = (one.people & people).map { |id| room_of[id] }
      wrong << one if one.kind == 'together' && here.uniq.length > 1
      wrong << one if one.kind == 'apart' && here.uniq.length < here.length
      wrong << one if one.kind == 'each' && here.uniq.length < [here.length, sizes.length].min
    end
    wrong
  end

  def random_wishes(dice, people)
    kinds = Array.new(dice.rand(8)) { %w[together apart apart each].sample(random: dice) }
    kinds.map { |kind| wish(kind, *people.sample(kind == 'each' ? 2 + dice.rand(4) : 2 + dice.rand(2), random: dice)) }
  end

  it 'keeps every hard rule, or names what it gave up, for random people, histories and wishes' do
    80.times do |seed|
      dice = Random.new(seed)
      all = people(3 + dice.rand(28))
      here = all.sample([2, (all.length * 0.9).round].max, random: dice)
      sizes = groups::Sizes.in_rooms(here.length, 1 + dice.rand(8))
      rounds = Array.new(dice.rand(6)) { all.shuffle(random: dice).each_slice(1 + dice.rand(5)).to_a }
      wishes = random_wishes(dice, all)
      dealt = deal(here, sizes, wishes: wishes, meetings: groups::Meetings.new(rounds), roster: all, seed: seed)
      among = wishes.map { |one| one.among(here.sort) }
      expect(broken(dealt, here, sizes, among)).to be_empty, "seed #{seed}"
      # Whatever is named as a contradiction is one, and none of it could be left out.
      finder = groups::Contradiction.new(here, sizes, rng: Random.new(1))
      dealt.contradictions.each do |set|
        expect(finder.refuted?(set)).to be(true), "seed #{seed}"
        expect(set.any? { |one| finder.refuted?(set - [one]) }).to be(false), "seed #{seed}"
      end
      met = groups::Meetings.new(rounds)
      expect(dealt.again.length).to eq(pairs(dealt.rooms).count { |one, other| met.times(one, other).positive? })
      expect(dealt.again.length).to be >= dealt.bound
    end
  end

  it 'is the same for the same seed' do
    rounds = [people(14).each_slice(4).to_a]
    once, twice = Array.new(2) { deal(people(14), [4, 4, 3, 3], meetings: groups::Meetings.new(rounds)).rooms }
    expect(once).to eq(twice)
    expect(Array.new(4) { |seed| deal(people(14), [4, 4, 3, 3], seed: seed).rooms }.uniq.length).to be > 1
  end

  it 'lets nobody meet again while there is somebody new, and says the least that is possible when there is not' do
    rounds = []
    3.times { rounds << deal(people(12), [3] * 4, meetings: groups::Meetings.new(rounds)).rooms }
    expect(rounds.flat_map { |rooms| pairs(rooms) }.tally.values.max).to eq(1)
    everyone = Array.new(1) { [people(4)] }
    dealt = deal(people(4), [2, 2], meetings: groups::Meetings.new(everyone))
    expect([dealt.again.length, dealt.bound]).to eq([2, 2])
  end

  it 'rather lets those meet again who met long ago, or less often' do
    old, new = [%w[p000 p001], %w[p002 p003]], [%w[p000 p002], %w[p001 p003]]
    meetings = groups::Meetings.new([old, new, [%w[p000 p003], %w[p001 p002]]])
    expect(deal(people(4), [2, 2], meetings: meetings).rooms.map(&:sort)).to match_array(old)
    often = groups::Meetings.new([old, old, old, new, new, [%w[p000 p003], %w[p001 p002]]])
    expect(deal(people(4), [2, 2], meetings: often).rooms.map(&:sort)).to match_array([%w[p000 p003], %w[p001 p002]])
  end

  it 'moves people who stay together as one' do
    together = people(20).each_slice(2).first(8).map { |two| wish('together', *two) }
    rounds = [people(20).each_slice(4).to_a]
    dealt = deal(people(20), [4] * 5, wishes: together, meetings: groups::Meetings.new(rounds), steps: 20_000)
    expect(dealt.given_up).to be_empty
    # The eight pairs that must, and the last four people, who have all met: at best two and two of them sit beside a pair.
    expect(dealt.again.length).to eq(10)
  end

  it 'names the smallest set of wishes that contradict one another, among others that do not' do
    seven = people(7).combination(2).map { |two| wish('apart', *two) }
    fine = [wish('together', 'p010', 'p011'), wish('apart', 'p012', 'p013'), wish('each', 'p014', 'p015')]
    set = groups::Contradiction.new(people(30), [5] * 6, rng: Random.new(1)).smallest((seven + fine).shuffle(random: Random.new(3)))
    expect(set).to match_array(seven)
    chain = [wish('together', 'p001', 'p002'), wish('together', 'p002', 'p003'), wish('apart', 'p001', 'p003'), *fine]
    expect(groups::Contradiction.new(people(30), [5] * 6, rng: Random.new(1)).smallest(chain)).to match_array(chain.first(3))
    too_many = wish('together', *people(6))
    expect(groups::Contradiction.new(people(30), [5] * 6, rng: Random.new(1)).smallest([too_many, *fine])).to eq([too_many])
    expect(groups::Contradiction.new(people(30), [5] * 6, rng: Random.new(1)).smallest(fine)).to be_nil
  end

  it 'mixes and levels by numbers and by words' do
    quiz = people(12).each_with_index.to_h
    spread = ->(rooms) { rooms.map { |room| room.sum { |id| quiz[id] } }.minmax.then { |least, most| most - least } }
    within = ->(rooms) { rooms.sum { |room| room.map { |id| quiz[id] }.minmax.then { |least, most| most - least } } }
    mixed = deal(people(12), [3] * 4, wishes: [wish('mix', by: 'quiz')], traits: { 'quiz' => quiz }, steps: 30_000)
    level = deal(people(12), [3] * 4, wishes: [wish('level', by: 'quiz')], traits: { 'quiz' => quiz }, steps: 30_000)
    expect(spread.call(mixed.rooms)).to be <= 1
    expect(within.call(level.rooms)).to eq(8)
    language = people(12).each_with_index.to_h { |id, i| [id, %w[fr de it][i / 4]] }
    dealt = deal(people(12), [3] * 4, wishes: [wish('mix', by: 'language')], traits: { 'language' => language }, steps: 30_000)
    expect(dealt.rooms.map { |room| room.map { |id| language[id] }.uniq.length }).to all(eq(3))
  end

  it 'puts one of a list in each room, as far as it goes' do
    dealt = deal(people(12), [3] * 4, wishes: [wish('each', *people(4))])
    expect(dealt.rooms.map { |room| (room & people(4)).length }).to all(eq(1))
    more = deal(people(12), [3] * 4, wishes: [wish('each', *people(6))])
    expect(more.rooms.map { |room| (room & people(6)).length }.minmax).to eq([1, 2])
  end
end

RSpec.describe Veranda::Core::Groups::Sizes do
  # As the design tells of eighteen people: 9 × 2, 6 × 3, 3 × 6, 2 × 9, or 4 of 4 and 5.
  it 'offers every arrangement, in sizes that differ by at most one, with nobody alone' do
    offers = described_class.offers(18)
    expect(offers).to include([9, 9], [6] * 3, [3] * 6, [2] * 9, [5, 5, 4, 4])
    (0..60).each do |count|
      described_class.offers(count).each do |sizes|
        expect([sizes.sum, sizes.max - sizes.min <= 1, sizes.min >= 2]).to eq([count, true, true])
      end
    end
    expect(described_class.offers(300).last.length).to eq(100)
  end

  it 'makes rooms of a size as near as they come, and fewer when somebody would be alone' do
    expect(described_class.of_size(14, 4)).to eq([4, 4, 3, 3])
    expect(described_class.of_size(14, 5)).to eq([5, 5, 4])
    expect(described_class.of_size(3, 2)).to eq([3])
    expect([described_class.of_size(5, 4), described_class.of_size(5, 2), described_class.of_size(0, 4)]).to eq([[5], [3, 2], []])
    expect(described_class.of_size(1, 4)).to eq([1])
    expect(described_class.in_rooms(5, 30)).to eq([3, 2])
    expect(described_class.in_rooms(0, 3)).to eq([])
  end
end
