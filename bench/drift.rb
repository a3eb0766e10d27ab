# frozen_string_literal: true

require 'open3'

module Bench
  # Whether sound and boards of a film are in step after two hours as they were at first: a mark comes together with another tone, near the
  # beginning and near the end.
  class Drift < Export
    HOURS = 2
    SECONDS = HOURS * 3_600
    # s into the class at which a mark comes, each with px of the page where it lies; s around that are looked at.
    MARKS = { 60 => 100, SECONDS - 60 => 900 }.freeze
    AROUND = 5
    TONES = [440, 880, 440].freeze
    # How much less a mark has of red, green and blue than the paper, where its edge lies.
    DARKER = 60
    # Of sound that is looked at, per s and in one look.
    RATE = 8_000
    LOOK = 80

    def run
      hold
      keep_tones
      measure("a quiet class of #{HOURS} h", %w[webm], '')
      early, late = MARKS.map { |at, x| seen(at, x) - heard(at) }
      Report.line('a mark beside its tone, at first', early, 'ms', target: 'within 100, aim 20')
      Report.line("a mark beside its tone, after #{HOURS} h", late, 'ms', target: 'within 100, aim 20')
    end

    private

    def hold
      @klass = BusyClass.new(@archive, began: BusyClass.now)
      @klass.begin
      @began = @archive.sittings.state(@klass.sitting).stretches.first[:from]
      MARKS.each do |at, x|
        mark = { id: "m#{at}", page: 'p1', kind: 'rectangle', x: x, y: 100, w: 400, h: 400, ink: 'brick', width: 60 }
        act('board.put', @klass.board, @began + (at * 1000), marks: [mark])
      end
      act('class.end', "sitting/#{@klass.sitting}", @began + (SECONDS * 1000))
    end

    def act(name, stream, time, **input)
      by = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      Veranda::Deciding::Perform.call(@archive.log, name, input, stream: stream, by: by, sitting: @klass.sitting, at: time)
    end

    # One tone between the marks, another before and after.
    def keep_tones
      ends = [0, *MARKS.keys, SECONDS]
      inputs = TONES.zip(ends.each_cons(2)).flat_map do |hz, (from, to)|
        ['-f', 'lavfi', '-t', (to - from).to_s, '-i', "sine=frequency=#{hz}:sample_rate=48000"]
      end
      path = File.join(@archive.files.scratch, 'tones.webm')
      system('ffmpeg', '-v', 'error', '-y', *inputs, '-filter_complex', 'concat=n=3:v=0:a=1', '-c:a', 'libopus', '-b:a', '24k', path, exception: true)
      take = Veranda::Core::Recordings::Take.new(sitting: @klass.sitting, place: 'main', person: 'odalys', since: @began)
      @archive.tracks.add(take, name: "#{take.name}-sound", path: path, kind: 'sound', began_at: @began, length: SECONDS * 1000)
      @archive.tracks.report(@klass.sitting, 'ready')
    end

    # @return [Float] ms from when the mark was to come to when it is seen
    def seen(at, x)
      fit = Veranda::Core::Films::Fit.of(Veranda::Core::Boards::Mark::PAGE_HEIGHT, Veranda::Core::Films::Layout::WIDTH,
                                         Veranda::Core::Films::Layout::HEIGHT)
      left, top, w, h = fit.points([x - 20, 120, 40, 360], around: 0)
      raw, told, = Open3.capture3('ffmpeg', *around(at), '-fps_mode', 'passthrough', '-vf',
                                  "crop=#{w}:#{h}:#{left}:#{top},scale=1:1:flags=area,showinfo", '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-', binmode: true)
      times = told.scan(/pts_time:([\d.]+)/).flatten.map(&:to_f)
      bright = raw.bytes.each_slice(3).map(&:sum)
      (times[bright.find_index { |one| one < bright.first - DARKER }] - AROUND) * 1000
    end

    # @return [Float] ms from when the tone was to change to when it is heard to
    def heard(at)
      raw, = Open3.capture2('ffmpeg', '-v', 'error', *around(at), '-ac', '1', '-ar', RATE.to_s, '-f', 'f32le', '-', binmode: true)
      hertz = raw.unpack('e*').each_slice(LOOK).map { |wave| wave.each_cons(2).count { |a, b| a.negative? && b >= 0 } * RATE / LOOK }
      middle = TONES.take(2).sum / 2.0
      turn = hertz.each_cons(2).find_index { |one, other| (one > middle) != (other > middle) }
      (((turn + 1) * LOOK.fdiv(RATE)) - AROUND) * 1000
    end

    def around(at) = ['-ss', (at - AROUND).to_s, '-t', (2 * AROUND).to_s, '-i', File.join(folder, 'film.webm')]
  end
end
