# frozen_string_literal: true

require_relative '../spec_helper'

# Going to a moment of a recording and playing up to it must show the same, whatever was switched on and off, cut, drawn in a
# pause or taken back.
RSpec.describe Veranda::Store::Replay do
  include RandomClass

  # What somebody sees who starts at one moment and takes in what follows, as the player does.
  def played(replay, from, to)
    restored = ->(streams) { streams.to_h { |name, view| [name, restore(name, view)] } }
    states = restored.call(replay.at(from)[:streams])
    replay.between(from, to).each do |entry|
      next states = restored.call(entry[:streams]) if entry[:kind] == 'seam'

      state = states[entry[:stream]] or next
      state.apply(Core::Streams::Entry.new(stream: entry[:stream], seq: entry[:seq], at: entry[:at], actor: entry[:by], kind: entry[:kind], body: entry[:body]))
    end
    seen(states.transform_values(&:view))
  end

  def restore(name, view)
    view = view.merge(history: []) if name.start_with?('board/')
    Core::Streams::Fold.restore(name, JSON.parse(JSON.generate(view), symbolize_names: true))
  end

  # As it is looked at: how many steps each can undo, and how high a pile is that nobody adds to, is no part of it; nor who once drew.
  def seen(views)
    views = JSON.parse(JSON.generate(views), symbolize_names: true)
    views.transform_values { |view| view.except(:undo, :top, :authors) }
  end

  24.times do |seed|
    it "shows the same sought and played, and nothing that is hidden (random class #{seed})" do
      rng = Random.new(seed)
      made, recording = random_class(rng)
      length = recording.clock.length
      moments = Array.new(5) { rng.rand(length + 1) } + recording.clock.stretches.map { |from, _| recording.clock.time(from) }
      moments.each do |to|
        replay = replay_of(made, recording)
        from = rng.rand(to + 1)
        sought = seen(replay.at(to)[:streams])
        expect(played(replay, from, to).slice(*sought.keys)).to eq(sought.slice(*played(replay, from, to).keys))
        elsewhere = made.values_at(:board, :staff_board).map { |board| replay.at(to, board: board) }
        expect(said(secrets(made, recording), JSON.generate([replay.at(to), replay.between(from, to), elsewhere]))).to eq([])
      end
    end
  end

  # Whatever is taken away: all that is in a zip, and all that a film is made of.
  def taken_away(replay)
    Dir.mktmpdir do |dir|
      path = File.join(dir, 'recording.zip')
      Veranda::Workshop::RecordingZip.new(ARCHIVE, replay).write(path)
      plan = Veranda::Workshop::Film::Plan.new(ARCHIVE, replay, { formats: %w[webm], captions: 'track' }, dir: dir).call
      texts = Zip::File.open(path) { |zip| zip.entries.reject { |entry| entry.name.end_with?('.pdf') }.map { |entry| entry.get_input_stream.read } }
      [*texts, JSON.generate(plan)].join("\n").force_encoding(Encoding::UTF_8)
    end
  end

  24.times do |seed|
    it "gives away nothing that is hidden (random class #{seed})" do
      made, recording = random_class(Random.new(seed))
      expect(said(secrets(made, recording), taken_away(replay_of(made, recording)))).to eq([])
    end
  end

  it 'goes to the end, the beginning and beyond' do
    made, recording = random_class(Random.new(99))
    replay = replay_of(made, recording)
    expect(replay.at(0)[:t]).to eq(0)
    expect(replay.at(recording.clock.length)[:wall]).to eq(recording.clock.stretches.last.last)
    expect(replay.between(0, recording.clock.length).map { |entry| entry[:t] }).to all(be_between(0, recording.clock.length))
  end
end

RSpec.describe Veranda::Store::RecordedWords do
  let(:words) { ARCHIVE.recorded_words }
  let(:sitting) { fresh_class[:sitting] }

  def found(text) = words.find([sitting], text).map { |place| place[:words] }

  it 'keep nothing of older edits once newer ones were read' do
    words.keep(sitting, 5, [{ at: 1, kind: 'post', words: 'what is left' }])
    words.keep(sitting, 4, [{ at: 1, kind: 'post', words: 'what was hidden' }])
    expect([found('hidden'), found('left')]).to eq([[], ['what is left']])
    words.keep(sitting, 6, [])
    expect(found('left')).to eq([])
  end

  it 'are found by their stems in the language of the course' do
    course = ARCHIVE.sittings.fetch(sitting)[:lesson_id].then { |lesson| ARCHIVE.lessons.fetch(lesson)[:course_id] }
    rows = [{ at: 1, kind: 'post', words: 'Die Schiffe fahren durch die Engen' }]
    words.keep(sitting, 1, rows)
    expect(found('fahre Schiffen')).to eq([])
    perform('odalys', 'course.set', "course/#{course}", language: 'de')
    expect(words.unread([sitting])).to eq({ sitting => 0 })
    words.keep(sitting, 1, rows)
    expect(found('fahre Schiffen')).to eq(['Die Schiffe fahren durch die Engen'])
    expect(found("x') OR true --")).to eq([])
  ensure
    perform('odalys', 'course.set', "course/#{course}", language: 'en')
  end

  it 'are kept once, however many read at the same time' do
    Array.new(4) { Thread.new { words.keep(sitting, 1, [{ at: 1, kind: 'post', words: 'fairway' }]) } }.each(&:join)
    expect(found('fairway')).to eq(['fairway'])
  end
end

RSpec.describe 'Rehearsals' do
  it 'copy boards as they are, without their history, and are let go after a week' do
    made = fresh_lesson
    30.times { |i| perform('odalys', 'board.put', "board/#{made[:board]}", marks: [stroke("m#{i}")]) }
    perform('odalys', 'board.change', "board/#{made[:board]}", changes: [{ id: 'm1', set: { locked: true } }])
    sitting = Veranda::Preparing::Classes.new(ARCHIVE).rehearsal(ARCHIVE.lessons.fetch(made[:lesson]))
    copy = ARCHIVE.lessons.boards(made[:lesson], rehearsal_id: sitting).first
    original, = ARCHIVE.log.state("board/#{made[:board]}")
    state, seq, = ARCHIVE.log.state("board/#{copy[:id]}")
    expect(state.view.except(:undo)).to eq(original.view.except(:undo))
    expect(seq).to eq(1)

    ARCHIVE.sittings.prune
    expect(ARCHIVE.sittings.fetch(sitting)[:id]).to eq(sitting)
    ARCHIVE.db[:sittings].where(id: sitting).update(made_at: Time.now - 8 * 86_400)
    expect(ARCHIVE.sittings.prune).to be >= 1
    expect(ARCHIVE.db[:entries].where(Sequel.like(:stream, "%#{sitting}%")).or(stream: "board/#{copy[:id]}").count).to eq(0)
    expect(ARCHIVE.lessons.boards(made[:lesson]).length).to eq(2)
  end
end

RSpec.describe Veranda::Store::Snapshots do
  let(:stream) { "board/#{fresh_lesson[:board]}" }

  it 'are asked for by what there is to write, not by what is left to see' do
    marks = Array.new(150) { |i| stroke("m#{i}") }
    perform('odalys', 'board.put', stream, marks: marks)
    perform('odalys', 'board.clear', stream, page: 'p1')
    state, = ARCHIVE.log.state(stream)
    expect(state.marks).to be_empty
    expect(state.size).to be >= 150
  end

  it 'are small, can be read again, and those of earlier versions too' do
    200.times.each_slice(50) { |slice| perform('odalys', 'board.put', stream, marks: slice.map { |i| stroke("m#{i}") }) }
    Veranda::Workshop::KeepSnapshot.keep(ARCHIVE.log, stream, 4)
    state, = ARCHIVE.log.state(stream)
    packed = ARCHIVE.db[:snapshots].where(stream: stream).get(Sequel.function(:length, :packed))
    expect(packed).to be < JSON.generate(state.to_h).bytesize / 4
    expect(ARCHIVE.log.state(stream).first.to_h).to eq(Core::Streams::Fold.over(stream, ARCHIVE.log.entries(stream)).to_h)

    ARCHIVE.db[:snapshots].where(stream: stream).update(packed: nil, body: Sequel.lit('?::jsonb', JSON.generate(state.to_h)))
    expect(ARCHIVE.log.state(stream).first.to_h).to eq(state.to_h)
  end

  it 'are kept aside by a worker, told by the class that goes on' do
    Worker.shared
    made = fresh_class
    odalys = Wire.join(Server.shared, 'odalys', { sitting: made[:sitting] })
    board = "board/#{made[:board]}"
    210.times { |i| odalys.do('board.put', board, marks: [stroke("m#{i}")]) && sleep(0.026) }
    kept = -> { ARCHIVE.db[:snapshots].where(stream: board).max(:seq) }
    until_true('one is kept', &kept)
    expect(kept.call).to be_between(195, 211)
  end
end

RSpec.describe 'Planning a class again' do
  it 'tells nobody anything when nothing has changed' do
    made = fresh_class(open: false)
    classes = Veranda::Preparing::Classes.new(ARCHIVE)
    3.times { classes.ready(ARCHIVE.lessons.fetch(made[:lesson])) }
    expect(ARCHIVE.log.entries("sitting/#{made[:sitting]}").map(&:kind)).to eq(['planned'])
    ARCHIVE.lessons.lay(made[:lesson], title: 'Fog')
    classes.ready(ARCHIVE.lessons.fetch(made[:lesson]))
    expect(ARCHIVE.sittings.state(made[:sitting]).title).to eq('Fog')
    expect(ARCHIVE.log.state("place/#{made[:sitting]}.waiting").first.welcome).to include(title: 'Fog')
  end
end
