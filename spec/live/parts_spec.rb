# frozen_string_literal: true

require_relative '../spec_helper'
require 'async'

RSpec.describe Veranda::Live::Outbox do
  # Writes nothing until it is let, as a peer whose line is full.
  class StuckLine
    attr_reader :written

    def initialize
      @written = []
      @gate = Async::Condition.new
      @stuck = true
    end

    def free
      @stuck = false
      @gate.signal
    end

    def write_bytes(bytes)
      @gate.wait if @stuck
      @written << bytes
    end
  end

  def drained(line, outbox)
    Sync do |task|
      writer = task.async { outbox.drain(line) }
      yield task
      outbox.close
      writer.wait
    end
  end

  it 'writes all that waits in one go' do
    line = StuckLine.new.tap(&:free)
    outbox = described_class.new
    drained(line, outbox) do |task|
      %w[a b c].each { |bytes| outbox.push(bytes) }
      task.yield
    end
    expect(line.written.join).to eq('abc')
    expect(line.written.length).to be <= 2
  end

  it 'drops transient messages first, then everything, and asks for a fresh start' do
    line = StuckLine.new
    afresh = 0
    outbox = described_class.new do
      afresh += 1
      outbox.resume
      outbox.push('fresh')
    end
    drained(line, outbox) do |task|
      outbox.push('first')
      task.yield
      outbox.push('x' * (described_class::TRANSIENT_LIMIT + 1))
      outbox.push_transient('glimpse')
      expect(outbox.dropped).to eq(1)
      2.times { outbox.push('y' * (described_class::LIMIT / 2)) }
      expect(outbox.size).to be <= described_class::LIMIT
      expect(outbox).to be_overflowed
      line.free
      task.sleep(0.01)
    end
    expect(afresh).to eq(1)
    expect(line.written.reject(&:empty?)).to eq(%w[first fresh])
  end
end

RSpec.describe Veranda::Live::Rate do
  it 'allows a burst and then so many per second' do
    now = 0.0
    rate = described_class.new(2, burst: 3, clock: -> { now })
    expect(Array.new(4) { rate.take }).to eq([true, true, true, false])
    now = 1.0
    expect(Array.new(3) { rate.take }).to eq([true, true, false])
  end
end

RSpec.describe Veranda::Live::Frames do
  # RFC 6455, 5.7: a single-frame unmasked text message that contains "Hello".
  it 'makes the frames of RFC 6455' do
    expect(described_class.text('Hello').bytes).to eq([0x81, 0x05, 0x48, 0x65, 0x6c, 0x6c, 0x6f])
    expect(described_class.text('x' * 256).bytes.first(4)).to eq([0x81, 0x7E, 0x01, 0x00])
  end
end

RSpec.describe Veranda::Live::WebSocketLine do
  # RFC 6455, 5.7: a single-frame masked text message that contains "Hello".
  it 'takes the mask off as in RFC 6455, whatever the length' do
    payload = [0x7f, 0x9f, 0x4d, 0x51, 0x58].pack('C*')
    frame = Protocol::WebSocket::TextFrame.new(true, payload, mask: [0x37, 0xfa, 0x21, 0x3d].pack('C*'))
    line = described_class.new(nil)
    expect(line.unpack_frames([frame])).to eq('Hello')
    ['', 'é', 'x' * 7, 'ж' * 500].each do |text|
      masked = Protocol::WebSocket::TextFrame.new(mask: 'mask').tap { |one| one.pack(text) }
      expect(line.unpack_frames([masked])).to eq(text)
    end
  end
end
