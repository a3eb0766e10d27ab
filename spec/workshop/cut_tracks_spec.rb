# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'

# What is left of sounds and pictures after a recording was cut: of what was cut there is nothing in any file that is given out.
RSpec.describe Veranda::Workshop::CutTracks do
  let(:sitting) { recorded_class[:sitting] }
  let(:began) { Lessons::NOW.call }

  before { Veranda::Workshop::Work.open(ARCHIVE) }

  # A class that was recorded for ten seconds.
  def recorded_class
    fresh_class.tap do |made|
      stream = "sitting/#{made[:sitting]}"
      act = ->(name, at, **input) { Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person('odalys'), at: at) }
      act.call('class.record', began, on: true)
      act.call('class.end', began + 10_000)
    end
  end

  # Tones of 440, 880 and 440 Hz, or pictures of red, blue and red, for two, four and four seconds.
  def keep(kind)
    sources, codec = if kind == 'sound' then [[440, 880, 440].map { |hz| "sine=frequency=#{hz}:sample_rate=48000" }, %w[libopus]]
                     else [%w[red blue red].map { |ink| "color=#{ink}:size=64x64:rate=10" }, %w[libvpx -g 5]]
                     end
    inputs = sources.zip([2, 4, 4]).flat_map { |source, s| ['-f', 'lavfi', '-t', s.to_s, '-i', source] }
    filter = kind == 'sound' ? 'concat=n=3:v=0:a=1' : 'concat=n=3:v=1:a=0'
    path = File.join(ARCHIVE.files.scratch, "#{rand(10**9)}.webm")
    system('ffmpeg', '-v', 'error', *inputs, '-filter_complex', filter, kind == 'sound' ? '-c:a' : '-c:v', *codec, '-y', path, exception: true)
    take = Veranda::Core::Recordings::Take.new(sitting: sitting, place: 'main', person: 'farah', since: began)
    ARCHIVE.tracks.add(take, name: "#{take.name}-#{kind}", path: path, kind: kind, began_at: began, length: 10_000)
    ARCHIVE.tracks.report(sitting, 'ready')
  end

  def edit(name, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, "recording.#{name}", input, stream: "recording/#{sitting}", by: Demo::School.person('odalys'))
  end

  def left = Veranda::Preparing::TracksLeft.new(ARCHIVE, ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(sitting)))

  # Tones in a file, from how often a wave goes up through nothing in each tenth of a second.
  def tones(file)
    raw, = Open3.capture2('ffmpeg', '-v', 'error', '-i', ARCHIVE.files.path(file), '-ac', '1', '-ar', '8000', '-f', 'f32le', '-', binmode: true)
    raw.unpack('e*').each_slice(800).map { |wave| wave.each_cons(2).count { |a, b| a.negative? && b >= 0 } * 10 }
  end

  # How blue each picture is, of 255.
  def blues(file)
    raw, = Open3.capture2('ffmpeg', '-v', 'error', '-i', ARCHIVE.files.path(file), '-vf', 'scale=1:1', '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-', binmode: true)
    raw.bytes.each_slice(3).map(&:last)
  end

  it 'gives nothing that was cut, nor anything before it is made, and the whole again once the cut is taken back' do
    keep('sound')
    keep('picture')
    expect(left.given.map { |track| track[:length] }).to eq([10_000, 10_000])
    edit('cut', id: 'c', from: began + 1_800, to: began + 6_300)
    expect(left.given).to eq([])
    described_class.run(sitting)
    expect(left.missing).to eq([])
    given = left.given.group_by { |track| track[:kind] }
    expect(given['sound'].map { |track| track[:began_at] - began }).to eq([0, 6_300])
    expect(left.given.map { |track| left.find(track[:id])&.fetch(:file) }).to eq(left.given.map { |track| track[:file] })
    # Not by the address that it had before.
    expect(ARCHIVE.tracks.of(sitting).filter_map { |track| left.find(track[:id]) }).to eq([])
    # 880 Hz was heard in what is cut alone.
    expect(given['sound'].flat_map { |track| tones(track[:file]) }).to all(be < 600)
    expect(given['picture'].flat_map { |track| blues(track[:file]) }).to all(be < 60)
    expect(given['picture'].flat_map { |track| blues(track[:file]) }.length).to be_between(45, 60)
    files = ARCHIVE.track_parts.of(sitting).map { |part| ARCHIVE.files.path(part[:file]) }
    edit('take_back', id: 'c')
    described_class.run(sitting)
    expect(left.given.map { |track| track[:length] }).to eq([10_000, 10_000])
    expect(files.select { |path| File.exist?(path) }).to eq([])
  end

  it 'gives nothing of people who were left out, and says where a file is damaged' do
    keep('sound')
    File.binwrite(ARCHIVE.files.path(ARCHIVE.tracks.of(sitting).first[:file]), 'no sound at all')
    edit('cut', id: 'c', from: began + 2_000, to: began + 6_000)
    described_class.run(sitting)
    expect([left.given, left.missing]).to eq([[], []])
    expect(ARCHIVE.tracks.state(sitting)).to eq('partly')
  end

  it 'leaves a recording alone that another one sees to, and looks again later' do
    keep('sound')
    edit('cut', id: 'c', from: began + 2_000, to: began + 6_000)
    jobs = ARCHIVE.db[:que_jobs].where(job_class: described_class.name).where(Sequel.lit('args->>0 = ?', sitting))
    held, go = Queue.new, Queue.new
    other = Thread.new { Veranda::Store::Turn.alone(ARCHIVE.db, 'cut tracks', sitting) { [held << true, go.pop] } }
    held.pop
    expect { described_class.run(sitting) }.to change(jobs, :count).by(1)
    expect([left.given, jobs.reverse(:id).get(:run_at)]).to match([[], be > Time.now])
    [go << true, other.join]
    described_class.run(sitting)
    expect(left.given.length).to eq(2)
  end

  it 'leaves no file that no row knows, however many edits are seen to at once; and what was left is swept' do
    keep('sound')
    edits = [[1_000, 2_000], [3_000, 4_000], [5_000, 6_500]].each_with_index.map do |(from, to), i|
      edit('cut', id: "c#{i}", from: began + from, to: began + to)
      Array.new(2) { Thread.new { described_class.run(sitting) } }
    end
    edits.flatten.each(&:join)
    described_class.run(sitting)
    files = -> { ARCHIVE.files.below("tracks/#{sitting}/parts").sort }
    expect(files.call).to eq(ARCHIVE.track_parts.of(sitting).map { |part| part[:file] }.sort).and be_any
    stray = ARCHIVE.files.put(StringIO.new('nobody knows it'), "tracks/#{sitting}/parts/stray.webm")
    ARCHIVE.recordings.sweep
    expect(ARCHIVE.files.exist?(stray)).to be(true)
    expect(ARCHIVE.recordings.sweep(now: Time.now + 86_400)).to include(stray)
    expect(files.call.length).to eq(ARCHIVE.track_parts.of(sitting).length)
  end

  # Two processes are asked at once, and the workers are killed in the middle, whatever they are at.
  [5, 17].each do |seed|
    it "has every file known by a row and nothing given that was cut, whatever is edited and killed (history #{seed})" do
      dice = Random.new(seed)
      keep('sound')
      staff = [Server.shared, Server.new].map { |server| VisitorClient.new(server, as: 'odalys') }
      workers = Array.new(2) { Worker.new }
      6.times do |round|
        edits = Array.new(4) { |i| edit_of(dice, "c#{round}x#{i}") }
        answers = edits.map { |name, facts| Thread.new { staff.sample(random: dice).post("/api/recordings/#{sitting}/edits/#{name}", facts) } }.map(&:value)
        expect(answers.map(&:status)).to all(be < 500)
        sleep dice.rand(1.5)
        workers = workers.map { |worker| dice.rand(2).zero? ? worker : worker.tap(&:kill) && Worker.new }
      end
      until_true('all is cut') { ARCHIVE.db[:que_jobs].where(job_class: described_class.name, finished_at: nil).where(Sequel.lit('args->>0 = ?', sitting)).empty? }
      whole_and_nothing_else
    ensure
      workers&.each(&:stop)
    end
  end

  # Something is cut, or a cut is taken back; it need not be there any more.
  def edit_of(dice, id)
    @cuts ||= []
    return ['take_back', { id: @cuts.sample(random: dice) }] if @cuts.any? && dice.rand(3).zero?

    from = dice.rand(9_000)
    @cuts << id
    ['cut', { id: id, from: began + from, to: began + from + 200 + dice.rand(800) }]
  end

  def whole_and_nothing_else
    expect(left.missing).to eq([])
    ARCHIVE.recordings.sweep(now: Time.now + 86_400)
    rows = ARCHIVE.track_parts.of(sitting)
    expect(ARCHIVE.files.below("tracks/#{sitting}/parts").sort).to eq(rows.filter_map { |part| part[:file] }.sort)
    cuts = ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(sitting)).edits.cuts
    rows.product(cuts).each { |part, (from, to)| expect([part[:ended_at], to].min - [part[:began_at], from].max).to be <= 0 }
  end
end

RSpec.describe Veranda::Workshop::MeasureTracks do
  it 'hears a tone, a silence and nothing in what is damaged' do
    Veranda::Workshop::Work.open(ARCHIVE)
    sitting = fresh_class[:sitting]
    began = Lessons::NOW.call
    path = File.join(ARCHIVE.files.scratch, "#{rand(10**9)}.webm")
    system('ffmpeg', '-v', 'error', '-f', 'lavfi', '-t', '3', '-i', 'sine', '-f', 'lavfi', '-t', '3', '-i', 'anullsrc=r=44100:cl=mono', '-filter_complex', 'concat=n=2:v=0:a=1',
           '-c:a', 'libopus', '-y', path, exception: true)
    broken = File.join(ARCHIVE.files.scratch, "#{rand(10**9)}.webm").tap { |file| File.write(file, 'no sound') }
    { 'farah' => path, 'jonas' => broken }.each do |who, file|
      take = Veranda::Core::Recordings::Take.new(sitting: sitting, place: 'main', person: who, since: began)
      ARCHIVE.tracks.add(take, name: take.name, path: file, kind: 'sound', began_at: began, length: 6_000)
    end
    described_class.run(sitting)
    heard, = ARCHIVE.tracks.levels(sitting, 'main').map { |row| row[:levels].to_a }.sort_by(&:length).reverse
    expect(heard.length).to be_between(6, 7)
    expect([heard[0..2].min > 60, heard[4..5].max]).to eq([true, 0])
    expect(ARCHIVE.tracks.unmeasured(sitting)).to eq([])
  end
end
