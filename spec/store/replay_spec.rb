# frozen_string_literal: true

require_relative '../spec_helper'

# Going to a moment of a recording and playing up to it must show the same, whatever was switched on and off, cut, drawn in a
# pause or taken back.
RSpec.describe Veranda::Store::Replay do
  def act(made, who, name, stream, at, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: at, sitting: made[:sitting])
  rescue Core::Refusal
    nil # random people try things that are not allowed
  end

  # A class in which random things happen, 5 s apart.
  # @return [Array(Hash, Core::Recordings::Recording)]
  def random_class(rng)
    made = fresh_class
    sitting, room, exchange = "sitting/#{made[:sitting]}", "place/#{made[:sitting]}.main", "exchange/#{made[:sitting]}.main"
    other = ARCHIVE.lessons.add_board(made[:lesson], name: 'Another')
    Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
    boards = [made[:board], other]
    now = Lessons::NOW.call
    act(made, 'odalys', 'class.record', sitting, now, on: true)
    80.times do |i|
      now += 5_000
      who = %w[odalys farah jonas].sample(random: rng)
      board = "board/#{boards.sample(random: rng)}"
      case rng.rand(18)
      when 0 then act(made, 'odalys', 'class.record', sitting, now, on: rng.rand(2).zero?)
      when 1 then act(made, 'odalys', 'class.show', room, now, board: boards.sample(random: rng), page: 'p1')
      when 2 then act(made, who, 'class.join', sitting, now)
      when 3 then act(made, who, 'class.leave', sitting, now, place: 'main')
      when 4 then act(made, who, 'class.raise_hand', room, now)
      when 5, 6, 14, 15, 16 then act(made, who, 'exchange.post', exchange, now, id: "p#{i}",
                                                                                text: ["words#{i}", "Farah, words#{i}!", "words#{i} JONAS Whitlock"].sample(random: rng))
      when 7 then act(made, 'odalys', 'exchange.delete', exchange, now, id: "p#{rng.rand(i + 1)}")
      when 8 then act(made, who, 'board.undo', board, now)
      when 10 then act(made, who, 'exchange.react', exchange, now, **{ id: "p#{rng.rand(i + 1)}", sign: [nil, 'agree', 'thanks'].sample(random: rng) }.compact)
      when 11
        pin_or_park(made, exchange, now, "p#{rng.rand(i + 1)}", rng)
      when 9 then act(made, 'odalys', 'class.rule', room, now, right: 'draw', allow: rng.rand(2).zero?)
      else act(made, who, 'board.put', board, now, marks: [stroke("m#{i}", x: rng.rand(900))])
      end
    end
    act(made, 'odalys', 'class.end', sitting, now + 5_000)
    edit(made, rng, now)
    [made, ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(made[:sitting]))]
  end

  # Cuts, blanks and people, as chance has it.
  def edit(made, rng, now)
    stream = "recording/#{made[:sitting]}"
    (1 + rng.rand(5)).times do |i|
      from = rng.rand((now - 400_000)..now)
      act(made, 'odalys', %w[recording.cut recording.blank recording.add_stretch].sample(random: rng), stream, now, id: "e#{i}", from: from, to: from + 60_000)
    end
    act(made, 'odalys', 'recording.take_back', stream, now, id: 'e0') if rng.rand(3).zero?
    act(made, 'odalys', 'recording.hide_names', stream, now, on: true) if rng.rand(2).zero?
    act(made, 'odalys', 'recording.leave_out', stream, now, person: %w[farah jonas].sample(random: rng), on: true) if rng.rand(2).zero?
  end

  def replay_of(made, recording)
    described_class.new(ARCHIVE.log, made[:sitting], recording, cast: -> { Veranda::Store::Casting.new(ARCHIVE).call(recording, 'navigation') })
  end

  # Whatever may be in no byte of what is sent: names and ids, and the words of what was cut, blank or by somebody who was left out.
  def secrets(made, recording)
    edits = recording.edits
    people = edits.left_out + (edits.names_hidden? ? %w[farah jonas] : [])
    words = ARCHIVE.log.state("exchange/#{made[:sitting]}.main").first.posts.values.select do |post|
      edits.blank?(post[:at]) || !recording.clock.covers?(post[:at]) || edits.left_out.include?(post[:by])
    end
    people.flat_map { |id| [id, *Demo::School.person(id).name.split] } + words.filter_map { |post| post[:text]&.slice(/words\d+/) } + drawn(made, edits)
  end

  # Ids of marks by people who were left out.
  def drawn(made, edits)
    boards = ARCHIVE.lessons.boards(made[:lesson]).flat_map { |board| ARCHIVE.log.entries("board/#{board[:id]}") }
    boards.select { |entry| entry.kind == 'edited' && edits.left_out.include?(entry.actor) }
          .flat_map { |entry| entry.body[:ops].filter_map { |op| op[:mark] && op[:mark][:by].nil? && op[:mark][:id] } }
  end

  # Each as a word of its own.
  def said(secrets, text) = secrets.select { |secret| text.match?(/(?<![[:alnum:]])#{Regexp.escape(secret)}(?![[:alnum:]])/) }

  def pin_or_park(made, exchange, now, id, rng)
    act(made, 'odalys', 'exchange.pin', exchange, now, id: id, on: rng.rand(3).positive?)
    act(made, 'odalys', 'exchange.park', exchange, now, id: id, parked: 'waiting') if rng.rand(2).zero?
  end

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
        expect(said(secrets(made, recording), JSON.generate([replay.at(to), replay.between(from, to)]))).to eq([])
      end
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
    found = 400.times.lazy.filter_map { ARCHIVE.db[:snapshots].where(stream: board).max(:seq) || (sleep(0.1) && nil) }.first
    expect(found).to be_between(195, 211)
  end
end

RSpec.describe 'Planning a class again' do
  it 'tells nobody anything when nothing has changed' do
    made = fresh_class(open: false)
    classes = Veranda::Preparing::Classes.new(ARCHIVE)
    3.times { classes.ready(ARCHIVE.lessons.fetch(made[:lesson])) }
    expect(ARCHIVE.log.entries("sitting/#{made[:sitting]}").map(&:kind)).to eq(['planned'])
    ARCHIVE.lessons.update(made[:lesson], version: 1, title: 'Fog')
    classes.ready(ARCHIVE.lessons.fetch(made[:lesson]))
    expect(ARCHIVE.sittings.state(made[:sitting]).title).to eq('Fog')
    expect(ARCHIVE.log.state("place/#{made[:sitting]}.waiting").first.welcome).to include(title: 'Fog')
  end
end
