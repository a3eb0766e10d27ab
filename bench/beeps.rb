# frozen_string_literal: true

require 'open3'

module Bench
  # How far a beep on each full second lies from the second in what was recorded and made playable, by the class's clock.
  class Beeps
    COUNT = 8
    LIMIT = 60
    RATE = 8_000
    LOUD = 0.05

    # Silent but for a tone of 200 ms at each full second.
    ON_THE_SECOND = <<~JS
      const context = new AudioContext();
      const tone = context.createOscillator();
      const loudness = context.createGain();
      const out = context.createMediaStreamDestination();
      loudness.gain.value = 0;
      tone.connect(loudness).connect(out);
      tone.start();
      setInterval(() => (loudness.gain.value = Date.now() % 1000 < 200 ? 1 : 0), 2);
      const sender = window.connections.flatMap((one) => one.getSenders()).find(({ track }) => track?.kind === 'audio');
      return sender.replaceTrack(out.stream.getAudioTracks()[0]);
    JS

    # @param archive [Veranda::Store::Archive]
    # @param klass [BusyClass] in which nothing was recorded yet; it is ended
    def initialize(archive, klass)
      @archive = archive
      @klass = klass
    end

    # @param driver [Selenium::WebDriver::Driver] a page of the class whose microphone is on
    def run(driver)
      driver.execute_script(ON_THE_SECOND)
      sleep 1
      record(true)
      sleep COUNT + 1
      record(false)
      @klass.finish
      off = rises(track).map { |at| (at + 500) % 1_000 - 500 }
      raise "#{off.length} beeps were recorded, of #{COUNT}." if off.length < COUNT

      Report.line('stage, a beep off its second, worst', off.map(&:abs).max, 'ms', target: '≤ 50')
    end

    private

    def record(on)
      by = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      Veranda::Deciding::Perform.call(@archive.log, 'class.record', { on: on }, stream: "sitting/#{@klass.sitting}", by: by,
                                                                                at: BusyClass.now, sitting: @klass.sitting)
    end

    def track
      (LIMIT * 5).times { @archive.tracks.state(@klass.sitting) == 'ready' ? break : sleep(0.2) }
      @archive.tracks.of(@klass.sitting).find { |one| one[:kind] == 'sound' } or raise 'Nothing was recorded.'
    end

    # @return [Array<Float>] ms since the epoch at which it became loud
    def rises(track)
      raw, = Open3.capture2('ffmpeg', '-v', 'error', '-i', @archive.files.path(track[:file]), '-af', 'aresample=async=1:first_pts=0',
                            '-ac', '1', '-ar', RATE.to_s, '-f', 'f32le', '-', binmode: true)
      before = -RATE
      raw.unpack('e*').each_with_index.filter_map do |value, i|
        next if value.abs < LOUD

        quiet = i - before
        before = i
        # One that sounded already as the recording began says nothing.
        track[:began_at] + i * 1000.0 / RATE if quiet > RATE / 2 && i > RATE / 2
      end
    end
  end
end
