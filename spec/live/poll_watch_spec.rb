# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Live::PollWatch do
  # A house that refuses as often as it is told to.
  let(:hub) do
    Class.new do
      attr_reader :asked

      def initialize(refusals)
        @refusals = refusals
        @asked = []
      end

      def aside(name, **)
        @asked << name
        yield @asked.length > @refusals, nil
      end
    end
  end

  def asked(stream, refusals)
    stub_const("#{described_class}::EVERY", 0.001)
    house = hub.new(refusals)
    Sync do |task|
      watch = described_class.new(Struct.new(:hub).new(house))
      running = task.async { |child| watch.run(child) }
      watch.answered(stream)
      task.sleep(0.3)
      running.stop
    end
    house.asked.length
  end

  it('asks again for what was refused, of polls and of questions') do
    expect([asked('poll/s.p', 3), asked('questions/s', 3)]).to eq([4, 4])
  end

  it('asks no more for what is refused for good') do
    expect([asked('poll/s.p', 10_000), asked('questions/s', 10_000)]).to eq([described_class::MOST_TRIES] * 2)
  end
end
