# frozen_string_literal: true

require_relative '../spec_helper'
require 'tmpdir'

# What the media server writes of sound and picture, also when it was cut off or somebody meddled with it.
RSpec.describe Veranda::Workshop::Mjr do
  around { |example| Dir.mktmpdir { |dir| (@dir = dir) && example.run } }

  HEAD = { t: 'a', c: 'opus', s: 1, u: 1_795_000_000_000_000 }.freeze

  def packet(arrival, sequence, stamp, body = "\xFC\xFF\xFE".b)
    bytes = [0x80, 111, sequence % 65_536, stamp % (1 << 32), 7].pack('CCnNN') + body
    "MEET#{[arrival, bytes.length].pack('Nn')}".b + bytes
  end

  def written(*packets, head: JSON.generate(HEAD), tail: '')
    path = File.join(@dir, 'in.mjr')
    File.binwrite(path, "MJR00002#{[head.bytesize].pack('n')}".b + head.b + packets.join.b + tail.b)
    path
  end

  def voice(count, gap_after: nil)
    Array.new(count) { |i| packet(i * 20 + (gap_after && i > gap_after ? 2_000 : 0), 65_500 + i, i * 960) }
  end

  it 'has packets in the order in which they were sent, whatever overtook what' do
    rows = voice(80)
    rows[10], rows[12] = rows[12], rows[10]
    taken = described_class.new(written(*rows))
    expect(taken.packets.map(&:stamp)).to eq(Array.new(80) { |i| i * 960 })
    expect(taken.began_at).to eq(1_795_000_000_000)
  end

  it 'goes as far as it was written' do
    whole = described_class.new(written(*voice(20), tail: 'MEET')).packets
    expect(whole.length).to eq(20)
    expect(described_class.new(written(*voice(20), tail: packet(400, 20, 19_200)[0..-2])).packets.length).to eq(20)
    expect(described_class.new(written(*voice(3), tail: "MEET#{[60, 65_535].pack('Nn')}")).packets.length).to eq(3)
  end

  it 'is empty where nothing was sent, and says so of what is none' do
    path = File.join(@dir, 'in.mjr')
    whole = File.binread(written)
    # As it is left by a media server that was killed, at any byte.
    (0...whole.bytesize).each do |length|
      File.binwrite(path, whole[0, length])
      expect(described_class.new(path)).to be_empty
    end
    expect([written, written(*voice(3))].map { |one| described_class.new(one).empty? }).to eq([true, true])
    File.binwrite(path, 'RIFF0000WAVE')
    expect { described_class.new(path) }.to raise_error(described_class::Damaged)
    expect { described_class.new(written(head: '{"t":')) }.to raise_error(described_class::Damaged)
    expect { described_class.new(written(*voice(3), head: '{"t":"d","u":5}')).retimed }.to raise_error(described_class::Damaged)
    expect { described_class.new(written(*voice(3), head: '{"t":"a"}')).began_at }.to raise_error(described_class::Damaged)
  end

  # RFC 7741, 4.2: no extension; X with I (15 bits), L, T; X with K and I (7 bits). Bit 0 of what follows is 0 where a picture is whole.
  it 'begins with a picture that can be seen by itself' do
    picture = ->(described, i, whole) { packet(i * 80, i, i * 7_200, (described + [whole ? 0x10 : 0x11, 0, 0]).pack('C*')) }
    [[0x10], [0x90, 0xE0, 0x81, 0x02, 0x03, 0x04], [0x90, 0x90, 0x05, 0x06]].each do |described|
      rows = Array.new(30) { |i| picture.call(described, i, i == 12) }
      taken = described_class.new(written(*rows, head: JSON.generate(HEAD.merge(t: 'v', c: 'vp8'))))
      expect(taken.packets.first.stamp).to eq(12 * 7_200)
      expect(taken.began_at).to eq(1_795_000_000_000 + 960)
    end
    never = Array.new(30) { |i| picture.call([0x10], i, false) }
    expect(described_class.new(written(*never, head: JSON.generate(HEAD.merge(t: 'v', c: 'vp8'))))).to be_empty
  end

  it 'says of nothing that it is whole, whatever it is' do
    rng = Random.new(RSpec.configuration.seed)
    2_000.times { expect(Veranda::Workshop::Vp8.whole?(rng.bytes(rng.rand(0..40)))).to be(true).or be(false) }
  end

  it 'becomes sound that every browser plays, as long as it was heard' do
    made = Veranda::Workshop::TrackFile.new(written(*voice(150, gap_after: 49)), @dir).call
    expect(made).to include(kind: 'sound', began_at: 1_795_000_000_000)
    # 3 s of packets, and 2 s in which the sender's clock stood still.
    expect(made[:length]).to be_within(60).of(5_000)
  end
end

RSpec.describe Veranda::Workshop::KeepTracks do
  let(:sitting) { fresh_class[:sitting] }

  around { |example| Dir.mktmpdir { |dir| (@folder = dir) && example.run } }

  it 'leaves what it cannot read, takes nothing of others, and tells that something is missing' do
    Veranda::Workshop::Work.open(ARCHIVE)
    own = "#{sitting}.main.farah.12-audio-0.mjr"
    [own, 'other.main.farah.12-audio-0.mjr', 'x.mjr'].each { |name| File.binwrite(File.join(@folder, name), 'no recording') }
    File.binwrite(File.join(@folder, "#{sitting}.main.nils.12-audio-0.mjr"), 'MJR00002')
    described_class.run(sitting, @folder)
    expect(ARCHIVE.tracks.state(sitting)).to eq('partly')
    expect(Dir.children(@folder)).to contain_exactly(own, 'other.main.farah.12-audio-0.mjr', 'x.mjr')
    expect(ARCHIVE.tracks.of(sitting)).to eq([])
  end
end
