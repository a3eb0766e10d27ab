# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Stage::Offer do
  def sdp(*kinds) = (['v=0', 'o=- 1 2 IN IP4 127.0.0.1', 's=-', 't=0 0'] + kinds.map { |kind| "m=#{kind} 9 UDP/TLS/RTP/SAVPF 111" }).join("\r\n")

  it 'takes one sound and one picture' do
    [%w[audio], %w[audio video], %w[video]].each { |kinds| expect(described_class.check(sdp(*kinds))).to start_with('v=0') }
  end

  it 'takes nothing else' do
    [sdp, sdp('audio', 'audio'), sdp('video', 'audio', 'video'), sdp('application'), sdp('audio', 'message'), '', 'm=audio 9 RTP/AVP 0',
     "#{sdp('audio')}\r\n#{'a=x' * 8_000}", "#{sdp('audio')}\r\nnot a line", "#{sdp('audio')}\r\n\u0000"].each do |text|
      expect { described_class.check(text) }.to raise_error(Veranda::Core::Refusal) { |refusal| expect(refusal.code).to eq(:bad_input) }
    end
  end

  it 'knows whether the media server can be reached where it should be, and only there' do
    row = ->(address) { "a=candidate:1 1 udp 2015363327 #{address} 40123 typ host" }
    expect(described_class.at?("v=0\r\n#{row.call('10.255.83.1')}\r\n", '10.255.83.1')).to be(true)
    expect(described_class.at?("v=0\r\n#{row.call('10.255.83.1')}\r\n#{row.call('192.168.0.7')}\r\n", '10.255.83.1')).to be(false)
    expect(described_class.at?('v=0', '10.255.83.1')).to be(false)
  end
end

RSpec.describe Veranda::Stage::Candidate do
  it 'passes on what a browser says, and nothing besides' do
    said = { 'candidate' => 'candidate:1 1 udp 2113937151 a1b2.local 50000 typ host', 'sdpMid' => '0', 'sdpMLineIndex' => 0, 'usernameFragment' => 'x' }
    expect(described_class.check(said)).to eq(candidate: said['candidate'], sdpMid: '0', sdpMLineIndex: 0)
    expect([nil, {}, { 'candidate' => '' }].map { |facts| described_class.check(facts) }).to all(eq(completed: true))
  end

  it 'takes no other' do
    [{ 'candidate' => 7 }, { 'candidate' => 'x' * 401 }, { 'candidate' => "candidate:\r\nm=x" }, { 'candidate' => 'candidate:1', 'sdpMid' => '../' },
     { 'candidate' => 'candidate:1', 'sdpMLineIndex' => -1 }, { 'candidate' => 'candidate:1', 'sdpMLineIndex' => 'a' }].each do |facts|
      expect { described_class.check(facts) }.to raise_error(Veranda::Core::Refusal)
    end
  end
end
