# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'

# Films of recordings: what is seen and heard in them when, and that nothing is that was hidden.
RSpec.describe Veranda::Workshop::MakeExport do
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:began) { Lessons::NOW.call }
  let(:board) { "board/#{made[:board]}" }
  let(:square) { { id: 'm1', page: 'p1', kind: 'rectangle', x: 100, y: 100, w: 300, h: 300, ink: 'brick', width: 60 } }
  let(:secret) { { id: 'm2', page: 'p1', kind: 'rectangle', x: 700, y: 100, w: 300, h: 300, ink: 'lake', width: 60 } }

  before { Veranda::Workshop::Work.open(ARCHIVE) }

  def act(name, seconds, stream = "sitting/#{sitting}", person: 'odalys', **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(person), sitting: sitting, at: began + (seconds * 1000).round)
  end

  # A class of half a minute: a square comes after five seconds, another comes and goes between ten and fifteen.
  def hold
    act('class.join', 0, person: 'jonas')
    act('class.record', 0, on: true)
    act('class.show', 0, "place/#{sitting}.main", board: made[:board], page: 'p1')
    act('class.caption', 4, "place/#{sitting}.main", id: 'c1', words: 'Here comes a square.', lang: 'en', took: 1_000)
    act('board.put', 5, board, marks: [square])
    act('board.point', 8, board, page: 'p1', path: [900, 1200, 800, 500, 1200, 820])
    act('board.put', 10, board, marks: [secret])
    act('board.remove', 15, board, ids: ['m2'])
    yield if block_given?
    act('class.end', 30)
  end

  # A tone or a colour, another from the fifth second on, and a third from the tenth to the fifteenth.
  def keep(kind, person: 'farah')
    spans = [5, 5, 5, 15]
    sources = if kind == 'sound'
                [440, 880, 1320, 880].map { |hz| "sine=frequency=#{hz}:sample_rate=48000" }
              else
                %w[red green blue green].map do |ink|
                  "color=#{ink}:size=160x120:rate=10"
                end
              end
    inputs = sources.zip(spans).flat_map { |source, s| ['-f', 'lavfi', '-t', s.to_s, '-i', source] }
    filter = kind == 'sound' ? 'concat=n=4:v=0:a=1' : 'concat=n=4:v=1:a=0'
    path = File.join(ARCHIVE.files.scratch, "#{rand(10**9)}.webm")
    codec = kind == 'sound' ? %w[-c:a libopus] : %w[-c:v libvpx -g 5]
    system('ffmpeg', '-v', 'error', *inputs, '-filter_complex', filter, *codec, '-y', path, exception: true)
    take = Veranda::Core::Recordings::Take.new(sitting: sitting, place: 'main', person: person, since: began)
    ARCHIVE.tracks.add(take, name: "#{take.name}-#{kind}", path: path, kind: kind, began_at: began, length: 30_000)
    ARCHIVE.tracks.report(sitting, 'ready')
  end

  def edit(name, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, "recording.#{name}", input, stream: "recording/#{sitting}", by: Demo::School.person('odalys'))
    Veranda::Workshop::CutTracks.run(sitting)
  end

  # An export that no worker knows of.
  def want(**wishes)
    ARCHIVE.db.transaction do
      ARCHIVE.exports.want(sitting, 'film', wishes, by: 'odalys').tap do |id|
        ARCHIVE.db[:que_jobs].where(job_class: described_class.name).where(Sequel.lit('args->>0 = ?', id)).delete
      end
    end
  end

  def film(formats: %w[webm mp4], captions: 'track')
    id = want(formats: formats, captions: captions, lang: 'en')
    described_class.run(id)
    ARCHIVE.exports.find(sitting, id)
  end

  def paths(export) = export[:files].to_h { |file| [file[:name][/\w+\z/], ARCHIVE.files.path(file[:file])] }

  def probe(path)
    JSON.parse(Open3.capture2('ffprobe', '-v', 'error', '-show_format', '-show_streams', '-show_chapters', '-of', 'json', path).first)
  end

  # Time and mean colour (red, green, blue) of a box of each picture.
  def seen(path, box)
    x, y, w, h = box
    raw, told, = Open3.capture3('ffmpeg', '-i', path, '-fps_mode', 'passthrough', '-vf', "crop=#{w}:#{h}:#{x}:#{y},scale=1:1:flags=area,showinfo",
                                '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-',
                                binmode: true)
    told.scan(/pts_time:([\d.]+)/).flatten.map(&:to_f).zip(raw.bytes.each_slice(3).to_a)
  end

  # Hz in each fiftieth of a second.
  def tones(path)
    raw, = Open3.capture2('ffmpeg', '-v', 'error', '-i', path, '-ac', '1', '-ar', '8000', '-f', 'f32le', '-', binmode: true)
    raw.unpack('e*').each_slice(160).map { |wave| wave.each_cons(2).count { |a, b| a.negative? && b >= 0 } * 50 }
  end

  def dark?(colour) = colour.sum < 500
  def blue?((red, _, blue)) = blue > red + 30

  # Where the squares are in the picture, beside people.
  let(:scale) { 1040 / 1600.0 }
  let(:place_of_square) { [80 * scale, 35 + (120 * scale), 40 * scale, 200 * scale].map(&:round) }

  # What the job does, to be stopped by whoever is told how far it is.
  def work(id)
    lambda do |told|
      recording = ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(sitting), captions: true)
      replay = Veranda::Store::Replay.new(ARCHIVE.log, sitting, recording)
      plan = Veranda::Workshop::Film::Plan.new(ARCHIVE, replay, ARCHIVE.exports.row(id)[:wishes], dir: ARCHIVE.files.scratch).call
      Veranda::Workshop::Film::Work.new(File.join(ARCHIVE.files.scratch, 'exports', id), fonts: Veranda::Workshop::Fonts.environment(ARCHIVE.files.scratch),
                                                                                         lanes: -> { 1 }, told: told).call(plan)
    end
  end

  it 'shows marks and faces and lets hear voices when they were there, with captions and chapters, in both formats' do
    hold
    keep('sound')
    keep('picture')
    export = film
    expect(export).to include(state: 'ready', done: 1.0)
    paths(export).each_value do |path|
      facts = probe(path)
      expect(facts['format']['duration'].to_f).to be_within(0.1).of(30)
      expect(facts['streams'].map { |one| one['codec_name'] }).to include(a_string_matching(/vp9|h264/), a_string_matching(/opus|aac/), a_string_matching(/webvtt|mov_text/))
      came = seen(path, place_of_square).find { |_, colour| dark?(colour) }.first
      higher = tones(path).each_cons(5).find_index { |some| some.min > 660 } / 50.0
      expect(came).to be_between(5.0, 5.04)
      expect(came).to be_within(0.1).of(higher)
      face = seen(path, [1100, 40, 100, 60])
      expect(face.find { |_, (red, green, _)| green > red }.first).to be_within(0.15).of(5)
    end
  end

  it 'keeps what works beside a class to one processor' do
    Dir.mktmpdir do |dir|
      allowed = lambda do |**how|
        command = ['/bin/sh', '-c', 'grep Cpus_allowed_list /proc/self/status > allowed']
        Process.wait(Veranda::Workshop::Tool.begin(*command, dir: dir, wrong: File.join(dir, 'wrong'), **how))
        File.read(File.join(dir, 'allowed'))[/\S+$/]
      end
      expect(allowed.call).to eq(File.read('/proc/self/status')[/^Cpus_allowed_list:\s*(\S+)/, 1])
      expect(allowed.call(narrow: true)).to match(/\A\d+\z/)
    end
  end

  it 'shows a screen over the board for as long as it lay there' do
    hold do
      act('class.join', 0)
      act('class.share_screen', 16, "place/#{sitting}.main", on: true)
      act('class.share_screen', 22, "place/#{sitting}.main", on: false)
    end
    # Green from the fifteenth second on.
    keep('picture', person: 'odalys--screen')
    path = paths(film(formats: %w[webm]))['webm']
    middle = seen(path, [600, 400, 40, 40])
    green = middle.select { |_, (red, value, _)| value > red + 30 }.map(&:first)
    expect(green.minmax).to match([be_within(0.15).of(16), be_within(0.15).of(22)])
  end

  it 'has nothing in it that was cut, nor of people who were left out' do
    hold
    keep('sound')
    keep('picture', person: 'jonas')
    edit('cut', id: 'x', from: began + 9_500, to: began + 15_500)
    edit('leave_out', person: 'jonas', on: true)
    export = film(formats: %w[webm])
    path = paths(export)['webm']
    expect(probe(path)['format']['duration'].to_f).to be_within(0.1).of(24)
    # Without pictures of anybody, the page is wider.
    expect(seen(path, [500, 60, 250, 300]).map(&:last)).to all(satisfy { |colour| !blue?(colour) })
    expect(seen(path, [1100, 40, 100, 60]).map(&:last)).to all(satisfy { |red, green, blue| [red, green, blue].min > 200 })
    expect(tones(path).each_cons(5).map(&:min)).to all(be < 1_100)
    expect(Dir.glob(File.join(ARCHIVE.files.scratch, 'exports', export[:id]))).to eq([])
  end

  it 'is given to nobody once the recording was edited again' do
    hold
    export = film(formats: %w[webm])
    edit('hide_names', on: true)
    expect(ARCHIVE.exports.find(sitting, export[:id])[:state]).to eq('outdated')
  end

  it 'goes on where it was cut off, and begins anew where the recording is another by then' do
    hold
    id = want(formats: %w[webm], captions: 'none')
    folder = File.join(ARCHIVE.files.scratch, 'exports', id)
    segment = File.join(folder, '00000.webm')
    expect { work(id).call(->(_) { !File.exist?(segment) }) }.to raise_error(Veranda::Workshop::Film::Work::Stopped)
    expect(Dir.children(folder).grep(/webm/)).to eq(%w[00000.webm])
    made_at = File.mtime(segment)
    work(id).call(->(_) { true })
    expect(File.mtime(segment)).to eq(made_at)
    edit('cut', id: 'x', from: began, to: began + 1_000)
    expect { work(id).call(->(_) { !File.exist?(segment) }) }.to raise_error(Veranda::Workshop::Film::Work::Stopped)
    expect(File.mtime(segment)).to be > made_at
  end

  it 'leaves out what is damaged, and says when the disk is full' do
    hold
    keep('sound')
    File.binwrite(ARCHIVE.files.path(ARCHIVE.tracks.of(sitting).first[:file]), 'no sound at all')
    export = film(formats: %w[webm], captions: 'burnt')
    expect(probe(paths(export)['webm'])['streams'].map { |one| one['codec_type'] }).to eq(%w[video])
    id = want(formats: %w[webm], captions: 'none')
    expect { work(id).call(->(_) { false }) }.to raise_error(Veranda::Workshop::Film::Work::Stopped)
    # Nothing can be written to this device (full(4)).
    File.symlink('/dev/full', File.join(ARCHIVE.files.scratch, 'exports', id, '00000.webm.part'))
    described_class.run(id)
    expect(ARCHIVE.exports.find(sitting, id)).to include(state: 'failed', says: a_string_including('no room left on the disk'))
    expect(Dir.exist?(File.join(ARCHIVE.files.scratch, 'exports', id))).to be(false)
  end
end
