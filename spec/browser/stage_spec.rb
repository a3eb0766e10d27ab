# frozen_string_literal: true

require_relative '../spec_helper'

# Sound and picture in real browsers, over a media server of its own.
RSpec.describe 'The stage', type: :journey do
  include Browsers
  include OnStage

  let(:media) { @media ||= Media.new }
  let(:server) { @server ||= Server.new(more: media.told) }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }

  after do
    close_browsers
    @server&.stop
    @media&.stop
  end

  check = File.read(File.join(__dir__, '../support/layout.js'))
  define_method(:fits) do |what, session, width|
    settle(session)
    expect(session.evaluate_script("(#{check})(#{width}, #{width < 900})").map { |words| "#{what}: #{words}" }).to eq([])
    expect_accessible(session)
  end

  def phone(session)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: true)
    expect(session).to have_button('Exchange')
  end

  it 'lets three people hear and see each other, and whoever comes late' do
    %w[hana gethin].each { |who| Wire.join(server, who, { sitting: sitting }) }
    odalys, farah, jonas = %i[odalys farah jonas].map { |who| enter(who) }
    [odalys, farah].each { |session| fits('the low bench', session, 1280) }
    [odalys, farah, jonas].each { |session| switch_on(session, 'Microphone', 'Camera') }
    nils = enter(:nils, pressed: false)
    nils.click_button('Let me hear the class')
    [odalys, farah, jonas, nils].each do |session|
      others = session == nils ? 3 : 2
      until_true("#{others} sounds come, #{session == nils} #{arrived(session)}") { heard?(session) && sounds(session).length == others }
      until_true("#{others} pictures come") { pictures(session).length == others }
      expect(session).to have_css('video', count: 3)
      expect(errors(session)).to eq([])
    end
    expect(nils).to have_css('[data-testid=seat-farah]', text: 'speaks')
    fits('the tall bench', odalys, 1280)
    phone(nils)
    fits('the stage on a phone', nils, 390)
    nils.execute_script("localStorage.removeItem('veranda.camera')")
    nils.click_button('Camera')
    expect(nils).to have_text('No camera was found.')
    expect_accessible(nils)
    nils.click_button('Go on without')
    expect(nils).to have_no_text('No camera was found.')
    odalys.click_button('Camera off')
    expect(nils).to have_css('video', count: 2)
    # Whoever's picture it is, is made large by a press on their seat.
    nils.find('[data-testid=seat-farah]').click
    expect(nils).to have_css('aside[aria-label="Farah Lindqvist, large"] video')
    nils.click_button('Put Farah away')
    odalys.find('[data-testid=seat-jonas]').click
    odalys.click_button('Make Jonas large for all')
    [farah, nils].each { |session| expect(session).to have_css('aside[aria-label^="Jonas"] video') }
    nils.click_button('Put Jonas away')
    expect(farah).to have_css('aside[aria-label^="Jonas"] video')
    odalys.find('[data-testid=seat-jonas]').click
    odalys.click_button('Make Jonas small again')
    expect(farah).to have_no_css('aside[aria-label^="Jonas"]')
    # What a page says of its connection, those who teach are told, and fewer pictures come.
    nils.execute_script("window.say({ act: 'link', link: 'weak' })")
    expect(odalys).to have_css('[data-testid=seat-nils]', text: 'weak link')
    expect(farah).to have_no_css('[data-testid=seat-nils]', text: 'weak link')
    until_true('two pictures at most come') { coming(nils, 'video').positive? && arrived(nils).count { |row| row[:kind] == 'video' } <= 3 }
    nils.execute_script("window.say({ act: 'link', link: 'good' })")
    expect(odalys).to have_no_css('[data-testid=seat-nils]', text: 'weak link')
    nils.click_button('Devices')
    fits('the check of devices on a phone', nils, 390)
    nils.find('label', text: 'Sound only').click
    until_true('sound comes and no picture') { coming(nils, 'video').zero? && coming(nils, 'audio').positive? }
    nils.find('label', text: 'Sound only').click
    until_true('pictures come again') { coming(nils, 'video').positive? }
  end

  it 'stops at the media server what somebody may not send, whatever their page does' do
    odalys, farah = %i[odalys farah].map { |who| enter(who) }
    switch_on(farah, 'Microphone', 'Camera')
    until_true('she is heard and seen') { heard?(odalys) && pictures(odalys).any? }
    %w[speak camera].each { |right| perform('odalys', 'class.rule', "place/#{sitting}.main", right: right, allow: false) }
    until_true('nothing comes any more') { coming(odalys, 'audio').zero? && coming(odalys, 'video').zero? }
    expect(farah).to have_button('Microphone', disabled: true).and have_button('Camera', disabled: true)
    # Her page goes on sending, says that all is switched on, and begins anew.
    farah.execute_script(tampering)
    expect(coming(odalys, 'audio') + coming(odalys, 'video')).to eq(0)
    sent = farah.evaluate_async_script(sending)
    expect(sent).to be > 10
    farah.execute_script("window.say({ act: 'anew' })")
    sleep 1
    expect(coming(odalys, 'audio') + coming(odalys, 'video')).to eq(0)
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'speak', allow: true)
    expect(coming(odalys, 'audio')).to eq(0)
    farah.click_button('Microphone')
    until_true('she is heard again') { coming(odalys, 'audio') > 10 }
  end

  it 'lets staff mute one or all, and asks somebody to speak, who does so only if they agree' do
    odalys, farah = %i[odalys farah].map { |who| enter(who) }
    switch_on(farah, 'Microphone')
    until_true('she is heard') { heard?(odalys) }
    odalys.find('[data-testid=seat-farah]').click
    expect(odalys).to have_css('[role=dialog]', text: 'Change others’ marks')
    expect_accessible(odalys)
    odalys.click_button('Mute Farah')
    expect(farah).to have_text('Odalys muted you.').and have_button('Microphone')
    until_true('nothing comes any more') { coming(odalys, 'audio').zero? }
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'speak', allow: false)
    expect(farah).to have_button('Microphone', disabled: true)
    odalys.find('[data-testid=seat-farah]').click
    odalys.click_button('Invite Farah to speak')
    expect(farah).to have_text('Odalys invites you to speak.')
    fits('an invitation', farah, 1280)
    expect(coming(odalys, 'audio')).to eq(0)
    farah.click_button('Switch my microphone on')
    until_true('she is heard again') { coming(odalys, 'audio') > 10 }
    odalys.click_button('Mute all students')
    expect(farah).to have_button('Microphone')
    until_true('nothing comes any more') { coming(odalys, 'audio').zero? }
    # Held, the key opens it; let go of, it is off.
    keys = farah.driver.browser.action
    farah.find('h1').click
    keys.key_down('m').perform
    until_true('she is heard while she holds it') { coming(odalys, 'audio') > 10 }
    keys.key_up('m').perform
    until_true('and not after that') { coming(odalys, 'audio').zero? }
    [odalys, farah].each { |session| expect(errors(session)).to eq([]) }
  end

  it 'shares a screen with everybody, which is paused, drawn on, taken over and ended' do
    Worker.shared
    odalys, farah = %i[odalys farah].map { |who| enter(who) }
    [odalys, farah].each { |session| session.execute_script("localStorage.setItem('veranda.screen', 'simulated')") }
    odalys.refresh
    expect(odalys).to have_button('Share')
    # Students may not, unless they are allowed to.
    farah.refresh
    expect(farah).to have_button('Share', disabled: true)
    odalys.click_button('Share')
    expect(farah).to have_css('[aria-label="Picture of the screen of Odalys Brandt"]')
    until_true('it moves') { screen_width(farah) == 1280 }
    [odalys, farah].each { |session| fits('a shared screen', session, 1280) }
    odalys.click_button('Pause')
    expect(farah).to have_text('Odalys shares a screen, paused.')
    odalys.click_button('Go on')
    farah.click_button('Look at the board')
    expect(farah).to have_no_css('[aria-label^="Picture of the screen"]')
    farah.click_button('Look at the screen')
    odalys.click_button('Draw on this moment')
    until_true('a board was made of it') { ARCHIVE.lessons.boards(made[:lesson]).any? { |board| board[:name].start_with?('Screen, ') } }
    expect(farah).to have_no_css('[aria-label^="Picture of the screen"]')
    odalys.click_button('Bring it in front again')
    expect(farah).to have_css('[aria-label^="Picture of the screen"]')
    # The tampered page of somebody who does not share offers a screen all the same.
    farah.execute_script("window.say({ act: 'share', sdp: 'v=0\\r\\nm=video 9 UDP/TLS/RTP/SAVPF 96\\r\\n' })")
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'share', allow: true)
    expect(farah).to have_button('Share')
    farah.click_button('Share')
    expect(farah).to have_text('Odalys Brandt shares a screen. Yours can be shared once that is over.')
    odalys.all(:button, 'End the share').first.click
    expect(farah).to have_no_text('shares a screen.')
    farah.click_button('Share')
    expect(odalys).to have_css('[aria-label="Picture of the screen of Farah Lindqvist"]')
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'share', allow: false)
    until_true('nothing of it comes any more') { coming(odalys, 'video').zero? }
    odalys.click_button('End it')
    expect(farah).to have_no_text('You share a screen')
    [odalys, farah].each { |session| expect(errors(session)).to eq([]) }
  end

  def screen_width(session) = session.evaluate_script("document.querySelector('[aria-label^=\"Picture of the screen\"]')?.videoWidth")

  it 'is away when the media server dies, and back without a reload' do
    odalys, farah = %i[odalys farah].map { |who| enter(who) }
    switch_on(farah, 'Microphone', 'Camera')
    until_true('she is heard and seen') { heard?(odalys) && pictures(odalys).any? }
    media.kill
    expect(odalys).to have_text('No sound and picture just now.').or have_button('Microphone')
    perform('farah', 'exchange.post', "exchange/#{sitting}.main", id: 'p1', text: 'Still here')
    expect(odalys).to have_text('Still here')
    until_true('she is heard and seen again') { coming(odalys, 'audio') > 10 && coming(odalys, 'video') > 5 }
    expect(farah).to have_button('Mute')
  end

  it 'is heard and seen again after the live socket was closed, whoever’s it was' do
    Worker.shared
    odalys, farah = %i[odalys farah].map { |who| enter(who) }
    odalys.execute_script("localStorage.setItem('veranda.screen', 'simulated')")
    odalys.refresh
    odalys.find('h1').click
    switch_on(farah, 'Microphone', 'Camera')
    switch_on(odalys, 'Microphone')
    odalys.click_button('Share')
    hears = ->(session, pictures) { coming(session, 'audio') > 10 && coming(session, 'video') > 5 && self.pictures(session).length == pictures }
    until_true('both are heard and seen') { hears[odalys, 1] && hears[farah, 1] }
    [farah, odalys, farah].each do |session|
      before = session.evaluate_script('window.connections.length')
      session.execute_script('window.hangUp()')
      until_true('it has begun anew') { session.evaluate_script('window.connections.length') > before }
      until_true('both are heard and seen again') { hears[odalys, 1] && hears[farah, 1] }
    end
    expect(farah).to have_button('Mute').and have_button('Camera off')
  end

  it 'goes along into rooms, each of which hears only its own' do
    %w[nils hana].each { |who| Wire.join(server, who, { sitting: sitting }) }
    farah, jonas = %i[farah jonas].map { |who| enter(who).tap { |session| switch_on(session, 'Microphone') } }
    until_true('they hear each other') { heard?(farah) && heard?(jonas) }
    staff = VisitorClient.new(server, as: 'odalys')
    path = "/api/classes/#{sitting}/rooms"
    id = staff.post(path, { plan: { by: 'rooms', number: 2, words: 'Listen.', minutes: 5, grace: 0 }, name: 'Drill', step: 'one' }).body['activity']
    rooms = ARCHIVE.log.state("staff/#{sitting}").first.activities[id][:rooms].map { |room| room[:id] }
    moves = %w[farah jonas].zip(rooms).map { |who, room| { person: who, room: room } }
    perform('odalys', 'rooms.assign', "staff/#{sitting}", activity: id, moves: moves)
    expect(staff.post("#{path}/#{id}/open").status).to eq(200)
    [farah, jonas].each do |session|
      expect(session).to have_text('Listen.')
      expect(session).to have_button('Mute')
      until_true('nobody else is heard') { coming(session, 'audio').zero? }
    end
    perform('odalys', 'rooms.time', "staff/#{sitting}", activity: id, rooms: rooms, left: 0, grace: 0)
    [farah, jonas].each { |session| until_true('they hear each other again') { coming(session, 'audio') > 10 } }
  end

  # What a page could do that somebody has changed.
  def tampering
    <<~JS
      const voice = () => { const context = new AudioContext(); const out = context.createMediaStreamDestination();
        const tone = context.createOscillator(); tone.connect(out); tone.start(); return out.stream.getAudioTracks()[0]; };
      window.connections.filter((one) => one.connectionState === 'connected').forEach((one) =>
        one.getSenders().filter(({ track, transport }) => transport && !track).slice(0, 1).forEach((sender) => sender.replaceTrack(voice()).catch(() => {})));
      ['microphone', 'camera'].forEach((one) => window.say({ act: 'switch', switch: one, on: true }));
    JS
  end

  # How many packets a page has sent within a second.
  def sending
    <<~JS
      const done = arguments[0];
      const sent = async () => (await Promise.all(window.connections.map((one) => one.getStats()))).flatMap((stats) => [...stats.values()])
        .filter(({ type }) => type === 'outbound-rtp').reduce((sum, row) => sum + row.packetsSent, 0);
      sent().then((before) => setTimeout(() => sent().then((after) => done(after - before)), 1000));
    JS
  end
end
