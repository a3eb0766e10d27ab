# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'
require 'tmpdir'

# The voices and pictures of stand-ins, as files and as packets.
RSpec.describe Veranda::StandIns::Media do
  around { |example| Dir.mktmpdir { |dir| (@dir = dir) && example.run } }

  let(:font) { Dir['/usr/share/fonts/**/*.ttf'].min }
  let(:made) { described_class::Made.new(@dir, font: font) }

  it 'makes eight seconds of each, once' do
    expect(made.voice(3).length).to be_within(2).of(400)
    pictures = made.picture('A', 1)
    expect(pictures.length).to eq(96)
    # Bit 0 of a picture is 0 where it needs no other (RFC 6386, 9.1): one in each second.
    expect(pictures.each_index.select { |i| pictures[i].getbyte(0).even? }).to eq((0..7).map { |second| second * 12 })
    before = Dir.children(@dir).to_h { |name| [name, File.mtime(File.join(@dir, name))] }
    made.voice(3)
    made.picture("'; rm", 1)
    expect(Dir.children(@dir)).to contain_exactly(*before.keys, 'picture---1.ivf')
    expect(before).to all(satisfy { |name, at| File.mtime(File.join(@dir, name)) == at })
  end

  it 'puts them into packets that come to what they were' do
    frames = [Random.new(1).bytes(3_000), 'b' * 20]
    rtp = described_class::Rtp.new(frames, every: 0.1, type: 96, source: 1010, rate: 90_000, pieces: true)
    packets = Array.new(4) { rtp.next }
    expect(packets.map(&:length)).to eq([3, 1, 3, 1])
    heads = packets.flatten.map { |packet| packet.unpack('CCnNN') }
    expect(heads.map { |head| head[2] }).to eq((1..8).to_a)
    expect(heads.map { |head| head[3] }.uniq).to eq([0, 9_000, 18_000, 27_000])
    # The last piece of a picture is marked.
    expect(heads.map { |head| head[1] > 127 }).to eq([false, false, true, true] * 2)
    expect(packets.first.map { |packet| packet.byteslice(13..) }.join).to eq(frames.first)
    expect(Veranda::Workshop::Vp8.whole?(packets[1].first)).to be(true).or be(false)
  end

  it 'is sent to where it is wished, as long as it is wished, whatever else is said' do
    socket = UDPSocket.new.tap { |one| one.bind('127.0.0.1', 0) }
    now = 100.0
    sender = described_class::Sender.new(made, clock: -> { now })
    sender.hear(JSON.generate(play: 'x', ip: '127.0.0.1', port: socket.addr[1], initials: 'A', index: 2, picture: true))
    expect { sender.hear('{"play"') }.to raise_error(JSON::ParserError)
    expect { sender.hear('{"play": "y"}') }.to raise_error(ArgumentError)
    sent = Array.new(20) { (now += 0.05) && sender.send_due }.sum
    expect(sent).to be >= 50 + 12
    expect(Array.new(sent) { socket.recvfrom_nonblock(2_000).first.unpack1('x8N') }.tally.keys).to contain_exactly(1000, 1010)
    # What was missed while the machine slept is not sent all at once.
    now += 60
    expect(sender.send_due).to be < 10
    sender.hear('{"stop": "x"}')
    expect((now += 1) && sender.send_due).to eq(0)
  end
end
