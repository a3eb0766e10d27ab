# frozen_string_literal: true

module Bench
  # What people in browsers see of one another: how soon after coming the first picture is there, and how long it is on its way, each beside
  # two connections of one page that speak to one another with nothing in between.
  class Seen
    TIMES = 10
    FLIPS = 16
    LIMIT = 40

    # When it said that it comes, and when the first picture of somebody else was painted.
    WATCHED = <<~JS
      window.connections = [];
      window.RTCPeerConnection = class extends RTCPeerConnection {
        constructor(...given) { super(...given); window.connections.push(this); }
      };
      const send = WebSocket.prototype.send;
      WebSocket.prototype.send = function (text) {
        if (typeof text === 'string' && text.includes('"act":"come"')) window.came ??= performance.now();
        return send.call(this, text);
      };
      new MutationObserver(() => document.querySelectorAll('video').forEach((video) => {
        if (video.seen) return;
        video.seen = true;
        video.requestVideoFrameCallback(() => (window.painted ??= performance.now()));
      })).observe(document, { childList: true, subtree: true });
    JS

    # The same between two connections of one page.
    CALL = <<~JS
      window.call = async (frames) => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 320, height: 240 });
        const pen = canvas.getContext('2d');
        setInterval(() => { pen.fillStyle = window.white ? '#fff' : '#000'; pen.fillRect(0, 0, 320, 240); }, 20);
        const [here, there] = [new RTCPeerConnection(), new RTCPeerConnection()];
        const from = performance.now();
        here.onicecandidate = ({ candidate }) => candidate && there.addIceCandidate(candidate);
        there.onicecandidate = ({ candidate }) => candidate && here.addIceCandidate(candidate);
        const video = Object.assign(document.createElement('video'), { muted: true, autoplay: true });
        // Browsers hold back what is not to be seen.
        video.style = 'position: fixed; top: 0; left: 0; width: 160px; z-index: 9999';
        document.body.append(video);
        const painted = new Promise((done) => video.requestVideoFrameCallback(() => done(performance.now())));
        there.ontrack = ({ track }) => (video.srcObject = new MediaStream([track]));
        here.addTrack(canvas.captureStream(frames).getVideoTracks()[0]);
        await here.setLocalDescription();
        await there.setRemoteDescription(here.localDescription);
        await there.setLocalDescription();
        await here.setRemoteDescription(there.localDescription);
        window.bare = video;
        return (await painted) - from;
      };
    JS

    # Turns what it sends white and black, and says when.
    FLIP = <<~JS
      window.flip = () => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 320, height: 240 });
        const pen = canvas.getContext('2d');
        window.flips = [];
        let white = false;
        setInterval(() => { pen.fillStyle = white ? '#fff' : '#000'; pen.fillRect(0, 0, 320, 240); }, 20);
        setInterval(() => { white = !white; window.white = white; window.flips.push(Date.now()); }, 700);
        const sender = window.connections.flatMap((one) => one.getSenders()).find(({ track }) => track?.kind === 'video');
        return sender?.replaceTrack(canvas.captureStream(30).getVideoTracks()[0]);
      };
    JS

    # Looks at each picture that is painted, and says when it turned.
    SEE = <<~JS
      window.see = (video) => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 4, height: 4 });
        const pen = canvas.getContext('2d', { willReadFrequently: true });
        const turned = [];
        let white = null;
        const look = () => {
          pen.drawImage(video, 0, 0, 4, 4);
          const now = pen.getImageData(1, 1, 1, 1).data[0] > 128;
          if (white !== null && now !== white) turned.push(Date.now());
          white = now;
          video.requestVideoFrameCallback(look);
        };
        video.requestVideoFrameCallback(look);
        return turned;
      };
    JS

    # @param address [String] of the server
    # @param klass [BusyClass]
    # @param cookies [Array<String>] of two people in it
    def initialize(address, klass, cookies)
      @address = address
      @klass = klass
      @cookies = cookies
    end

    # @yield [Selenium::WebDriver::Driver] a page whose microphone is on, at the end
    def run
      sending, watching = @cookies.map { |cookie| page_of(cookie) }
      press(sending, 'Camera')
      firsts = Array.new(TIMES) { first(watching) }.compact
      bare = Array.new(TIMES) { watching.execute_async_script("#{CALL}; window.call(12).then(arguments[0])") }
      Report.line('stage, first picture after coming', middle(firsts), 'ms', baseline: middle(bare), target: '≤ 2×')
      delays(sending, watching)
      return unless block_given?

      go(sending)
      press(sending, 'Microphone', 'Mute')
      yield sending
    ensure
      [sending, watching].each { |driver| driver&.quit }
    end

    private

    def middle(values) = Report.percentile(values, 0.5)

    def page_of(cookie)
      driver = Browser.open(@address, cookie)
      driver.manage.timeouts.script_timeout = LIMIT
      driver.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: WATCHED)
      driver.get("#{@address}/boards")
      driver.execute_script("['microphone', 'camera'].forEach((one) => localStorage.setItem(`veranda.${one}`, 'simulated'))")
      go(driver)
      driver
    end

    def go(driver)
      driver.get("#{@address}/classes/#{@klass.sitting}")
      until_true { button(driver, 'Camera') || button(driver, 'Camera off') }
    end

    def button(driver, name) = driver.find_elements(css: 'button').find { |one| one.text == name }

    def press(driver, name, then_named = "#{name} off")
      button(driver, name).click
      until_true { button(driver, then_named) }
    end

    def until_true
      (LIMIT * 5).times { yield ? return : sleep(0.2) }
      raise 'A page of the class did not come to be.'
    end

    # @return [Float] ms
    def first(driver)
      go(driver)
      until_true { driver.execute_script('return window.painted !== undefined') }
      driver.execute_script('return window.painted - window.came')
    end

    def delays(sending, watching)
      watching.execute_script("#{SEE}; window.turned = window.see(document.querySelector('video'))")
      sending.execute_script("#{FLIP}; window.flip()")
      sleep FLIPS * 0.7 + 2
      flips, turned = sending.execute_script('return window.flips'), watching.execute_script('return window.turned')
      sending.get('about:blank')
      watching.execute_async_script('window.call(30).then(arguments[0])')
      watching.execute_script("#{SEE}; window.flips = []; window.turned = window.see(window.bare); " \
                              'setInterval(() => { window.white = !window.white; window.flips.push(Date.now()); }, 700)')
      sleep FLIPS * 0.7 + 2
      bare = on_the_way(*watching.execute_script('return [window.flips, window.turned]'))
      Report.line('stage, a picture on its way', on_the_way(flips, turned), 'ms', baseline: bare)
    end

    # ms, the middle, between each turn and the first that was seen after it.
    def on_the_way(flips, turned)
      middle(flips.filter_map { |at| turned.find { |seen| seen >= at }&.-(at) }.select { |ms| ms < 700 })
    end
  end
end
