# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Recordings::Retiming do
  subject(:retiming) { described_class.new(48_000) }

  # What is sent every 20 ms, with the ms at which it arrives.
  def sent(count, from: 0, stamp: 0) = Array.new(count) { |i| [from + i * 20, stamp + i * 960] }
  def ms(stamps) = stamps.map { |stamp| stamp / 48 }

  it 'leaves what trembles as the sender had it' do
    rng = Random.new(3)
    arrivals, stamps = sent(200).map { |at, stamp| [at + rng.rand(60), stamp] }.transpose
    expect(retiming.call([0, *arrivals.drop(1)], stamps)).to eq(stamps)
  end

  it 'puts what came after a clock that stood still where it was heard' do
    # Three seconds of which the sender knew nothing.
    arrivals, stamps = [*sent(50), *sent(50, from: 4_000, stamp: 50 * 960)].transpose
    expect(ms(retiming.call(arrivals, stamps))).to eq(arrivals)
  end

  it 'finds its way back from a clock that ran ahead, and never goes back in time' do
    arrivals, stamps = [*sent(50), *sent(200, from: 1_000, stamp: 50 * 960 + 48_000 * 3_600)].transpose
    placed = ms(retiming.call(arrivals, stamps))
    expect(placed).to eq(placed.sort)
    expect(placed.last).to be_within(20).of(arrivals.last)
  end

  it 'goes on over the end of the counter, and keeps what belongs to one picture together' do
    wrap = (1 << 32) - 960
    expect(retiming.call([0, 20, 20, 40], [wrap, 0, 0, 960])).to eq([0, 960, 960, 1_920])
  end

  it 'is never far from when something arrived, whatever a sender says' do
    rng = Random.new(11)
    30.times do
      arrivals = Array.new(300) { |i| i * 20 + rng.rand(15) }
      stamps = Array.new(300) { rng.rand(4) == 0 ? rng.rand(1 << 32) : rng.rand(96_000) }
      placed = ms(retiming.call(arrivals, stamps))
      expect(placed).to eq(placed.sort)
      expect(placed.last).to be < arrivals.last + 300 * 20
    end
  end
end

RSpec.describe Veranda::Core::Recordings::Take do
  it 'is known by its name, and by none that leads elsewhere' do
    take = described_class.new(sitting: '7', place: 'main', person: 'farah', since: 12)
    expect(described_class.of("#{take.name}-audio-0.mjr.tmp")).to eq(take)
    expect(['../7.main.farah.12-audio-0.mjr', '7.main.farah', 'x', '7.main.farah.12b', ''].map { |name| described_class.of(name) }).to all(be_nil)
  end
end
