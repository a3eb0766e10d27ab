# frozen_string_literal: true

require_relative '../spec_helper'
require 'tmpdir'

# Somebody calls the class, by the telephone that ships with the project.
RSpec.describe 'By telephone' do
  let(:media) { @media ||= Media.new }
  let(:server) { @server ||= Server.new(more: media.told) }
  let(:sitting) { fresh_class[:sitting] }
  let(:secret) { Veranda::Environment.telephone_secret }
  let(:code) { VisitorClient.new(server, as: 'odalys').get("/api/classes/#{sitting}").body['telephone'] }
  let(:voice) { Array.new(50) { |i| [0xfc, 0xff, i].pack('C*') } }

  after do
    @server&.stop
    @media&.stop
  end

  def phone = Veranda::StandIns::Phone.new(server.address, secret, voice: voice, says: ->(words) { said << words })
  def said = @said ||= []

  # Whether nothing comes for a second: what was on its way before is heard before.
  def silent?(phone, task)
    before = phone.heard.values.sum
    task.sleep(1)
    phone.heard.values.sum == before
  end

  def place = ARCHIVE.log.state("place/#{sitting}.main").first
  def seats = ARCHIVE.log.state("sitting/#{sitting}").first.seats

  it 'has a seat, a hand by a key and a voice that is stopped like anybody’s' do
    odalys = Wire.join(server, 'odalys', { sitting: sitting })
    odalys.say(t: 'stage', act: 'come')
    odalys.wait { |message| message['t'] == 'stage' && message['place'] }
    Sync do |task|
      one, other = phone, phone
      calls = [one, other].map { |each| task.async { each.call("#{code[0, 4]} #{code[4..]}") } }
      until_true('both are put through', said: -> { said }) { said.grep(/You are in the class/).length == 2 }
      expect(seats.values.map { |seat| [seat.name, seat.role] }).to include(['Telephone 1', 'guest'], ['Telephone 2', 'guest'])
      one.press('*')
      until_true('the hand is up', said: -> { said }) { place.hands.length == 1 }
      id = place.hands.first
      one.press('*')
      until_true('and down', said: -> { said }) { place.hands.empty? }
      expect(other.heard).to be_empty
      one.press('1')
      until_true('one hears the other', said: -> { said }) { other.heard.values.sum > 30 }
      expect(one.heard).to be_empty
      until_true('it is seen that they speak', said: -> { said }) { odalys.heard.any? { |message| message['t'] == 'voice' && message['on'] } }
      perform('odalys', 'class.mute', "place/#{sitting}.main")
      until_true('they are told', said: -> { said }) { said.any? { |words| words.include?('has muted you') } }
      until_true('nothing is heard any more', said: -> { said }) { silent?(other, task) }
      perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'speak', allow: false)
      2.times { one.press('1') }
      task.sleep(1)
      until_true('and nothing again', said: -> { said }) { silent?(other, task) }
      one.press('#')
      calls.first.wait
      until_true('the seat is free', said: -> { said }) { %w[left dropped].include?(seats[id].presence) }
      perform('odalys', 'class.end', "sitting/#{sitting}")
      other.press('#')
      task.with_timeout(Patience::SECONDS) { calls.each(&:wait) }
    ensure
      calls&.each(&:stop)
    end
    expect(server.errors).to eq([])
  end

  it 'takes calls from nothing else, codes of classes that go on alone, and not too many wrong ones' do
    visitor = VisitorClient.new(server)
    tried = ->(code, with) { visitor.post('/api/telephone', { code: code }, { 'X-Telephone' => with }.compact).then { |answer| [answer.status, answer.body['code']] } }
    expect([nil, '', 'x', "#{secret}x"].map { |with| tried.call(code, with).last }.uniq).to eq(['no_access'])
    wrong = code.tr('0-9', '1-90')
    expect(tried.call(wrong, secret)).to eq([404, 'no_such_code'])
    expect([nil, 7, {}, '', '9' * 99].map { |odd| tried.call(odd, secret).last }.uniq).to eq(['bad_input'])
    expect(VisitorClient.new(server, as: 'farah').get("/api/classes/#{sitting}").body).not_to have_key('telephone')
    perform('odalys', 'class.end', "sitting/#{sitting}")
    expect(tried.call(code, secret).last).to eq('no_such_code')
    expect(Array.new(60) { tried.call(wrong, secret).first }).to include(429)
  end

  it 'tells callers apart by name, however many call at once and whoever is sent off' do
    calls = -> { Array.new(6) { Thread.new { Veranda::Preparing::ByTelephone.new(ARCHIVE, secret).call(code)[:person] } }.map(&:value) }
    first = calls.call
    lesson = ARCHIVE.sittings.fetch(sitting)[:lesson_id]
    ARCHIVE.people.revoke(lesson, person_id: first.first)
    expect(ARCHIVE.people.names(first + calls.call).values).to match_array((1..12).map { |number| "Telephone #{number}" })
  end

  it 'sends nothing of the class to where a page wishes it that has not called' do
    ear = UDPSocket.new.tap { |one| one.bind('127.0.0.1', 0) }
    farah = Wire.join(server, 'farah', { sitting: sitting })
    farah.say(t: 'stage', act: 'come', telephone: ear.addr[1])
    farah.wait { |message| message['t'] == 'stage' && message['place'] }
    expect(farah.heard.map { |message| message['t'] }).not_to include('telephone')
    [80, 70_000, 'x', {}].each do |port|
      farah.heard.clear
      farah.say(t: 'stage', act: 'come', telephone: port)
      expect(farah.wait { |message| message['t'] == 'error' }['code']).to eq('bad_input')
    end
  end
end
