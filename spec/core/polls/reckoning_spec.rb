# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Polls::Spread do
  # The medians of the two halves, by two definitions that stand beside ours: with the median in neither half (D. S. Moore and G. P. McCabe)
  # and in both (J. W. Tukey's hinges).
  def halves(numbers, both:)
    sorted = numbers.sort
    half = sorted.length / 2
    half += 1 if both && sorted.length.odd?
    [sorted.first(half), sorted.last(half)].map { |some| (some[(some.length - 1) / 2] + some[some.length / 2]) / 2.0 }
  end

  # The worked examples of the article "Quartile" of Wikipedia.
  odd = [6, 7, 15, 36, 39, 40, 41, 42, 43, 47, 49]
  even = [7, 15, 36, 39, 40, 41]

  it 'has the hinges for quartiles where the count is odd, as published' do
    expect(halves(odd, both: true)).to eq([25.5, 42.5])
    expect(described_class.of(odd)).to eq(count: 11, least: 6, lower: 25.5, median: 40.0, upper: 42.5, most: 49)
    expect(halves(odd, both: false)).to eq([15.0, 43.0])
  end

  it 'lies between neighbours where it is even, as our definition has it and theirs does not' do
    expect(described_class.of(even)).to include(lower: 20.25, median: 37.5, upper: 39.75)
    expect(halves(even, both: true)).to eq([15.0, 40.0])
  end

  it 'is never outside of what was said, whatever was said' do
    rng = Random.new(4)
    200.times do
      numbers = Array.new(1 + rng.rand(30)) { rng.rand(-50.0..50.0).round(rng.rand(3)) }
      found = described_class.of(numbers.shuffle(random: rng))
      expect(found.values_at(:least, :lower, :median, :upper, :most)).to eq(found.values_at(:least, :lower, :median, :upper, :most).sort)
      low, high = halves(numbers, both: true)
      expect([found[:lower], found[:upper]]).to match([be_within(1e-9).of(low), be_within(1e-9).of(high)]) if numbers.length.odd?
      bins = described_class.bins(numbers)
      expect(bins.sum { |bin| bin[:count] }).to eq(numbers.length)
      expect(bins.length).to be <= described_class::MOST_BINS + 1
      expect(bins.each_cons(2)).to all(satisfy { |one, other| one[:to] == other[:from] })
    end
    expect([described_class.of([]), described_class.bins([])]).to eq([nil, []])
    expect(described_class.bins([3, 3])).to eq([{ from: 3.0, to: 3.0, count: 2 }])
  end

  # Which tenth a number is in is seen from how it is written.
  it 'puts what lies between two bins into the upper one' do
    tenths = (1..11).map { |n| n / 5.0 }
    expect(described_class.bins(tenths).map { |bin| bin.values_at(:from, :count) }).to eq((1..9).map { |n| [n / 5.0, 1] } + [[2.0, 2]])
    [0.1, 0.7, 1.1, 2.3, 4.35, 0.57].each do |step|
      numbers = (0..11).map { |n| (step * n).round(4) }
      described_class.bins(numbers).each_cons(2) do |bin, _|
        expect(bin[:count]).to eq(numbers.count { |number| (number * 10_000).round.between?((bin[:from] * 10_000).round, (bin[:to] * 10_000).round - 1) })
      end
    end
  end

  it 'has bins that are easily read' do
    expect(described_class.bins([0.1, 0.2, 0.35, 0.9]).first).to eq(from: 0.1, to: 0.2, count: 1)
    expect(described_class.bins([0, 10, 20, 100]).map { |bin| bin[:to] }.last).to eq(100.0)
  end
end

RSpec.describe Core::Polls::Ordered do
  # Which town is to be the capital of Tennessee, a worked example of the articles "Borda count" and "Condorcet method" of Wikipedia.
  towns = %w[Memphis Nashville Chattanooga Knoxville]
  orders = [[42, [0, 1, 2, 3]], [26, [1, 2, 3, 0]], [15, [2, 3, 1, 0]], [17, [3, 2, 1, 0]]].flat_map { |count, order| Array.new(count) { towns.values_at(*order) } }

  it 'counts points and duels as published' do
    found = described_class.new(towns, orders)
    expect(found.places.map { |row| row.values_at(:option, :points) })
      .to eq([['Nashville', 194], ['Chattanooga', 173], ['Memphis', 126], ['Knoxville', 107]])
    expect(found.condorcet).to eq('Nashville')
    expect([found.before('Nashville', 'Memphis'), found.before('Nashville', 'Chattanooga')]).to eq([58, 68])
  end

  it 'says that nobody beats all where each is beaten, and when nobody has voted' do
    circle = [%w[a b c], %w[b c a], %w[c a b]]
    expect(described_class.new(%w[a b c], circle).condorcet).to be_nil
    nobody = described_class.new(%w[a b], [])
    expect([nobody.condorcet, nobody.places]).to eq([nil, [{ option: 'a', points: 0, mean: nil }, { option: 'b', points: 0, mean: nil }]])
  end

  it 'gives out as many points as there are, and the most to whoever is first of all' do
    rng = Random.new(9)
    50.times do
      options = Array.new(2 + rng.rand(6)) { |i| "o#{i}" }
      some = Array.new(1 + rng.rand(20)) { options.shuffle(random: rng) }
      found = described_class.new(options, some)
      expect(found.places.sum { |row| row[:points] }).to eq(some.length * options.length * (options.length - 1) / 2)
      first = [options.first] * some.length
      expect(described_class.new(options, first.map { |one| [one, *(options - [one])] }).condorcet).to eq(options.first)
    end
  end
end

RSpec.describe Core::Polls::Gain do
  # Shares right before and after a term, in the Force Concept Inventory, and the gain: C. H. Crouch and E. Mazur, Peer Instruction: Ten
  # years of experience and results, American Journal of Physics 69, 970 (2001), Table I. Shares are printed as whole percents, so the gain
  # of the printed ones may be off by two in the second place.
  it 'is as published, within what was rounded' do
    published = { 1990 => [70, 78, 0.25], 1991 => [71, 85, 0.49], 1993 => [70, 86, 0.55], 1994 => [70, 88, 0.59], 1995 => [67, 88, 0.64], 1996 => [67, 89, 0.68],
                  1997 => [67, 92, 0.74] }
    published.each_value { |pre, post, gain| expect(described_class.of(pre / 100.0, post / 100.0)).to be_within(0.02).of(gain) }
    expect(published.values.map { |*, gain| described_class.level(gain) }).to eq(%i[low medium medium medium medium medium high])
  end

  it 'is that of Hake, with his bounds' do
    # Averages of the survey of 1998, of 14 traditional and 48 interactive courses, lie in his low and medium regions.
    expect([0.23, 0.48, 0.71].map { |gain| described_class.level(gain) }).to eq(%i[low medium high])
    # 5 of 11 right, then 9: (9 − 5) / (11 − 5).
    expect(described_class.of(5 / 11.0, 9 / 11.0)).to be_within(1e-12).of(4 / 6.0)
    expect(described_class.of(0.8, 0.4)).to be_within(1e-12).of(-2)
    expect(described_class.of(1.0, 0.9)).to be_nil
  end

  it 'says when it is worth that pairs discuss' do
    expect([nil, 0.34, 0.35, 0.7, 0.71].map { |right| described_class.discuss?(right) }).to eq([false, false, true, true, false])
  end
end

RSpec.describe Core::Polls::Moves do
  let(:right) { ->(answer) { answer == 'red' } }

  def moves(before, after, **more) = described_class.new(before, after, right: right, **more)
  def voters(*answers) = answers.each_with_index.to_h { |answer, i| [i, answer] }

  it 'tells who went from what to what, of those who answered twice' do
    found = moves(voters('red', 'green', 'green', 'both', 'red'), voters('red', 'red', 'green', 'red'))
    expect(found.count).to eq(4)
    expect(found.ways).to eq([{ from: 'red', to: 'red', count: 1 }, { from: 'green', to: 'red', count: 1 }, { from: 'green', to: 'green', count: 1 },
                              { from: 'both', to: 'red', count: 1 }])
    expect(found.right).to eq(before: 0.25, after: 0.75, gain: 0.5 / 0.75)
    expect(moves(voters('red'), voters('red')).right).to include(gain: nil)
    expect([moves({}, voters('red')).right, described_class.new(voters('a'), voters('b')).right]).to eq([nil, nil])
  end

  it 'tells nothing without names of so few that one would know who they are' do
    few = moves(voters('red', 'green', 'green'), voters('red', 'red', 'green'), nameless: true)
    expect([few.ways, few.count, few.right[:before]]).to eq([nil, 3, 1 / 3.0])
    expect(moves(voters('red', 'green'), voters('red', 'red'), nameless: true).right).to be_nil
    expect(moves(voters('green', 'green', 'green'), voters('red', 'red', 'red'), nameless: true).ways).to eq([{ from: 'green', to: 'red', count: 3 }])
  end
end
