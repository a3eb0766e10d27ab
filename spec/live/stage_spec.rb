# frozen_string_literal: true

require_relative '../spec_helper'

# What pages say of sound and picture, over real sockets to a real media server.
RSpec.describe 'Sound and picture' do
  let(:media) { @media ||= Media.new }
  let(:server) { @server ||= Server.new(more: media.told) }
  let(:sitting) { fresh_class[:sitting] }

  after do
    @server&.stop
    @media&.stop
  end

  def join(who, on: server) = Wire.join(on, who, { sitting: sitting })
  def stage(wire, act, **more) = wire.say(t: 'stage', act: act, **more)

  def refused(wire, act, **more)
    stage(wire, act, **more)
    wire.wait { |message| message['t'] == 'error' }['code']
  end

  # An offer of sound and picture as browsers make them; nothing is ever sent.
  def offer(*kinds)
    kinds.each_with_index.inject("v=0\r\no=- 1 2 IN IP4 127.0.0.1\r\ns=-\r\nt=0 0\r\na=group:BUNDLE #{kinds.each_index.to_a.join(' ')}\r\n") do |text, (kind, i)|
      type, codec = kind == 'audio' ? [111, 'opus/48000/2'] : [96, 'VP8/90000']
      "#{text}m=#{kind} 9 UDP/TLS/RTP/SAVPF #{type}\r\nc=IN IP4 0.0.0.0\r\na=ice-ufrag:abcd\r\na=ice-pwd:abcdefghijklmnopqrstuvwx\r\n" \
        "a=fingerprint:sha-256 #{(['AB'] * 32).join(':')}\r\na=setup:actpass\r\na=mid:#{i}\r\na=sendonly\r\na=rtcp-mux\r\na=rtpmap:#{type} #{codec}\r\n"
    end
  end

  it 'is there for those who ask for it, in the place where they are' do
    farah = join('farah')
    stage(farah, 'come')
    expect(farah.wait { |message| message['t'] == 'stage' && message['place'] }).to include('up' => true, 'place' => 'main', 'people' => [])
    stage(farah, 'send', sdp: offer('audio', 'video'))
    answer = farah.wait { |message| message['t'] == 'sending' }['sdp']
    expect(Veranda::Stage::Offer.at?(answer, media.reach[:address])).to be(true)
  end

  it 'takes nothing that is no part of it, and goes on after that' do
    farah = join('farah')
    expect(refused(farah, 'send', sdp: offer('audio'))).to eq('no_stage')
    stage(farah, 'come')
    farah.wait { |message| message['t'] == 'stage' && message['place'] }
    farah.heard.clear
    [['dance', {}], ['send', {}], ['send', { sdp: 'x' * 60_000 }], ['send', { sdp: offer('audio', 'audio') }], ['send', { sdp: "v=0\r\nm=audio" }],
     ['send', { sdp: 7 }], ['answer', { sdp: "v=0\r\n\u0000" }], ['candidate', { side: 'nowhere', with: {} }], ['candidate', { side: 'sending', with: 7 }],
     ['candidate', { side: 'sending', with: { candidate: { a: 1 } } }], ['switch', { switch: 'heart', on: true }],
     ['look_at', { people: ['a'] * 9 }], ['look_at', { people: [{}] }], ['overhear', { place: '../main' }], ['overhear', { place: {} }],
     ['link', { link: 'splendid' }], ['link', { link: 7 }]].each do |act, more|
      expect(refused(farah, act, **more)).to satisfy("for #{act} #{more.inspect[0, 60]}") { |code| %w[bad_input too_large stage_refused].include?(code) }
      farah.heard.clear
    end
    # Nothing to answer, to switch or to look at yet.
    stage(farah, 'answer', sdp: "v=0\r\n")
    stage(farah, 'switch', switch: 'camera', on: true)
    stage(farah, 'candidate', side: 'watching')
    stage(farah, 'link')
    30.times { stage(farah, 'anew') }
    stage(farah, 'send', sdp: offer('audio', 'video'))
    expect(farah.wait { |message| message['t'] == 'sending' }['sdp']).to start_with('v=0')
    expect(server.errors).to eq([])
  end

  it 'is not for those who wait, prepare, or look in unseen, nor where there is no media server' do
    lesson = ARCHIVE.sittings.fetch(sitting)[:lesson_id]
    without = [Wire.join(server, 'odalys', { lesson: lesson }), Wire.join(server, 'odalys', { sitting: sitting, unseen: true }),
               join('jonas', on: Server.shared)]
    without.each do |wire|
      stage(wire, 'come')
      expect(refused(wire, 'send', sdp: offer('audio'))).to eq('no_stage')
      # Nothing is said of it to those who go without.
      expect(wire.heard.count { |message| %w[error stage].include?(message['t']) }).to eq(1)
    end
  end

  it 'takes a screen from whoever shares one by the class, also when it comes too early, and from nobody else' do
    odalys, farah = %w[odalys farah].map { |who| join(who) }
    [odalys, farah].each do |wire|
      stage(wire, 'come')
      wire.wait { |message| message['t'] == 'stage' && message['place'] }
    end
    [farah, odalys].each { |wire| stage(wire, 'share', sdp: offer('video')) }
    sleep 0.5
    expect([odalys, farah].flat_map(&:heard).select { |message| message['t'] == 'sharing' }).to eq([])
    odalys.do('class.share_screen', "place/#{sitting}.main", on: true)
    expect(odalys.wait { |message| message['t'] == 'sharing' }['sdp']).to start_with('v=0')
    odalys.do('class.share_screen', "place/#{sitting}.main", on: false)
    odalys.heard.clear
    stage(odalys, 'share', sdp: offer('video'))
    sleep 0.5
    expect([odalys, farah].flat_map(&:heard).select { |message| message['t'] == 'sharing' }).to eq([])
  end

  it 'has nobody hear a room that they are not in, but for those who teach, where its plan opens its doors' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    [odalys, farah].each do |wire|
      stage(wire, 'come')
      wire.wait { |message| message['t'] == 'stage' && message['place'] }
    end
    closed, open = [false, true].map do |doors|
      rooms = VisitorClient.new(server, as: 'odalys')
      path = "/api/classes/#{sitting}/rooms"
      id = rooms.post(path, { plan: { by: 'rooms', number: 1, open_doors: doors }, name: 'Drill', step: 'one' }).body['activity']
      expect(rooms.post("#{path}/#{id}/open").status).to eq(200)
      place = ARCHIVE.log.state("sitting/#{sitting}").first.places.last[:id]
      sleep 0.5
      [odalys, farah].each { |wire| wire.heard.clear && stage(wire, 'overhear', place: place) }
      sleep 1
      heard = [odalys, farah].map { |wire| wire.heard.select { |message| message['t'] == 'stage' }.any? { |message| message['hears'] } }
      perform('odalys', 'rooms.time', "staff/#{sitting}", activity: id, rooms: [place], left: 0, grace: 0)
      jonas.wait { |message| message['kind'] == 'placed' && message.dig('body', 'place') == 'main' }
      jonas.heard.clear
      heard
    end
    expect([closed, open]).to eq([[false, false], [true, false]])
    # It has closed meanwhile.
    expect(odalys.wait { |message| message['t'] == 'stage' && message['hears'].nil? }).to include('place' => 'main')
  end

  it 'begins anew for a page that comes back, by a number that no beginning had before, and for one that asks again' do
    told = ->(wire) { wire.tap { stage(wire, 'come') }.wait { |message| message['t'] == 'stage' && message['place'] }['epoch'] }
    farah = join('farah')
    first = told[farah]
    farah.cut
    farah = join('farah')
    second = told[farah]
    # What was told afresh on the same line.
    farah.heard.clear
    expect([first, second, told[farah]].uniq.length).to eq(3)
    stage(farah, 'send', sdp: offer('audio'))
    farah.wait { |message| message['t'] == 'sending' }
    # Whose place another page has is told so again, and takes nothing back by that.
    other = join('farah')
    told[other]
    farah.wait { |message| message['t'] == 'stage' && message['says'] }
    farah.heard.clear
    stage(farah, 'come')
    expect(farah.wait { |message| message['t'] == 'stage' }).to include('place' => nil, 'says' => /another window/)
  end

  it 'goes where its person goes, and is one page’s at a time' do
    farah = join('farah')
    stage(farah, 'come')
    farah.wait { |message| message['t'] == 'stage' && message['place'] }
    second = join('farah')
    stage(second, 'come')
    second.wait { |message| message['t'] == 'stage' && message['place'] == 'main' }
    expect(farah.wait { |message| message['t'] == 'stage' && message['says'] }).to include('place' => nil, 'says' => /another window/)
    # What happens meanwhile gives it back to neither; asking for it does.
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'camera', allow: false)
    expect { second.wait(2) { |message| message['t'] == 'stage' && message['says'] } }.to raise_error(/Not heard/)
    stage(farah, 'anew')
    second.wait { |message| message['t'] == 'stage' && message['says'] }
    second.heard.clear
    stage(second, 'anew')
    back = second.wait { |message| message['t'] == 'stage' && message['place'] == 'main' }
    expect(back).to include('up' => true)
    odalys, = %w[odalys jonas].map { |who| join(who) }
    rooms = VisitorClient.new(server, as: 'odalys')
    path = "/api/classes/#{sitting}/rooms"
    plan = { by: 'rooms', number: 2, words: 'Listen.', minutes: 5, grace: 0 }
    id = rooms.post(path, { plan: plan, name: 'Drill', step: 'one' }).body['activity']
    expect(rooms.post("#{path}/#{id}/open").status).to eq(200)
    room = second.wait { |message| message['t'] == 'stage' && message['place'] && message['place'] != 'main' }
    expect(ARCHIVE.log.state("sitting/#{sitting}").first.seats['farah'].place).to eq(room['place'])
    odalys.do('class.end', "sitting/#{sitting}")
    second.wait { |message| message['t'] == 'stage' && message['place'].nil? && message['epoch'] > room['epoch'] }
  end

  it 'ends for whoever is sent out, and is one page’s also when another server process has it' do
    other = Server.new(more: media.told)
    farah = join('farah')
    stage(farah, 'come')
    farah.wait { |message| message['t'] == 'stage' && message['place'] }
    there = join('farah', on: other)
    stage(there, 'come')
    there.wait { |message| message['t'] == 'stage' && message['place'] == 'main' }
    farah.wait { |message| message['t'] == 'stage' && message['says'] }
    perform('odalys', 'class.send_to_wait', "sitting/#{sitting}", person: 'farah', place: 'main')
    there.wait { |message| message['t'] == 'stage' && message['place'].nil? }
    expect(refused(there, 'send', sdp: 'x')).to eq('bad_input')
    stage(there, 'send', sdp: offer('audio'))
    sleep 1
    expect(there.heard.map { |message| message['t'] }).not_to include('sending')
  ensure
    other&.stop
  end
end
