# frozen_string_literal: true

require 'tmpdir'

module Bench
  # Sound and picture: how fast what the media server wrote becomes playable, an hour of sound and an hour of a picture, each beside the
  # package's own program for it alone; what it costs to pass on ({Forwarding}); what people see ({Seen}), how far what is recorded
  # is off ({Beeps}) and how far clips are ({InStep}).
  class Stage < Measure
    SECONDS = 3_600
    # Bytes of a packet of sound, and of a picture of 400 kbit/s at 15 frames a second, in packets of that size.
    SOUND_BYTES = 80
    FRAMES = 15
    FRAME_PACKETS = 3
    PACKET_BYTES = 1_100

    def run
      playable
      media = Media.new
      Forwarding.new(media).run
      running = @server.new(more: media.told)
      klass = BusyClass.open(@archive)
      talked = BusyClass.open(@archive)
      Seen.new(running.address, talked, @crowd.cookies(2, talked.lesson)).run { |page| Beeps.new(@archive, talked).run(page) }
      InStep.new(@archive, running.address, klass, @crowd.cookies(InStep::BROWSERS, klass.lesson)).run
    ensure
      running&.stop
      media&.stop
    end

    private

    def playable
      Dir.mktmpdir do |dir|
        { 'sound' => sound(dir), 'picture' => picture(dir) }.each do |kind, path|
          alone = took { system('janus-pp-rec', path, File.join(dir, kind == 'sound' ? 'alone.opus' : 'alone.webm'), out: File::NULL, err: File::NULL) }
          ours = took { Veranda::Workshop::TrackFile.new(path, dir).call }
          Report.line("stage, an hour of #{kind} made playable", SECONDS / ours, '× real time', baseline: SECONDS / alone, target: '≥ 60')
        end
      end
    end

    def took
      from = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - from
    end

    def sound(dir)
      packets = Array.new(SECONDS * 50) { |i| packet(111, i, i * 960, i * 20, "\xFC".b + ("\x55".b * SOUND_BYTES)) }
      write(File.join(dir, 'sound.mjr'), { t: 'a', c: 'opus' }, packets)
    end

    # Frames of VP8 (RFC 7741) with nothing to be decoded in them: they are carried, not looked into.
    def picture(dir)
      write(File.join(dir, 'picture.mjr'), { t: 'v', c: 'vp8' }, Array.new(SECONDS * FRAMES) { |frame| frame(frame) }.flatten)
    end

    KEYFRAME = "\x10\x00\x00\x00\x9D\x01\x2A\x40\x01\xF0\x00".b
    private_constant :KEYFRAME

    def frame(number)
      Array.new(FRAME_PACKETS) do |part|
        first = part.zero?
        payload = (first ? "\x10".b : "\x00".b) + (first ? KEYFRAME : '') + ("\x33".b * PACKET_BYTES)
        last = part == FRAME_PACKETS - 1
        packet(96, number * FRAME_PACKETS + part, number * 90_000 / FRAMES, number * 1_000 / FRAMES, payload, marker: last)
      end
    end

    def packet(type, sequence, stamp, arrival, payload, marker: false)
      bytes = [0x80, type | (marker ? 0x80 : 0), sequence % 65_536, stamp % (1 << 32), 7].pack('CCnNN') + payload
      "MEET#{[arrival, bytes.length].pack('Nn')}".b + bytes
    end

    def write(path, about, packets)
      head = JSON.generate(about.merge(s: 1, u: 1_795_000_000_000_000))
      File.open(path, 'wb') do |file|
        file << "MJR00002#{[head.bytesize].pack('n')}".b << head.b
        packets.each { |packet| file << packet }
      end
      path
    end
  end
end
