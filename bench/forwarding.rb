# frozen_string_literal: true

require 'socket'

module Bench
  # What the media server costs for each sound and picture that it passes on, with seven who send and twenty who take all of it; none of
  # them is a browser, and nothing is encrypted. And how soon the last packet of somebody who is muted has come.
  class Forwarding
    SENDERS, LISTENERS = 7, 20
    SECONDS = 10
    MUTES = 10

    def initialize(media)
      @media = media
      @link = Veranda::Stage::Link.new(media.reach)
      @room = Veranda::Stage::Room.new(media.reach, 'bench', 'main')
      @ears = Array.new(LISTENERS) { UDPSocket.new.tap { |ear| ear.bind('127.0.0.1', 0) } }
    end

    def run
      Sync do |task|
        @connection = task.async { |child| @link.run(child) { |_| nil } }
        sleep 0.05 until @link.up?
        begin_sending
        alone = cost
        passed_on = pass_all_on
        taken = packets { @cost = cost }
        each = (@cost - alone) / passed_on
        Report.line('stage, CPU for each stream passed on', each, '% of a core', target: '≤ 0.11')
        Report.line("stage, #{passed_on} streams", @cost, '% of a core', baseline: alone)
        Report.line('stage, packets that came', taken / SECONDS, 'a second')
        Report.line('stage, muted until the last packet', muted, 'ms', target: '≤ 50')
      ensure
        @connection&.stop
        @sender&.kill
        @ears.each(&:close)
      end
    end

    private

    def begin_sending
      @session = @link.ask(janus: 'create').dig(:data, :id)
      @link.listen(@session) { |_| nil }
      @handle = Veranda::Stage::Handle.attach(@link, @session)
      Veranda::Workshop::Fonts.environment(folder)
      media = Veranda::StandIns::Media
      made = media::Made.new(folder, font: Dir[File.join(folder, 'fonts', '*latin-wght-normal.ttf')].min)
      program = media::Sender.new(made)
      streams = [Veranda::Stage::Plain::SOUND, Veranda::Stage::Plain::PICTURE]
      SENDERS.times do |i|
        ports = @room.receive(@handle, "sender#{i}", streams)
        program.hear(JSON.generate(play: "sender#{i}", ip: ports[:ip], port: ports[:port], initials: 'A', index: i, picture: true))
      end
      # Only the media server is counted.
      @sender = Thread.new { program.run }
      sleep 1
    end

    def folder = File.join(Veranda::Environment.var, 'stand-ins').tap { |path| FileUtils.mkdir_p(path) }

    # @return [Integer] streams that are passed on from now on
    def pass_all_on
      types = Veranda::Stage::Carrying::CODECS.values.map { |codec| codec[:pt] }
      @ears.each_with_index do |ear, i|
        SENDERS.times do |j|
          streams = types.each_with_index.map { |type, k| { mid: k.to_s, port: ear.addr[1], ssrc: 1 + i * 100 + j * 2 + k, pt: type } }
          @room.forward(@handle, "sender#{j}", '127.0.0.1', streams)
        end
      end
      SENDERS * LISTENERS * 2
    end

    # @return [Float] % of a core
    def cost
      before = ticks
      sleep SECONDS
      (ticks - before) * 100.0 / Etc.sysconf(Etc::SC_CLK_TCK) / SECONDS
    end

    def ticks = File.read("/proc/#{@media.pid}/stat").rpartition(')').last.split.values_at(11, 12).sum(&:to_i)

    # @return [Integer] that came to all meanwhile
    def packets
      drain
      counted = 0
      stop = false
      # Sockets hold less than comes in ten seconds.
      reader = Thread.new do
        until stop
          counted += drain
          sleep 0.01
        end
      end
      yield
      stop = true
      reader.join
      counted
    end

    def drain
      @ears.sum do |ear|
        count = 0
        count += 1 while ear.recvfrom_nonblock(2_000, exception: false) != :wait_readable
        count
      end
    end

    # @return [Float] ms, the longest of some times
    def muted
      times = Array.new(MUTES) do |i|
        ear = @ears.first
        wanted = 1 + 2 * (i % SENDERS)
        drain
        ear.wait_readable(1) or raise 'Nothing comes.'
        drain
        asked = now
        last = listening(ear, wanted) { @room.moderate(@handle, "sender#{i % SENDERS}", '0', true) }
        @room.moderate(@handle, "sender#{i % SENDERS}", '0', false)
        last ? [(last - asked) * 1_000, 0].max : 0
      end
      times.max
    end

    # @return [Float, nil] when the last packet of a source came
    def listening(ear, source)
      last = nil
      reader = Async do
        loop do
          packet, = ear.recvfrom(2_000)
          last = now if packet.unpack1('x8N') == source
        end
      end
      yield
      sleep 0.3
      last
    ensure
      reader&.stop
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
