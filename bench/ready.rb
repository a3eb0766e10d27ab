# frozen_string_literal: true

require 'fileutils'

module Bench
  # After a class of an hour with 4,000 entries and two voices: how soon it can be watched, and how soon it is heard.
  class Ready < Measure
    ENTRIES = 4_000
    MINUTES = 60
    # Of a voice in Opus: ms of a packet, ticks of it, and bytes, most of them noise.
    PACKET = 20
    TICKS = 960
    BYTES = 80

    def run
      @klass = BusyClass.new(@archive, began: BusyClass.now)
      @klass.live_through(ENTRIES, MINUTES)
      server = @server.new
      cookie = @crowd.cookie('odalys')
      path = "/api/recordings/#{@klass.sitting}"
      watchable = elapsed do
        @klass.finish
        ['', '/at?t=0', '/entries?from=0&to=120000'].each { |more| fetch(server, path + more, cookie) }
      end
      Report.line('watchable after the class', watchable / 1000, 's', target: '≤ 5')
      heard
    ensure
      server&.stop
    end

    private

    def heard
      folder = File.join(@archive.files.scratch, 'ready')
      FileUtils.mkdir_p(folder)
      2.times { |i| voice(folder, "voice#{i}") }
      Veranda::Workshop::Work.open(@archive)
      took = elapsed { Veranda::Workshop::KeepTracks.run(@klass.sitting, folder) }
      Report.line('two voices made playable', 2 * MINUTES * 60_000 / took, '× real time', target: '≥ 60')
      took = elapsed { Veranda::Workshop::MeasureTracks.run(@klass.sitting) }
      Report.line('how loud they are, afterwards', 2 * MINUTES * 60_000 / took, '× real time')
    end

    # What the media server writes, see {Veranda::Workshop::Mjr}: a tone as Opus has it, packet by packet.
    def voice(folder, person)
      began = @archive.sittings.state(@klass.sitting).stretches.first[:from]
      take = Veranda::Core::Recordings::Take.new(sitting: @klass.sitting, place: 'main', person: person, since: began)
      head = JSON.generate(t: 'a', c: 'opus', s: began * 1000, u: began * 1000)
      rng = Random.new(1)
      File.open(File.join(folder, "#{take.name}-audio-0.mjr"), 'wb') do |file|
        file.write('MJR00002', [head.bytesize].pack('n'), head)
        (MINUTES * 60_000 / PACKET).times do |i|
          # A frame of 20 ms in the hybrid mode (RFC 6716, 3.1), with whatever in it.
          bytes = [0x80, 111, i % 65_536, (i * TICKS) % (1 << 32), 7].pack('CCnNN') + "\x78".b + rng.bytes(BYTES)
          file.write('MEET', [i * PACKET, bytes.length].pack('Nn'), bytes)
        end
      end
    end
  end
end
