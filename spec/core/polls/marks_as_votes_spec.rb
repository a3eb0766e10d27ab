# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Polls::MarksAsVotes do
  let(:regions) { [{ id: 'red', x: 0, y: 0, w: 800, h: 1000 }, { id: 'green', x: 800, y: 0, w: 800, h: 1000 }] }

  def vote(by, x, at: 1, **more) = { id: "#{by}#{at}", page: 'p1', kind: 'sign', sign: 'tick', x: x, y: 100, w: 40, h: 40, ink: 'lake', by: by, at: at, z: at, **more }

  it 'counts what lies on a region by its middle, for whoever put it' do
    marks = [vote('farah', 100), vote('jonas', 775), vote('ines', 785), vote('nils', 1_700)]
    expect(described_class.new(regions).answers(marks)).to eq('farah' => ['red'], 'jonas' => ['red'], 'ines' => ['green'])
    expect(described_class.new(regions).counts(marks)).to eq('red' => 2, 'green' => 1)
    expect(described_class.new(regions).counts([])).to eq('red' => 0, 'green' => 0)
  end

  it 'takes ticks, crosses, counters and what is written, and nothing that is drawn' do
    marks = [vote('a', 1, sign: 'cross'), vote('b', 1, sign: 'arrow'), vote('c', 1, kind: 'prop', prop: 'counter'), vote('d', 1, kind: 'prop', prop: 'dice'),
             vote('e', 1, kind: 'note', text: 'Me', size: 20), vote('f', 1, kind: 'text', text: 'Me', size: 20), vote('g', 1, kind: 'rectangle')]
    expect(described_class.new(regions).answers(marks).keys).to eq(%w[a c e f])
  end

  it 'takes the first of each person, if so many count, however they were moved about since' do
    marks = [vote('farah', 900, at: 3), vote('farah', 10, at: 1), vote('farah', 20, at: 2), vote('jonas', 900, at: 9)]
    expect(described_class.new(regions, most: 2).answers(marks.shuffle(random: Random.new(1)))).to eq('farah' => %w[red red], 'jonas' => ['green'])
    expect(described_class.new(regions, most: 1).counts(marks)).to eq('red' => 1, 'green' => 1)
  end
end
