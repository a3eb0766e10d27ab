# frozen_string_literal: true

require 'fileutils'
require 'zlib'

module Bench
  # Films of ten minutes of a busy class, by how many times faster than the class itself they are made: a board with four voices in one
  # format and in both, beside a class, with somebody seen, and with a screen that moves.
  class Export < Measure
    MINUTES = 10
    ENTRIES = 1_600
    VOICES = 4
    MS = MINUTES * BusyClass::MINUTE

    def run
      @klass = BusyClass.new(@archive, began: BusyClass.now)
      @klass.live_through(ENTRIES, MINUTES)
      @klass.finish
      @began = @archive.sittings.state(@klass.sitting).stretches.first[:from]
      VOICES.times { |i| keep("voice#{i}", 'sound', ['-f', 'lavfi', '-i', "anoisesrc=color=pink:amplitude=0.2:seed=#{i}"], %w[-c:a libopus -b:a 32k]) }
      board
      Polite.new(@archive, @server).call(plan(%w[webm]))
      keep('odalys', 'picture', ['-f', 'lavfi', '-i', 'testsrc2=size=320x180:rate=15'], %w[-c:v libvpx -deadline realtime -cpu-used 8 -b:v 300k -g 120])
      measure('with a camera', %w[webm], '≥ 3, aim 7')
      keep('odalys--screen', 'screen', ['-f', 'lavfi', '-i', 'testsrc2=size=1280x720:rate=15'], %w[-c:v libvpx -deadline realtime -cpu-used 8 -b:v 1500k -g 120])
      measure('with a moving screen', %w[webm], '≥ 2, aim 4') { |plan| sharing(plan) }
      Drift.new(@archive, @server).run
    end

    private

    def board
      one = measure('board and sound, WebM', %w[webm], '≥ 8, aim 14')
      Report.line('its size', one['webm'] / 1e6, 'MB', target: '≤ 12, aim 6')
      watched
      measure('board and sound, MP4', %w[mp4], '≥ 8, aim 14')
      measure('board and sound, both', %w[webm mp4], '≥ 5, aim 10')
      measure('board and sound, one at a time', %w[webm], '≥ 3, aim 6', lanes: 1)
    end

    # All that a player asks for to watch the boards, beside a video of them as it would be streamed.
    def watched
      recording = @archive.recordings.recording(@archive.recordings.fetch(@klass.sitting))
      replay = Veranda::Store::Replay.new(@archive.log, @klass.sitting, recording)
      asked = (0...MS).step(120_000).map { |from| replay.between(from, [from + 120_000, MS].min) }
      bytes = Zlib.gzip(JSON.generate([replay.at(0), asked])).bytesize
      small = File.join(@archive.files.scratch, 'small.webm')
      system('ffmpeg', '-v', 'error', '-y', '-i', File.join(folder, 'film.webm'), '-vf', 'scale=-2:480', '-an',
             '-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-cpu-used', '8', '-crf', '32', '-b:v', '0', small, exception: true)
      Report.line('to watch its boards, gzipped', bytes / 1e6, 'MB', baseline: File.size(small) / 1e6)
    end

    def keep(person, kind, source, codec)
      path = File.join(@archive.files.scratch, "#{person}-#{kind}.webm")
      system('ffmpeg', '-v', 'error', '-y', *source, '-t', (MINUTES * 60).to_s, *codec, path, exception: true)
      take = Veranda::Core::Recordings::Take.new(sitting: @klass.sitting, place: 'main', person: person, since: @began)
      @archive.tracks.add(take, name: "#{take.name}-#{kind}", path: path, kind: kind, began_at: @began, length: MS)
      @archive.tracks.report(@klass.sitting, 'ready')
    end

    # The screen lies over the board for all of the time.
    def sharing(plan)
      screen = plan[:inlays].first.merge(place: 'paper', path: @archive.files.path(screen_track[:file]))
      plan.merge(inlays: [screen], layout: { people: false, captions: false }, names: [])
    end

    def screen_track = @archive.tracks.of(@klass.sitting).find { |track| track[:kind] == 'screen' }

    def folder = File.join(@archive.files.scratch, 'exports', 'bench')

    # @return [Hash{String => Integer}] bytes by format
    def measure(name, formats, target, lanes: 2)
      FileUtils.rm_rf(folder)
      plan = plan(formats)
      plan = yield plan if block_given?
      work = Veranda::Workshop::Film::Work.new(folder, fonts: Veranda::Workshop::Fonts.environment(@archive.files.scratch), lanes: -> { lanes },
                                                       told: ->(_) { true })
      made, cpu = nil
      took = elapsed do
        before = children
        made = work.call(plan)
        cpu = children - before
      end
      Report.line(name, plan[:length] / took, '× real time', target: target)
      Report.line('  of one core', plan[:length] / 1000 / cpu, '× real time')
      made.transform_values { |path| File.size(path) }
    end

    # s of CPU that programs took which were waited for.
    def children = Process.times.then { |times| times.cutime + times.cstime }

    def plan(formats)
      recording = @archive.recordings.recording(@archive.recordings.fetch(@klass.sitting), captions: true)
      replay = Veranda::Store::Replay.new(@archive.log, @klass.sitting, recording)
      Veranda::Workshop::Film::Plan.new(@archive, replay, { formats: formats, captions: 'track' }, dir: @archive.files.scratch).call
    end
  end
end
