# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Insights::Gini do
  it 'is nothing where all have as much, and one where one has all' do
    expect([described_class.of([3, 3, 3]), described_class.of([0, 7]), described_class.of([0, 0, 0, 0, 9])]).to eq([0.0, 1.0, 1.0])
  end

  # The incomes in the manual of R's package ineq: 0.4620911 as a population, which n / (n - 1) makes 0.5134345 for a sample.
  it 'is as published' do
    incomes = [541, 1_463, 2_445, 3_438, 4_437, 5_401, 6_392, 8_304, 11_904, 22_261]
    expect(described_class.of(incomes)).to be_within(5e-7).of(0.5134345)
    expect(described_class.of(incomes.shuffle(random: Random.new(3))) * 9 / 10).to be_within(5e-7).of(0.4620911)
  end

  it 'says nothing of one person, nor where nobody has any' do
    expect([[], [4], [0, 0, 0]].map { |values| described_class.of(values) }).to eq([nil, nil, nil])
  end

  # By its definition: half the mean difference between two people, over the mean.
  it 'is what its definition says, of anything' do
    rng = Random.new(5)
    60.times do
      values = Array.new(2 + rng.rand(30)) { rng.rand(20) } + [1]
      pairs = values.permutation(2).sum { |one, other| (one - other).abs } / (values.length * (values.length - 1)).to_f
      expect(described_class.of(values)).to be_within(1e-9).of(pairs / (2.0 * values.sum / values.length))
    end
  end
end

RSpec.describe Core::Insights::Heard do
  def heard(tallies) = described_class.new(hall.state, 'main', tallies)
  let(:hall) { sitting.tap { |track| track.do(person(:oona), 'class.join') } }
  let(:tallies) do
    { 'farah' => { spells: 4, spoken: 8_000, kinds: { 'spoke' => [2, 7_000], 'posted' => [3, 5_000], 'edited' => [40, 9_000], 'floor_lent' => [1, 2_000] } },
      'jonas' => { spells: 1, kinds: { 'hand_raised' => [1, 1_000], 'signalled' => [2, 1_500] } },
      'odalys' => { spells: 90, kinds: { 'posted' => [90, 9_999] } } }
  end

  it 'has whoever was heard least first, with what they did and when last; staff are not counted' do
    rows = heard(tallies).rows
    expect(rows.map { |row| row[:person] }).to eq(%w[oona jonas farah])
    expect(rows.first).to eq(person: 'oona', last: nil, spells: 0, posts: 0, marks: 0, answers: 0, hands: 0, floors: 0, signals: 0,
                             speeches: 0, spoken: 0)
    expect(rows.last).to eq(person: 'farah', last: 9_000, spells: 4, posts: 3, marks: 40, answers: 0, hands: 0, floors: 1, signals: 0,
                            speeches: 2, spoken: 8_000)
    expect(rows[1]).to include(last: 1_500, hands: 1, signals: 2)
  end

  it 'of those heard as often has first whoever was heard longer ago' do
    even = { 'farah' => { spells: 2, kinds: { 'posted' => [2, 9_000] } }, 'jonas' => { spells: 2, kinds: { 'posted' => [2, 4_000] } } }
    expect(heard(even).rows.map { |row| row[:person] }).to eq(%w[oona jonas farah])
  end

  it 'measures fairness over those who are there' do
    expect(heard(tallies).gini).to eq(0.8)
    hall.do(person(:oona), 'class.leave', { place: 'main' })
    expect(heard(tallies).gini).to eq(0.6)
    expect(heard({}).gini).to be_nil
  end
end
