# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Polls::Tally do
  def tally(question, *answers, **more) = described_class.new({ text: 'Who?', **question }, answers, **more).to_h
  def options(*ids) = { options: ids.map { |id| { id: id, text: id } } }

  it 'counts options in their order, those too that nobody chose, and the share that was right' do
    one = { kind: 'one', **options('a', 'b', 'c'), right: { options: ['a'] } }
    expect(tally(one, ['a'], ['b'], ['a'])).to eq(count: 3, right: 2 / 3.0, options: [{ id: 'a', count: 2 }, { id: 'b', count: 1 }, { id: 'c', count: 0 }])
    expect(tally(one)).to include(count: 0, right: nil)
    expect(tally({ kind: 'yes_no' }, ['no'])).to include(right: nil, options: [{ id: 'yes', count: 0 }, { id: 'no', count: 1 }])
    several = { kind: 'several', **options('a', 'b') }
    expect(tally(several, %w[a b], ['b'])[:options].map { |row| row[:count] }).to eq([1, 2])
  end

  it 'has for each other kind what tells most' do
    order = tally({ kind: 'order', **options('a', 'b', 'c') }, %w[a b c], %w[b a c], %w[b c a])
    expect([order[:condorcet], order[:places].map { |row| row.values_at(:option, :points) }]).to eq(['b', [['b', 5], ['a', 3], ['c', 1]]])
    scale = tally({ kind: 'scale', points: 3 }, 1, 3, 3)
    expect([scale[:points].map { |row| row[:count] }, scale[:spread][:median]]).to eq([[1, 0, 2], 3.0])
    expect(tally({ kind: 'number' }, 2.0, 4.0)[:bins].sum { |bin| bin[:count] }).to eq(2)
    expect(tally({ kind: 'spot' }, [10.0, 39.9], [39.0, 1.0], [41.0, 1.0])[:spots]).to eq([{ x: 0, y: 0, count: 2 }, { x: 40, y: 0, count: 1 }])
  end

  it 'groups what was written, without what staff struck and what tells nothing in a cloud' do
    short = { kind: 'short' }
    expect(tally(short, 'Bell', 'bells', 'rude')[:groups].map { |group| group.values_at(:words, :count) }).to eq([['Bell', 2], ['rude', 1]])
    expect(tally(short, 'Bell', 'rude', struck: ['rude'])).to include(count: 2, groups: [include(words: 'Bell')])
    cloud = tally({ kind: 'cloud' }, %w[the Fog], %w[fog rain], ['Was'])
    expect(cloud[:groups].map { |group| group.values_at(:words, :count) }).to eq([['Fog', 2], ['rain', 1]]).or eq([['fog', 2], ['rain', 1]])
  end

  it 'tells of few without names only how many they are' do
    one = { kind: 'one', **options('a', 'b'), right: { options: ['a'] } }
    expect(tally(one, ['a'], ['b'], nameless: true)).to eq(count: 2, right: nil)
    expect(tally(one, ['a'], ['b'], ['b'], nameless: true)).to include(:options)
  end

  it 'never counts more than answered, whatever was answered' do
    rng = Random.new(5)
    100.times do
      ids = %w[a b c d].first(2 + rng.rand(3))
      answers = Array.new(rng.rand(20)) { ids.sample(1 + rng.rand(ids.length), random: rng) }
      found = tally({ kind: 'several', **options(*ids) }, *answers)
      expect(found[:options].map { |row| row[:count] }.max.to_i).to be <= answers.length
      expect(found[:options].sum { |row| row[:count] }).to eq(answers.sum(&:length))
    end
  end
end

RSpec.describe Core::Polls::Quick do
  def read(text) = described_class.read(text)

  it 'is a question with its options below, in one go' do
    expect(described_class.meant?(" ? Who\n")).to be(true)
    expect(described_class.meant?('Who?')).to be(false)
    expect(read("? Who gives way?\n= Red\n\n Green ")).to eq(kind: 'one', text: 'Who gives way?', options: [{ id: 'a', text: 'Red' }, { id: 'b', text: 'Green' }],
                                                             right: { options: ['a'] })
    expect(read("?Which?\n=Red\n=Green\nWhite")).to include(kind: 'several', right: { options: %w[a b] })
    expect(read("? Clear?\nyes\n=No")).to eq(kind: 'yes_no', text: 'Clear?', right: { options: ['no'] })
    expect(read('? Name one sound signal')).to eq(kind: 'short', text: 'Name one sound signal')
  end

  it 'says what is wrong with it' do
    { '?' => :question_empty, "?Who?\nRed" => :too_few_options, "?Who?\nRed\nred" => :options_alike, "?Who?\n#{(1..31).map { |i| "o#{i}" }.join("\n")}" => :too_many_options }
      .each { |text, code| expect { read(text) }.to refusing(code) }
  end
end
