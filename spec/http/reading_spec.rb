# frozen_string_literal: true

require_relative '../spec_helper'

# Who gets what by its address: every person × every door × every thing, as the design says it, over real HTTP.
RSpec.describe 'Reading by address', order: :defined do
  before(:all) do
    @server = Server.shared
    @made = fresh_lesson
    @lesson = @made[:lesson]
    @boards = { open: @made[:board], staff: @made[:staff_board],
                closed: ARCHIVE.lessons.add_board(@lesson, name: 'Only in class', outside: 'closed'),
                named: ARCHIVE.lessons.add_board(@lesson, name: 'For Jonas', audience: 'people', people: Sequel.pg_array(['jonas'], :text)) }
    @materials = @boards.to_h { |name, board| [name, material_on(board)] }
    @materials[:sound] = material_on(@boards[:open], kind: 'sound', type: 'audio/ogg')
    @materials[:unused] = material_on(nil)
    @materials[:welcome] = material_on(nil, kind: 'picture', type: 'image/png')
    ARCHIVE.lessons.lay(@lesson, welcome_picture: @materials[:welcome])
    @sitting = fresh_class(**@made)[:sitting]
    link = ARCHIVE.links.make('recording', sitting_id: @sitting)
    visitors = { odalys: 'odalys', tomas: 'tomas', farah: 'farah', jonas: 'jonas', ruth: 'ruth', nobody: nil, watcher: nil }
    @visitors = visitors.transform_values { |who| VisitorClient.new(@server, as: who) }
    @visitors[:watcher].enter(link[:token])
    # Farah is in the class, Jonas of the course and elsewhere, Ruth of another course.
    @farah = Wire.join(@server, 'farah', { sitting: @sitting })
    @boards[:copy] = farahs_copy
    @materials[:copied] = material_on(@boards[:copy])
    @materials.merge!(asked: material_on(nil), option: material_on(nil), staged: material_on(nil))
    ask
  end

  # One poll that was put to all, with pictures on its question and an option; and one that is only at hand.
  def ask
    picture = ->(name) { { picture: { material: @materials[name], version: 1, slide: 1 } } }
    options = [{ id: 'a', text: 'This' }, { id: 'b', text: 'That', **picture.call(:option) }]
    { p: { kind: 'one', text: 'Which?', options: options, **picture.call(:asked) }, q: { kind: 'short', text: 'What?', **picture.call(:staged) } }.each do |poll, question|
      perform('odalys', 'poll.stage', "staff/#{@sitting}", poll: poll, question: question)
    end
    perform('odalys', 'poll.open', "staff/#{@sitting}", poll: 'p', round: 1)
  end

  # What Farah was given when the open board was handed out.
  def farahs_copy
    row = ARCHIVE.lessons.board(@boards[:open])
    copies = ARCHIVE.own_copies.make({ id: @sitting, rehearsal: false }, row, ['farah'])
    Veranda::Deciding::Perform.call(ARCHIVE.log, 'class.give_copies', { board: row[:id], copies: copies }, stream: "sitting/#{@sitting}")
    copies.first[:board]
  end

  # A material with a file and one slide, shown on a board.
  def material_on(board, kind: 'document', type: 'application/pdf')
    id = Veranda::Store::Ids.call
    db = ARCHIVE.db
    db[:materials].insert(id: id, course_id: 'navigation', title: "Material #{id}")
    original = ARCHIVE.files.put(StringIO.new('as it was brought'), "materials/#{id}/1/original")
    db[:material_versions].insert(material_id: id, version: 1, name: 'file', type: type, kind: kind, size: 9, original: original, state: 'ready', slide_count: 1)
    picture = ARCHIVE.files.put(StringIO.new('<svg xmlns="http://www.w3.org/2000/svg"/>'), "materials/#{id}/1/slides/1")
    db[:material_slides].insert(material_id: id, version: 1, slide: 1, w: 4, h: 3, picture: picture, type: 'image/svg+xml', thumbnail: picture)
    if board
      perform('odalys', 'board.put', "board/#{board}",
              marks: [{ id: "pic#{id}"[0, 40], page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', material: id, version: 1, slide: 1, alt: '' }])
    end
    id
  end

  def addresses
    boards = @boards.to_h { |name, id| [:"page_of_#{name}", "/api/boards/#{id}/p1.svg"] }
    slides = @materials.except(:sound).to_h { |name, id| [:"slide_of_#{name}", "/api/materials/#{id}/1/slides/1"] }
    originals = @materials.to_h { |name, id| [:"original_of_#{name}", "/api/materials/#{id}/1/original"] }
    { **boards, **slides, **originals }
  end

  # @return [Array<Symbol>] what somebody gets
  def gets(who) = addresses.select { |_, path| @visitors.fetch(who).get(path).status == 200 }.keys

  let(:everything) { addresses.keys }
  let(:open_things) { %i[page_of_open slide_of_open original_of_sound slide_of_welcome] }
  let(:farahs) { %i[page_of_copy slide_of_copied slide_of_asked slide_of_option] }
  let(:jonas_things) { %i[page_of_named slide_of_named] }

  describe 'while the class goes on' do
    it 'gives staff everything' do
      expect(gets(:odalys)).to match_array(everything)
      expect(gets(:tomas)).to match_array(everything)
    end

    it 'gives who is in the class its boards for everyone, her copy, slides, and originals of sounds alone' do
      expect(gets(:farah)).to match_array(open_things + farahs + %i[page_of_closed slide_of_closed])
    end

    it 'gives who is elsewhere in the course what is open outside of class' do
      expect(gets(:jonas)).to match_array(open_things + jonas_things)
    end

    it 'gives strangers, nobody and who has only a link to a recording not yet made, nothing' do
      %i[ruth nobody watcher].each { |who| expect(gets(who)).to eq([]) }
    end
  end

  describe 'once it is over and recorded' do
    before(:all) do
      perform('odalys', 'class.record', "sitting/#{@sitting}", on: true)
      %i[closed open].each { |name| perform('odalys', 'class.show', "place/#{@sitting}.main", board: @boards[name], page: 'p1') }
      perform('odalys', 'class.end', "sitting/#{@sitting}")
    end

    it 'gives students what is open outside of class, and no more' do
      expect(gets(:farah)).to match_array(open_things + farahs)
      expect(gets(:jonas)).to match_array(open_things + jonas_things)
    end

    it 'gives who has the link the slides that the recording shows, and nothing of boards for staff' do
      expect(gets(:watcher)).to match_array(%i[slide_of_open slide_of_closed original_of_sound slide_of_asked slide_of_option])
      expect(gets(:nobody)).to eq([])
    end

    it 'names in a recording by link neither boards for staff nor who was never recorded' do
      told = %W[/api/recordings/#{@sitting} /api/recordings/#{@sitting}/at?t=1 /api/recordings/#{@sitting}/entries?from=0&to=9999]
             .map { |path| JSON.generate(@visitors[:watcher].get(path).body) }.join
      expect(told).to include('Open board')
      expect(told).not_to match(/Staff board|private words|#{@boards[:staff]}/)
    end
  end

  it 'tells the students what becomes of the recording: nothing to watch, to wait, ready' do
    made = fresh_class
    path = "/api/classes/#{made[:sitting]}"
    expect(@visitors[:farah].get(path).body).to include('recording' => 'none')
    perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
    sleep 0.01
    perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
    expect(@visitors.values_at(:farah, :odalys).map { |visitor| visitor.get(path).body['recording'] }).to eq(%w[waiting ready])
    ARCHIVE.recordings.update(made[:sitting], shared: true)
    expect(@visitors[:farah].get(path).body).to include('recording' => 'ready')
  end

  it 'plays a recording of who was there: nobody who left before, and no words from a pause' do
    made = fresh_class
    sitting, exchange = "sitting/#{made[:sitting]}", "exchange/#{made[:sitting]}.main"
    at = Lessons::NOW.call
    act = lambda do |who, name, stream, after, **input|
      Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: at + after, sitting: made[:sitting])
    end
    %w[odalys jonas farah].each { |who| act.call(who, 'class.join', sitting, 0) }
    act.call('jonas', 'class.leave', sitting, 1_000, place: 'main')
    act.call('farah', 'exchange.post', exchange, 2_000, id: 'before', text: 'said before')
    act.call('odalys', 'class.record', sitting, 3_000, on: true)
    act.call('farah', 'exchange.post', exchange, 4_000, id: 'during', text: 'said while it ran')
    act.call('odalys', 'class.record', sitting, 5_000, on: false)
    act.call('farah', 'exchange.post', exchange, 6_000, id: 'pause', text: 'said in the pause')
    act.call('odalys', 'class.record', sitting, 7_000, on: true)
    act.call('odalys', 'class.end', sitting, 9_000)
    told = ['', '/at?t=3999', '/entries?from=0&to=4000'].map { |rest| JSON.generate(@visitors[:odalys].get("/api/recordings/#{made[:sitting]}#{rest}").body) }
    expect(told.join).not_to match(/Jonas|said before|said in the pause/)
    expect(told.drop(1)).to all(include('said while it ran'))
  end

  it 'gives sound and picture of the main room to those who may watch, in parts' do
    made, other = fresh_class, fresh_class
    perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
    sleep 0.05
    perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
    from = ARCHIVE.sittings.state(made[:sitting]).stretches.first[:from]
    add = lambda do |sitting, place, began_at|
      path = File.join(ARCHIVE.files.scratch, Veranda::Store::Ids.call).tap { |file| File.binwrite(file, 'Opus' * 100) }
      take = Veranda::Core::Recordings::Take.new(sitting: sitting, place: place, person: 'farah', since: began_at)
      ARCHIVE.tracks.add(take, name: take.name, path: path, kind: 'sound', began_at: began_at, length: 20)
      ARCHIVE.tracks.of(sitting).last[:id]
    end
    own = add.call(made[:sitting], 'main', from + 10)
    hidden = [add.call(made[:sitting], 'a-room', from + 11), add.call(made[:sitting], 'main', from + 90_000), add.call(other[:sitting], 'main', from + 12)]
    path = "/api/recordings/#{made[:sitting]}"
    expect(@visitors[:odalys].get(path).body).to include('sound' => nil,
                                                         'tracks' => [{ 'id' => own, 'person' => 'farah', 'kind' => 'sound', 'from' => from + 10, 'length' => 20 }])
    found = @visitors[:odalys].get("#{path}/tracks/#{own}", Range: 'bytes=4-11')
    expect([found.status, found.headers['content-type'], found.body]).to eq([206, 'audio/webm', 'OpusOpus'])
    hidden.push('none', '..%2Fx').each { |id| expect(@visitors[:odalys].get("#{path}/tracks/#{id}").status).to eq(404) }
    expect(@visitors[:farah].get("#{path}/tracks/#{own}").status).to eq(404)
    ARCHIVE.recordings.update(made[:sitting], shared: true)
    expect(@visitors[:farah].get("#{path}/tracks/#{own}").status).to eq(200)
  end

  it 'gives all small pictures of a list that a browser asks for at once' do
    ids = @visitors[:odalys].get('/api/boards').body.map { |board| board['id'] }.first(12)
    expect(ids.length).to be > Veranda::Aside::Pool::MOST_EACH
    ids.each { |id| ARCHIVE.files.clear("boards/#{id}") }
    answers = ids.map { |id| Thread.new { VisitorClient.new(@server, as: 'odalys').get("/api/boards/#{id}/small.svg").status } }
    expect(answers.map(&:value).tally).to eq(200 => ids.length)
  end

  it 'gives a file away in pieces and keeps nothing of it, also when the visitor leaves halfway' do
    path = File.join(ARCHIVE.files.scratch, 'passing.bin')
    File.binwrite(path, 'x' * 300_000)
    passing = Veranda::Http::PassingFile.new(path)
    File.delete(path)
    expect(passing.size).to eq(300_000)
    expect(passing.enum_for.map(&:bytesize)).to eq([*[65_536] * 4, 37_856])
    passing.close

    address = "/api/boards/#{@boards[:open]}.pdf"
    kept = Array.new(2) do
      expect(@visitors[:odalys].get(address).body).to start_with('%PDF')
      Dir.children(ARCHIVE.files.scratch)
    end
    expect(kept.last - kept.first).to be_empty
  end

  it 'keeps exports of one person in a queue, and answers everyone else meanwhile' do
    lesson = "/api/boards/#{@boards[:open]}/p1.png"
    many = Array.new(12) { Thread.new { VisitorClient.new(@server, as: 'keiko').get(lesson) } }
    expect(@visitors[:odalys].get('/api/session').status).to eq(200)
    answers = many.map(&:value)
    expect(answers.map(&:status).tally.keys - [200, 429]).to be_empty
    expect(answers.count { |answer| answer.status == 200 }).to be >= Veranda::Aside::Pool::MOST_EACH
    expect(answers.select { |answer| answer.status == 429 }.map(&:code).uniq - ['too_fast']).to be_empty
  end
end
