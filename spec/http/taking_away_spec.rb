# frozen_string_literal: true

require_relative '../spec_helper'

# What people take away of a recording, find again in it, and what becomes of it in the end.
RSpec.describe 'A recording, taken away and let go of' do
  let(:server) { Server.shared }
  let(:odalys) { VisitorClient.new(server, as: 'odalys') }
  let(:farah) { VisitorClient.new(server, as: 'farah') }
  let(:jonas) { VisitorClient.new(server, as: 'jonas') }
  let(:stranger) { VisitorClient.new(server) }
  let(:began) { @began ||= Lessons::NOW.call }
  let(:made) { @made ||= held }
  let(:sitting) { made[:sitting] }
  let(:path) { "/api/recordings/#{sitting}" }

  before { made }

  def act(who, name, stream, at, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: began + at, sitting: @klass[:sitting])
  end

  # A class of three minutes, most of them quiet.
  def held
    @klass = fresh_class.tap do |klass|
      @klass = klass
      whole, words, board, main = "sitting/#{klass[:sitting]}", "exchange/#{klass[:sitting]}.main", "board/#{klass[:board]}", "place/#{klass[:sitting]}.main"
      act('odalys', 'class.record', whole, 0, on: true)
      act('odalys', 'class.move', whole, 0, step: 'one')
      %w[odalys farah jonas].each { |who| act(who, 'class.join', whole, 0) }
      act('odalys', 'class.show', main, 1_000, board: klass[:board], page: 'p1')
      act('odalys', 'board.put', board, 2_000, marks: [text('t1', 'Who gives way?')])
      act('farah', 'exchange.post', words, 60_000, id: 'p1', text: "=1+1\nthe one to port")
      act('jonas', 'class.raise_hand', main, 62_000)
      act('odalys', 'class.caption', main, 120_000, id: 'c1', words: 'Red gives way.', lang: 'en', took: 2_000)
      act('odalys', 'class.end', whole, 180_000)
    end
  end

  def link(**wish)
    token = odalys.post("#{path}/links", wish).body['token']
    VisitorClient.new(server).tap { |visitor| visitor.post('/api/links/enter', { token: token }) }
  end

  it 'gives boards and words to whoever may watch, as far as they may' do
    names = %w[boards.pdf transcript.txt transcript.csv transcript.vtt posts.csv]
    expect(names.map { |name| farah.get("#{path}/#{name}").status }.uniq).to eq([404])
    ARCHIVE.recordings.update(sitting, shared: true)
    expect(names.map { |name| farah.get("#{path}/#{name}").status }.uniq).to eq([200])
    expect(farah.get("#{path}/boards.pdf").body[0, 4]).to eq('%PDF')
    expect(farah.get("#{path}/transcript.txt").text).to include("00:01:00  Farah Lindqvist: =1+1\n          the one to port", '00:01:58  Red gives way.')
    # No cell is taken for a formula.
    expect(farah.get("#{path}/posts.csv").text).to include("'=1+1")
    expect(farah.get("#{path}/polls.csv").code).to eq('nothing_there')
    only = link(from: began + 100_000)
    expect(only.get("#{path}/transcript.txt").text).to include('Red gives way').and(satisfy { |text| !text.include?('port') })
    odalys.post("#{path}/edits/hide_names", { on: true })
    expect(only.get("#{path}/transcript.csv").text + farah.get("#{path}/transcript.csv").text).not_to include('Farah')
  end

  it 'has films and zips made for staff, in any number up to eight, and stopped' do
    wish = { formats: %w[webm], captions: 'none' }
    expect([farah, stranger].map { |who| who.post("#{path}/exports/films", wish).status }).to eq([403, 401])
    [{ formats: [] }, { formats: %w[avi], captions: 'none' }, { formats: %w[webm], captions: 'loud' }, { formats: %w[webm], captions: 'burnt' },
     { formats: %w[webm], captions: 'burnt', lang: '../en' }].each { |wrong| expect(odalys.post("#{path}/exports/films", wrong).code).to eq('bad_input') }
    made = Array.new(8) { odalys.post("#{path}/exports/films", wish).body['exports'] }.last
    expect(odalys.post("#{path}/exports/zips").code).to eq('exports_full')
    id = made.first['id']
    expect(odalys.get("#{path}/exports/#{id}/film.webm").code).to eq('no_such_export')
    expect(odalys.delete("#{path}/exports/#{id}").body['exports'].map { |one| one['id'] }).not_to include(id)
    # Nobody works on it any more.
    Veranda::Workshop::Work.open(ARCHIVE)
    expect { Veranda::Workshop::MakeExport.run(id) }.not_to(change { ARCHIVE.exports.of(sitting) })
    expect(odalys.get("#{path}/exports/#{id}/..%2F..%2Fsecret").status).to eq(404)
  end

  it 'tells how much happened when, and what one did oneself' do
    ARCHIVE.recordings.update(sitting, shared: true)
    told = farah.get("#{path}/happened").body
    expect(told['parts'].length).to eq(36)
    expect(told['parts'].each_index.select { |i| told['parts'][i].positive? }).to eq([0, 12, 23, 24])
    expect(told['quiet']).to eq([[2_000, 60_000], [62_000, 118_000], [122_000, 180_000]])
    expect(told['own']).to eq([{ 't' => 60_000, 'kind' => 'post', 'words' => "=1+1\nthe one to port" }])
    expect(jonas.get("#{path}/happened").body['own'].map { |one| one['kind'] }).to eq(['hand'])
    expect(link.get("#{path}/happened").body['own']).to eq([])
  end

  it 'keeps notes that nobody else reads' do
    expect(farah.post("#{path}/notes", { at: began, words: 'mine' }).status).to eq(404)
    ARCHIVE.recordings.update(sitting, shared: true)
    id = farah.post("#{path}/notes", { at: began + 5_000, words: 'mine' }).body['notes'].first['id']
    expect([odalys, jonas, link].map { |who| who.get("#{path}/notes").body['notes'] }).to eq([[], [], []])
    expect(jonas.delete("#{path}/notes/#{id}").status).to eq(200)
    expect(farah.get("#{path}/notes").body['notes']).to eq([{ 'id' => id, 'at' => began + 5_000, 'words' => 'mine' }])
    expect(link.post("#{path}/notes", { at: began, words: 'x' }).code).to eq('sign_in')
    [{ at: 'now', words: 'x' }, { at: began, words: '' }, { at: began, words: 'x' * 1_001 }, { at: 1e99, words: 'x' }].each do |wrong|
      expect(farah.post("#{path}/notes", wrong).code).to eq('bad_input')
    end
    expect(farah.delete("#{path}/notes/#{id}").body['notes']).to eq([])
  end

  it 'has a page for each class, with a copy of its boards for whoever may watch' do
    after = "/api/classes/#{sitting}/after"
    expect(farah.get(after).body).to include('recording' => nil, 'posts' => 0)
    expect(farah.post("/api/classes/#{sitting}/own_copies", { board: made[:board] }).code).to eq('no_such_recording')
    expect([stranger, link].map { |who| who.get(after).code }).to eq(%w[sign_in sign_in])
    ARCHIVE.recordings.update(sitting, shared: true)
    expect(farah.get(after).body).to include('posts' => 1, 'said' => 1, 'boards' => [{ 'id' => made[:board], 'name' => 'Open board', 'pages' => 1 }])
    copy = farah.post("/api/classes/#{sitting}/own_copies", { board: made[:board] }).body['id']
    expect(ARCHIVE.log.state("board/#{copy}").first.marks['t1'][:text]).to eq('Who gives way?')
    expect(farah.get("/api/boards/#{copy}/p1.svg").status).to eq(200)
    expect(jonas.get("/api/boards/#{copy}/p1.svg").status).to eq(403)
    expect(farah.post("/api/classes/#{sitting}/own_copies", { board: made[:staff_board] }).code).to eq('no_such_board')
    expect(odalys.get("/api/classes/#{fresh_class[:sitting]}/after").code).to eq('goes_on')
  end

  it 'is let go of with all that belongs to it, but for boards and words' do
    ARCHIVE.recordings.update(sitting, shared: true)
    watcher = link
    farah.post("#{path}/notes", { at: began, words: 'mine' })
    id = odalys.post("#{path}/exports/zips").body['exports'].first['id']
    Veranda::Workshop::Work.open(ARCHIVE)
    Veranda::Workshop::MakeExport.run(id)
    # A worker of another spec may have been quicker.
    until_true('it is made') { ARCHIVE.exports.find(sitting, id)[:state] == 'ready' }
    file = ARCHIVE.files.path("exports/#{sitting}/#{id}/recording.zip")
    expect(File.exist?(file)).to be(true)
    expect(odalys.get("#{path}/exports/#{id}/recording.zip").status).to eq(200)
    odalys.post("#{path}/edits/hide_names", { on: true })
    # What shows what is hidden now is given to nobody, and is not on the disk either.
    expect([odalys.get("#{path}/exports/#{id}/recording.zip").code, File.exist?(file)]).to eq(['no_such_export', false])
    expect(farah.delete(path).code).to eq('staff_only')
    # What is still to be recorded is not lost before anybody has seen it.
    [fresh_class(open: false), fresh_class].each { |one| expect(odalys.delete("/api/recordings/#{one[:sitting]}").code).to eq('not_over') }
    expect(odalys.delete(path).status).to eq(200)
    expect([farah, watcher, odalys].map { |who| who.get(path).status }).to eq([404, 404, 404])
    expect(File.exist?(file)).to be(false)
    expect(%i[exports notes links watching].map { |table| ARCHIVE.db[table].where(sitting_id: sitting).count }).to eq([0, 0, 0, 0])
    expect(odalys.get('/api/recordings').body['recordings'].map { |row| row['id'] }).not_to include(sitting)
    expect(odalys.get("/api/classes/#{sitting}/after").body).to include('recording' => nil)
    expect(odalys.get("/api/boards/#{made[:board]}/p1.svg").status).to eq(200)
    expect(odalys.get("/api/classes/#{sitting}/transcript.txt").text).to include('the one to port')
  end

  it 'is kept for as long as its course says, and what was missed is added only where the course lets one' do
    policy = '/api/courses/navigation'
    expect([farah, VisitorClient.new(server, as: 'tomas')].map { |who| who.patch(policy, { keep_recordings: 1 }).code }).to eq(%w[staff_only staff_only])
    expect(odalys.patch(policy, { keep_recordings: 0 }).code).to eq('bad_input')
    odalys.patch(policy, { add_missed: false })
    expect(odalys.post("#{path}/edits/add_stretch", { id: 'a', from: began, to: began + 9_000 }).code).to eq('only_recorded')
    expect(odalys.patch(policy, { keep_recordings: 30, add_missed: true }).body).to include('keep_recordings' => 30)
    ARCHIVE.db[:sittings].where(id: sitting).update(made_at: Time.now - (29 * 86_400))
    expect(ARCHIVE.recordings.due).not_to include(sitting)
    ARCHIVE.db[:sittings].where(id: sitting).update(made_at: Time.now - (31 * 86_400))
    expect(ARCHIVE.recordings.due).to include(sitting)
  ensure
    odalys.patch(policy, { keep_recordings: nil, add_missed: true })
    expect(ARCHIVE.recordings.due).to eq([])
  end

  it 'gives everybody all that they did, and nobody else anything of it' do
    expect(stranger.get('/api/everything.zip').code).to eq('sign_in')
    ARCHIVE.recordings.update(sitting, shared: true)
    farah.post("#{path}/notes", { at: began, words: '=mine' })
    zip = Zip::File.open_buffer(farah.get('/api/everything.zip').body)
    entries = zip.entries.to_h { |entry| [entry.name, entry.get_input_stream.read.force_encoding(Encoding::UTF_8)] }
    rows = entries['did.jsonl'].lines.map { |line| JSON.parse(line) }
    expect(rows.find { |row| row['stream'] == "exchange/#{sitting}.main" }).to include('kind' => 'posted', 'at' => began + 60_000)
    expect(rows.map { |row| row['body'].to_s }.join).not_to include('Red gives way')
    expect(entries['notes.csv']).to include("'=mine")
    expect(JSON.parse(entries['person.json'])).to include('name' => 'Farah Lindqvist')
  end

  it 'leaves no files of classes that are there no more' do
    gone = Veranda::Store::Ids.call
    ARCHIVE.files.put(StringIO.new('sound'), "tracks/#{gone}/a.webm")
    ARCHIVE.files.put(StringIO.new('sound'), "tracks/#{sitting}/a.webm")
    ARCHIVE.recordings.sweep
    expect([gone, sitting].map { |id| File.exist?(ARCHIVE.files.path("tracks/#{id}/a.webm")) }).to eq([false, true])
  end
end
