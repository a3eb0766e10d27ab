# frozen_string_literal: true

require_relative '../spec_helper'
require 'zip'

# A recording that is taken away as a zip and brought somewhere else is the same; a zip of anybody else's making is looked at first.
RSpec.describe Veranda::Workshop::RecordingZip do
  include RandomClass

  let(:dir) { Dir.mktmpdir }
  let(:path) { File.join(dir, 'recording.zip') }
  let(:by) { Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor') }

  before { Veranda::Workshop::Work.open(ARCHIVE) }
  after { FileUtils.rm_rf(dir) }

  def recording_of(sitting) = ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(sitting), captions: true)
  def replay(sitting) = replay_of({ sitting: sitting }, recording_of(sitting))
  def take = Veranda::Workshop::RecordingFromZip.new(ARCHIVE, path, course_id: 'navigation', by: by).call

  def refused
    before = %i[lessons sittings boards tracks materials].map { |table| ARCHIVE.db[table].count }
    expect { take }.to raise_error(Veranda::Core::Refusal) { |error| @code, @says = error.code, error.says }
    expect(%i[lessons sittings boards tracks materials].map { |table| ARCHIVE.db[table].count }).to eq(before)
    @code
  end

  # A zip with some of its entries as the block makes them.
  def changed
    entries = Zip::File.open(path) { |zip| zip.entries.to_h { |entry| [entry.name, entry.get_input_stream.read.b] } }
    yield entries
    FileUtils.rm_f(path)
    Zip::OutputStream.open(path) do |zip|
      entries.compact.each do |name, text|
        zip.put_next_entry(name)
        zip.write(text)
      end
    end
  end

  def manifest(entries)
    facts = JSON.parse(entries['manifest.json'])
    yield facts
    entries['manifest.json'] = JSON.generate(facts)
  end

  def line(entries, stream, number)
    lines = entries["streams/#{stream}.jsonl"].lines
    facts = JSON.parse(lines[number])
    yield facts
    lines[number] = "#{JSON.generate(facts)}\n"
    entries["streams/#{stream}.jsonl"] = lines.join
  end

  # What is seen at a moment, whatever ids boards and the class have.
  def seen(replay, t)
    views = replay.at(t)[:streams].to_h { |name, view| [Veranda::Core::Recordings::ZipManifest.called(name)[/\w+/], view] }
    place = views['place'].merge(shown: views['place'][:shown]&.slice(:page), rules: nil)
    [place, views['board']&.fetch(:marks), views['exchange'], views['sitting'][:seats].map { |seat| seat[:id] }]
  end

  def tone(made, seconds)
    began = recording_of(made[:sitting]).clock.stretches.first.first
    file = File.join(ARCHIVE.files.scratch, "#{rand(10**9)}.webm")
    system('ffmpeg', '-v', 'error', '-f', 'lavfi', '-t', seconds.to_s, '-i', 'sine', '-c:a', 'libopus', '-y', file, exception: true)
    take = Veranda::Core::Recordings::Take.new(sitting: made[:sitting], place: 'main', person: 'farah', since: began)
    ARCHIVE.tracks.add(take, name: take.name, path: file, kind: 'sound', began_at: began, length: seconds * 1000)
  end

  # A class with a word on a board, and nothing else.
  let(:plain) do
    fresh_class.tap do |made|
      now = Lessons::NOW.call
      act(made, 'odalys', 'class.record', "sitting/#{made[:sitting]}", now, on: true)
      act(made, 'odalys', 'class.show', "place/#{made[:sitting]}.main", now, board: made[:board], page: 'p1')
      act(made, 'odalys', 'board.put', "board/#{made[:board]}", now + 1_000, marks: [stroke('m1')])
      act(made, 'odalys', 'class.end', "sitting/#{made[:sitting]}", now + 9_000)
    end
  end

  [3, 8].each do |seed|
    it "is the same where it is brought to (random class #{seed})" do
      made, recording = random_class(Random.new(seed))
      act(made, 'odalys', 'recording.chapter', "recording/#{made[:sitting]}", Lessons::NOW.call, at: recording.clock.stretches.last.first, title: 'Named')
      tone(made, 3) unless recording.edits.left_out.include?('farah') || recording.clock.stretches.first.then { |from, to| to - from < 3_000 }
      one = replay(made[:sitting])
      described_class.new(ARCHIVE, one).write(path)
      brought = take
      other = replay(brought)
      length = one.recording.clock.length
      expect(other.recording.clock.length).to eq(length)
      expect(other.recording.chapters.map { |chapter| chapter.slice(:title, :from) }).to eq(one.recording.chapters.map { |chapter| chapter.slice(:title, :from) })
      [0, 1, length / 3, length / 2, length - 1, length].each { |t| expect(seen(other, t)).to eq(seen(one, t)) }
      expect(ARCHIVE.tracks.of(brought).length).to eq(Veranda::Preparing::TracksLeft.new(ARCHIVE, one.recording).given.length)
      # Edited again where it is now.
      act({ sitting: brought }, 'odalys', 'recording.hide_names', "recording/#{brought}", Lessons::NOW.call, on: true)
      text = JSON.generate(replay(brought).all)
      expect(said(%w[Farah Lindqvist Jonas Whitlock], text)).to eq([])
    end
  end

  it 'comes back from a class with a board that was never shown, and says nothing of that' do
    made = fresh_class
    unseen = ARCHIVE.lessons.add_board(made[:lesson], name: 'Kept for later')
    Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
    now = Lessons::NOW.call
    act(made, 'odalys', 'class.record', "sitting/#{made[:sitting]}", now, on: true)
    act(made, 'odalys', 'class.show', "place/#{made[:sitting]}.main", now, board: made[:board], page: 'p1')
    # It comes to the class while it is recorded, too.
    ARCHIVE.lessons.add_board(made[:lesson], name: 'For another day')
    Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
    act(made, 'odalys', 'board.put', "board/#{made[:board]}", now + 1_000, marks: [stroke('m1')])
    act(made, 'odalys', 'class.end', "sitting/#{made[:sitting]}", now + 9_000)
    2.times do
      described_class.new(ARCHIVE, replay(made[:sitting])).write(path)
      texts = Zip::File.open(path) { |zip| zip.entries.map { |entry| entry.get_input_stream.read.b } }.join
      expect(texts).not_to match(/Kept for later|For another day|#{unseen}/)
      brought = take
      expect(seen(replay(brought), 5_000)).to eq(seen(replay(made[:sitting]), 5_000))
      made = { sitting: brought }
    end
  end

  it 'comes back from a class that went to a step before what is left of its recording begins, also out of zips of earlier versions' do
    made = fresh_class
    stream = "sitting/#{made[:sitting]}"
    now = Lessons::NOW.call
    act(made, 'odalys', 'class.move', stream, now + 1_000, step: 'one')
    act(made, 'odalys', 'class.record', stream, now + 1_000, on: true)
    act(made, 'odalys', 'class.record', stream, now + 20_000, on: false)
    act(made, 'odalys', 'class.move', stream, now + 30_000, step: 'two')
    act(made, 'odalys', 'class.record', stream, now + 40_000, on: true)
    act(made, 'odalys', 'class.end', stream, now + 60_000)
    act(made, 'odalys', 'recording.cut', "recording/#{made[:sitting]}", now + 70_000, id: 'c', from: now, to: now + 2_000)
    chapters = ->(sitting) { recording_of(sitting).chapters.map { |chapter| chapter.slice(:title, :from, :to) } }
    expect(chapters.call(made[:sitting])).to eq([{ title: 'One', from: 0, to: 18_000 }, { title: 'Two', from: 18_000, to: 38_000 }])
    described_class.new(ARCHIVE, replay(made[:sitting])).write(path)
    expect(chapters.call(take)).to eq(chapters.call(made[:sitting]))
    changed { |entries| manifest(entries) { |facts| facts['chapters'].each_with_index { |chapter, i| chapter['at'] = now + [1_000, 30_000][i] } } }
    expect(chapters.call(take)).to eq(chapters.call(made[:sitting]))
  end

  it 'brings pictures of slides, seen by whoever may watch and on nobody\'s shelf' do
    Worker.shared
    server = Server.shared
    odalys = VisitorClient.new(server, as: 'odalys')
    id = odalys.upload(Decks.small_png).body['material']
    until_true('it is read') { ARCHIVE.materials.fetch(id)[:state] == 'ready' }
    mark = { id: 'pic', page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', material: id, version: 1, slide: 1, alt: '' }
    made = fresh_class
    act(made, 'odalys', 'class.record', "sitting/#{made[:sitting]}", Lessons::NOW.call, on: true)
    act(made, 'odalys', 'class.show', "place/#{made[:sitting]}.main", Lessons::NOW.call, board: made[:board], page: 'p1')
    act(made, 'odalys', 'board.put', "board/#{made[:board]}", Lessons::NOW.call, marks: [mark])
    act(made, 'odalys', 'class.end', "sitting/#{made[:sitting]}", Lessons::NOW.call + 5_000)
    described_class.new(ARCHIVE, replay(made[:sitting])).write(path)
    brought = take
    shown = replay(brought).last[:streams].find { |name, view| name.start_with?('board/') && view[:marks].any? }.last[:marks].first
    expect(shown[:material]).not_to eq(id)
    until_true('it is read') { ARCHIVE.materials.fetch(shown[:material])[:state] == 'ready' }
    address = "/api/materials/#{shown[:material]}/1/slides/1"
    ARCHIVE.recordings.update(brought, shared: true)
    farah = VisitorClient.new(server, as: 'farah')
    expect([odalys.get(address).status, farah.get(address).status]).to eq([200, 200])
    expect(odalys.get('/api/courses/navigation/materials').body.map { |row| row['id'] }).not_to include(shown[:material])
  end

  describe 'of somebody else\'s making' do
    before { described_class.new(ARCHIVE, replay(plain[:sitting])).write(path) }

    def board = "board.#{plain[:board]}"
    def began_at = recording_of(plain[:sitting]).clock.stretches.first.first

    it 'is refused where it is none, of another version, damaged, or not all of it is there' do
      changed { |entries| manifest(entries) { |facts| facts['version'] = 2 } }
      expect(refused).to eq(:zip_newer)
      changed { |entries| manifest(entries) { |facts| facts['format'] = 'something' } }
      expect(refused).to eq(:zip_foreign)
      changed { |entries| entries['manifest.json'] = '[' }
      expect(refused).to eq(:zip_foreign)
      described_class.new(ARCHIVE, replay(plain[:sitting])).write(path)
      changed { |entries| entries.delete("streams/#{board}.jsonl") }
      expect(refused).to eq(:zip_incomplete)
      File.binwrite(path, File.binread(path)[0, 900])
      expect(refused).to eq(:zip_damaged)
    end

    it 'is refused with anything that could not have come from here' do
      { 'a mark without what it needs' => ->(entries) { line(entries, board, 1) { |row| row['body']['ops'][0]['mark'].delete('points') } },
        'one beyond the page' => ->(entries) { line(entries, board, 1) { |row| row['body']['ops'][0]['mark']['x'] = 9e99 } },
        'another shape' => ->(entries) { line(entries, board, 1) { |row| row['body']['ops'] = { 'a' => 1 } } },
        'a slide of no width' => lambda { |entries|
          line(entries, board, 0) do |row|
            row['body']['view']['page_facts'] = [{ 'page' => 'p1', 'ground' => { 'material' => 'deck', 'version' => 1, 'slide' => 1, 'w' => 0, 'h' => 3 } }]
          end
        },
        # What plays here as it is, and stops a browser.
        'a number for words' => lambda { |entries|
          line(entries, 'exchange.main', 0) do |row|
            row['body']['view']['posts'] = [{ 'id' => 'p', 'by' => 'farah', 'name' => 'F', 'to' => 'everyone', 'text' => 5, 'at' => began_at }]
          end
        },
        'words for a number' => ->(entries) { line(entries, 'place.main', 0) { |row| row['body']['view']['shown'] = 'everything' } },
        'a kind that is not known' => ->(entries) { line(entries, 'sitting', 0) { |row| row['kind'] = 'conjured' } },
        'another time' => ->(entries) { line(entries, board, 1) { |row| row['at'] = 5 } },
        'an id that is a path' => ->(entries) { line(entries, board, 1) { |row| row['by'] = '../../etc' } },
        'no JSON' => ->(entries) { entries["streams/#{board}.jsonl"] += "nonsense\n" },
        'a character that is none' => ->(entries) { line(entries, board, 1) { |row| row['body']['author'] = "\0" } },
        'a class that is not over' => ->(entries) { line(entries, 'sitting', -1) { |row| row['body']['view'].merge!('status' => 'open', 'ended_at' => nil) } },
        'stretches that are others' => ->(entries) { line(entries, 'sitting', -1) { |row| row['body']['view']['stretches'] = [] } },
        'a board that is not named' => ->(entries) { manifest(entries) { |facts| facts['boards'] = [] } } }.each do |what, change|
        described_class.new(ARCHIVE, replay(plain[:sitting])).write(path)
        changed(&change)
        expect(%i[bad_input zip_damaged]).to include(refused), what
      end
    end

    # An id that stands for something here opens it to whoever may watch, so none of a zip does.
    it 'reaches nothing of another class, board or shelf' do
      other = fresh_class
      everywhere = lambda do |entries, &change|
        entries['streams/sitting.jsonl'].lines.each_index { |i| line(entries, 'sitting', i) { |row| change.call(row['body']['view']) if row['body']['view'] } }
      end
      changed { |entries| everywhere.call(entries) { |view| view['id'] = other[:sitting] } }
      brought = take
      facts = Veranda::Preparing::Watched.new(ARCHIVE, replay(brought)).facts(nil, teaches: true)
      expect([facts[:id], recording_of(brought).sitting.id]).to eq([brought, brought])
      # Zips of earlier versions tell of boards that are not in them.
      changed { |entries| everywhere.call(entries) { |view| view['boards'] << { 'id' => other[:board], 'name' => 'Another' } } }
      brought = take
      expect([recording_of(brought).sitting.boards.length, replay(brought).boards & ["board/#{other[:board]}"]]).to eq([1, []])
      expect(Veranda::Preparing::Watched.new(ARCHIVE, replay(brought)).facts(nil, teaches: true).to_s).not_to include(other[:board])
      described_class.new(ARCHIVE, replay(plain[:sitting])).write(path)
      theirs = { 'id' => 'p', 'by' => 'farah', 'name' => 'F', 'to' => 'everyone', 'text' => 'look', 'at' => began_at, 'file' => 'deck' }
      changed { |entries| line(entries, 'exchange.main', 0) { |row| row['body']['view']['posts'] = [theirs] } }
      posts = replay(take).at(0)[:streams].find { |name,| name.start_with?('exchange') }.last[:posts]
      expect(posts.map { |post| post.key?(:file) }).to eq([false])
      mark = { 'id' => 'pic', 'page' => 'p1', 'kind' => 'image', 'x' => 1, 'y' => 1, 'w' => 9, 'h' => 9, 'ink' => 'slate', 'material' => 'deck', 'version' => 1, 'slide' => 1,
               'alt' => '' }
      changed { |entries| line(entries, board, 1) { |row| row['body']['ops'] = [{ 'op' => 'put', 'mark' => mark }] } }
      shown = replay(take).last[:streams].find { |name,| name.start_with?('board') }.last[:marks]
      expect(shown.map { |one| one[:material] }).to all(satisfy { |id| id != 'deck' && ARCHIVE.materials.find_all([id]).empty? })
    end

    it 'is taken in without what cannot be played' do
      changed do |entries|
        manifest(entries) { |facts| facts['tracks'] = [{ person: 'farah', kind: 'sound', from: facts['stretches'][0][0], file: 'tracks/1.webm' }] }
        entries['tracks/1.webm'] = "#EXTM3U\n#EXTINF:1,\nfile:///etc/passwd\n"
      end
      brought = take
      expect([ARCHIVE.tracks.of(brought), ARCHIVE.tracks.state(brought)]).to eq([[], 'partly'])
    end
  end

  it 'is for whoever teaches the course' do
    server = Server.shared
    %w[farah jonas].each do |who|
      visitor = VisitorClient.new(server, as: who)
      expect(visitor.post('/api/uploads', { course: 'navigation', name: 'a.zip', size: 9, purpose: 'recording' }).status).to eq(403)
      expect(visitor.post("/api/recordings/#{plain[:sitting]}/exports/zips").status).to eq(403)
      expect(visitor.get("/api/recordings/#{plain[:sitting]}/exports").status).to eq(403)
    end
  end
end
