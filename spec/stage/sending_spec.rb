# frozen_string_literal: true

require_relative '../spec_helper'

# In which order the media server is asked cannot be seen from outside; what comes of it in browsers, spec/browser/stage_spec.rb asks.
RSpec.describe Veranda::Stage::Sending do
  subject(:sending) { described_class.new(handle, room, 'farah') }

  let(:asked) { [] }
  let(:handle) do
    Class.new do
      def initialize(asked) = @asked = asked

      def ask(request, **)
        @asked << [request]
        request == 'publish' ? [{ streams: [{ mid: '0', type: 'audio' }, { mid: '1', type: 'video' }] }, 'the answer'] : [{}, nil]
      end
    end.new(asked)
  end
  let(:room) do
    Class.new do
      attr_accessor :fails

      def initialize(asked) = @asked = asked

      def moderate(_handle, _person, mid, mute)
        raise Veranda::Stage::Link::Away, 'away' if fails

        @asked << [mute ? 'stop' : 'let through', mid]
      end

      def sitting = '7'
      def place = 'main'
      def record(_handle, name) = @asked << ['record', !name.nil?] << name
    end.new(asked)
  end

  it 'stops what is not on before the page gets its answer, each time anew' do
    sending.allow(speak: true, camera: true)
    sending.switch(:microphone, true)
    expect(sending.begin('v=0')).to eq('the answer')
    expect(asked).to eq([['publish'], ['let through', '0'], %w[stop 1]])
    asked.clear
    sending.begin('v=0')
    expect(asked).to eq([['unpublish'], ['publish'], ['let through', '0'], %w[stop 1]])
  end

  it 'gives no answer when it cannot be stopped' do
    room.fails = true
    expect { sending.begin('v=0') }.to raise_error(Veranda::Stage::Link::Away)
  end

  it 'lets nothing through that is not allowed, nor by itself once it is allowed again' do
    sending.allow(speak: false, camera: true)
    sending.begin('v=0')
    asked.clear
    sending.switch(:microphone, true)
    sending.allow(speak: true, camera: true)
    expect(asked).to eq([])
    sending.switch(:camera, true)
    sending.allow(speak: true, camera: false)
    sending.allow(speak: true, camera: true)
    expect(asked).to eq([['let through', '1'], ['configure'], %w[stop 1]])
  end

  it 'makes no file for each of many presses, and none once nothing is recorded' do
    sending.allow(speak: true, camera: true)
    sending.begin('v=0')
    sending.record(true)
    20.times { |i| sending.switch(:microphone, i.even?) }
    expect(asked.count(['record', true])).to eq(1)
    sending.record(false)
    sending.switch(:microphone, true)
    expect(asked.count(['record', true])).to eq(1)
    expect(asked.grep(Array).reverse.find { |one| one.first == 'record' }).to eq(['record', false])
  end

  it 'has in one file what is switched on one after the other' do
    now = 0
    taking = Veranda::Stage::Taking.new(handle, room, 'farah', clock: -> { now })
    [[0, %w[audio]], [900, %w[audio video]], [9_000, %w[audio video]], [9_100, %w[video]], [9_200, []], [20_000, []]].each do |at, kinds|
      now = at
      taking.keep(kinds)
    end
    expect(asked.grep(Array).select { |one| one.first == 'record' }.map(&:last)).to eq([true, false, true, false])
  end

  it 'records what goes and nothing else, each time in a file of its own' do
    stub_const('Veranda::Stage::Taking::SHORTEST', 0)
    sending.allow(speak: true, camera: true)
    sending.begin('v=0')
    asked.clear
    sending.record(true)
    expect(asked).to eq([])
    sending.switch(:microphone, true)
    sending.switch(:microphone, false)
    sending.switch(:microphone, true)
    sending.allow(speak: false, camera: true)
    sending.record(false)
    names, steps = asked.partition { |one| one.is_a?(String) }
    expect(steps.compact).to eq([['let through', '0'], ['record', true], %w[stop 0], ['record', false], ['let through', '0'], ['record', true],
                                 %w[stop 0], ['record', false]])
    expect(names.uniq.map { |name| Veranda::Core::Recordings::Take.of(name).person }).to eq(%w[farah farah])
  end

  it 'sends a screen for as long as it may be shown, with no switch' do
    screen = described_class.new(handle, room, 'farah--screen', needs: described_class::SCREEN)
    screen.begin('v=0')
    screen.allow(screen: true)
    screen.allow(screen: false)
    expect(asked).to eq([['publish'], %w[stop 0], %w[stop 1], ['let through', '0'], ['let through', '1'], ['configure'], %w[stop 0], %w[stop 1]])
  end

  it 'asks again for what could not be stopped' do
    sending.allow(speak: true, camera: true)
    sending.begin('v=0')
    sending.switch(:microphone, true)
    room.fails = true
    expect { sending.allow(speak: false, camera: true) }.to raise_error(Veranda::Stage::Link::Away)
    room.fails = false
    asked.clear
    sending.allow(speak: false, camera: true)
    expect(asked).to eq([%w[stop 0]])
  end

  it 'asks for whole pictures of what is recorded: once more after the beginning, then now and again' do
    now = 1_000_000
    taking = Veranda::Stage::Taking.new(handle, room, 'farah', clock: -> { now })
    taking.keep(%w[audio])
    expect(taking).not_to be_due
    asked.clear
    wholes = Array.new(200) do
      taking.keep(%w[audio video])
      taking.whole if (due = taking.due?)
      now += 100
      due
    end
    expect(wholes.each_index.select { |i| wholes[i] }).to eq([7, 87, 167])
    taking.stop
    now += 100_000
    expect(taking).not_to be_due
  end

  it 'gives its answer also when it cannot be passed on to other rooms' do
    room.define_singleton_method(:beside) { |_| self }
    room.define_singleton_method(:name) { 'another' }
    room.define_singleton_method(:receive) { |*| raise Veranda::Stage::Link::Refused.new(499, 'no') }
    sending.allow(speak: true, camera: true)
    sending.carry(%w[r1])
    expect(sending.begin('v=0')).to eq('the answer')
    expect(asked).to include(%w[stop 0])
  end
end
