# frozen_string_literal: true

# People in browsers who hear and see one another; wants `server`, `sitting` and `media`.
module OnStage
  # Machines here have no devices: all choose the simulated ones.
  def enter(who, pressed: true)
    session = browser(who, server)
    sign_in(session, who)
    watch(session)
    session.visit("#{server.address}/classes/#{sitting}")
    expect(session).to have_button('Microphone')
    # Browsers let a page be heard once something in it was pressed.
    session.find('h1').click if pressed
    session
  end

  # Keeps hold of the page's connections, so that it can be asked what comes over them.
  def watch(session)
    spoil(session)
    session.driver.browser.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: <<~JS)
      ['microphone', 'camera'].forEach((one) => localStorage.setItem(`veranda.${one}`, 'simulated'));
      window.connections = [];
      window.RTCPeerConnection = class extends RTCPeerConnection {
        constructor(...given) { super(...given); window.connections.push(this); }
      };
      window.WebSocket = class extends WebSocket {
        constructor(...given) { super(...given); window.tell = (facts) => this.send(JSON.stringify(facts));
            window.hangUp = () => this.close();
            window.say = (facts) => window.tell({ t: 'stage', ...facts }); }
      };
    JS
  end

  # Waits until what was recorded is whole.
  def until_playable
    told = lambda do
      [ARCHIVE.tracks.state(sitting), Dir.children(media.reach[:tracks]), ARCHIVE.db[:que_jobs].where(finished_at: nil).select_map(%i[job_class run_at error_count]), Worker.said]
    end
    until_true('it can be played', said: told) { ARCHIVE.tracks.state(sitting) == 'ready' }
  end

  # What has arrived at a page so far.
  # @return [Array<Hash>] `{ kind:, packets:, frames:, energy: }` of each that is sent to it
  def arrived(session)
    rows = session.evaluate_async_script(<<~JS)
      const done = arguments[0];
      Promise.all(window.connections.filter((one) => one.connectionState !== 'closed').map((one) => one.getStats())).then((all) =>
        done(all.flatMap((stats) => [...stats.values()].filter(({ type }) => type === 'inbound-rtp').map((row) => ({
          kind: row.kind, packets: row.packetsReceived, frames: row.framesDecoded ?? 0, energy: row.totalAudioEnergy ?? 0 })))));
    JS
    rows.map { |row| row.transform_keys(&:to_sym) }
  end

  def sum(session, kind, what) = arrived(session).select { |row| row[:kind] == kind }.sum { |row| row[what] }

  # Switches on what is given, by its button.
  def switch_on(session, *names)
    names.each { |name| session.click_button(name) }
    expect(session).to have_button('Mute') if names.include?('Microphone')
    expect(session).to have_button('Camera off') if names.include?('Camera')
  end

  def sounds(session) = arrived(session).select { |row| row[:kind] == 'audio' }
  def pictures(session) = arrived(session).select { |row| row[:kind] == 'video' && row[:frames] > 10 }
  def heard?(session) = sounds(session).any? { |row| row[:energy] > 0.001 }

  # @return [Integer] packets that come within a second
  def coming(session, kind)
    before = sum(session, kind, :packets)
    sleep 1
    sum(session, kind, :packets) - before
  end
end
