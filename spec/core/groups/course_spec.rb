# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Groups::CoursePlan do
  def plan(count, size, rounds, steps: 100_000) = described_class.call(count: count, size: size, rounds: rounds, seed: 1, steps: steps)
  def repeats(rounds) = rounds.flatten(1).flat_map { |room| room.sort.combination(2).to_a }.tally.values.sum { |times| times - 1 }

  # Of each it is published that there are so many rounds in which no pair meets twice: T. P. Kirkman, Query VI, The Lady's and Gentleman's
  # Diary 1850 (fifteen schoolgirls); the affine planes of order 3 and 4 (R. C. Bose 1938); and the table of known solutions of the social
  # golfer problem in W. Harvey and T. Winterer, Solving the MOLR and Social Golfers Problems, CP 2005, LNCS 3709.
  published = [[9, 3, 4], [12, 3, 4], [15, 3, 7], [16, 4, 5], [20, 4, 5], [24, 4, 6], [30, 5, 5], [32, 4, 8]]
  published.each do |count, size, rounds|
    it "seats #{count} people by #{size} in #{rounds} rounds in which nobody meets twice" do
      found = plan(count, size, rounds)
      expect(found.length).to eq(rounds)
      found.each { |rooms| expect([rooms.flatten.sort, rooms.map(&:length).uniq]).to eq([(0...count).to_a, [size]]) }
      expect(repeats(found)).to eq(0)
    end
  end

  it 'comes near to the ten rounds of thirty-two by four in which nobody need meet twice' do
    found = plan(32, 4, 10, steps: 10_000)
    found.each { |rooms| expect([rooms.flatten.sort, rooms.map(&:length).uniq]).to eq([(0...32).to_a, [4]]) }
    expect(repeats(found)).to be <= 10
  end

  it 'has few meet again where no construction fits' do
    found = plan(10, 3, 4, steps: 60_000)
    found.each { |rooms| expect([rooms.flatten.sort, rooms.map(&:length).sort]).to eq([(0...10).to_a, [3, 3, 4]]) }
    # 4 × (3 + 3 + 6) pairs are seated, and there are 45.
    expect(repeats(found)).to be_between(3, 8)
  end
end

RSpec.describe Veranda::Core::Groups::GaloisField do
  it 'has fields of the orders of which there are some, in which nothing but zero divides zero' do
    expect((2..32).select { |order| described_class.order?(order) }).to eq([2, 3, 4, 5, 7, 8, 9, 11, 13, 16, 17, 19, 23, 25, 27, 29, 31, 32])
    [4, 7, 8, 9, 16, 25].each do |order|
      field = described_class.new(order)
      (1...order).each { |one| expect((0...order).map { |other| field.multiply(one, other) }.sort).to eq((0...order).to_a) }
      one, two, three = 1, order - 1, order / 2
      expect(field.multiply(three, field.add(one, two))).to eq(field.add(field.multiply(three, one), field.multiply(three, two)))
    end
    expect { described_class.new(6) }.to raise_error(ArgumentError)
  end
end

RSpec.describe Veranda::Core::Rooms::Pulse do
  minute = 60_000
  now = 10 * minute

  def of(*rooms, now:) = described_class.of(rooms, now).to_h { |row| [row[:room], row] }

  it 'finds a room still that has done nothing for two minutes while most others have' do
    rooms = of({ id: 'a', opened_at: minute, at: [now - 5_000] }, { id: 'b', opened_at: minute, at: [now - (3 * minute)] },
               { id: 'c', opened_at: minute, at: [now - 20_000] }, now: now)
    expect(rooms.transform_values { |row| row[:still] }).to eq('a' => false, 'b' => true, 'c' => false)
    expect(rooms['b'].values_at(:quiet, :last)).to eq([3 * minute, now - (3 * minute)])
    expect(rooms['a'][:parts]).to eq([0, 0, 0, 0, 0, 0, 0, 1])
  end

  it 'finds none still where all think, or where one has just opened' do
    quiet = Array.new(3) { |i| { id: i.to_s, opened_at: 0, at: [now - (3 * minute)] } }
    expect(of(*quiet, now: now).values.map { |row| row[:still] }).to all(be(false))
    expect(of({ id: 'a', opened_at: now - minute, at: [] }, { id: 'b', opened_at: 0, at: [now] }, now: now)['a'][:still]).to be(false)
    expect(of({ id: 'a', opened_at: 0, at: [] }, now: now)['a'][:still]).to be(false)
  end
end
