# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Stage::Speech do
  subject(:speech) { described_class.new(->(ms) { told << ms }, clock: -> { @now }) }

  let(:told) { [] }

  before { @now = 0 }

  # What the media server tells, and ms that pass after it; it is looked every second.
  def goes(*steps)
    steps.each do |on, ms|
      speech.talks(on)
      (ms / 100).times do
        @now += 100
        speech.look if (@now % 1_000).zero?
      end
    end
  end

  it 'is told once they pause, breaths left out' do
    goes([true, 2_000], [false, 600], [true, 1_500], [false, 900])
    expect(told).to eq([])
    goes([false, 3_000])
    expect(told).to eq([3_500])
    goes([false, 9_000])
    expect(told.length).to eq(1)
  end

  it 'leaves out a cough' do
    goes([true, 300], [false, 4_000])
    expect(told).to eq([])
  end

  it 'tells of somebody who goes on and on in parts, and nothing twice' do
    goes([true, 50_000], [false, 3_000])
    expect(told.length).to be >= 3
    expect(told.sum).to eq(50_000)
  end

  it 'is told when they go' do
    goes([true, 5_000])
    speech.over
    expect(told).to eq([5_000])
  end

  it 'tells as much as was said, whatever they do' do
    rng = Random.new(RSpec.configuration.seed)
    20.times do
      told.clear
      said = 0
      30.times do
        ms = rng.rand(8..60) * 100
        goes([true, ms], [false, rng.rand(1..40) * 100])
        said += ms
      end
      speech.over
      expect(told.sum).to eq(said)
    end
  end
end
