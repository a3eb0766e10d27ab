# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Questions' do
  let(:server) { Server.shared }
  let(:sitting) { fresh_class[:sitting] }
  let(:stream) { "questions/#{sitting}" }
  let(:staff) { VisitorClient.new(server, as: 'odalys') }

  def join(who) = Wire.join(server, who, { sitting: sitting })
  def ask(wire, id, text, nameless: false) = wire.give('question.ask', stream, { id: id, text: text, nameless: nameless })
  def set(review: false, nameless: false) = perform('odalys', 'question.set', stream, review: review, nameless: nameless)
  def mine(who) = VisitorClient.new(server, as: who).get("/api/classes/#{sitting}/questions/mine").body
  def all(id = sitting) = ARCHIVE.log.state("questions/#{id}").first.all

  it 'are asked, voted for once by each, counted for all, answered, and answered in writing after the class' do
    farah, jonas, nils, odalys = %w[farah jonas nils odalys].map { |who| join(who) }
    expect(ask(farah, 'a', 'Does it hold at anchor?')['t']).to eq('done')
    expect(ask(jonas, 'b', 'Is a pilot boat different?')['t']).to eq('done')
    expect(farah.give('question.vote', stream, { id: 'a', on: true })).to include('code' => 'own_question')
    [jonas, nils].each { |wire| 2.times { expect(wire.give('question.vote', stream, { id: 'a', on: true })['t']).to eq('done') } }
    farah.wait { |message| message['kind'] == 'votes_counted' && message['body']['votes'] == [{ 'id' => 'a', 'count' => 2 }] }
    nils.give('question.vote', stream, { id: 'a', on: false })
    until_true('one vote was taken back') { all['a'][:votes] == 1 }
    expect([mine('farah'), mine('jonas')]).to eq([{ 'own' => ['a'], 'up' => [] }, { 'own' => ['b'], 'up' => ['a'] }])
    # Who voted is in no entry.
    kinds = ARCHIVE.log.entries(stream).map { |entry| [entry.kind, entry.actor] }
    expect(kinds.uniq).to eq([%w[question_asked farah], %w[question_asked jonas], %w[votes_counted house]])
    odalys.give('question.answer_now', stream, { id: 'a' })
    nils.wait { |message| message['kind'] == 'answering' }
    odalys.give('question.done', stream, { id: 'a' })
    odalys.do('class.end', "sitting/#{sitting}")
    until_true('nothing is kept') { ARCHIVE.log.ballots.kept(sitting).empty? }
    lesson = ARCHIVE.sittings.fetch(sitting)[:lesson_id]
    expect(staff.get('/api/desk').body['waiting']['questions']).to include(include('id' => lesson, 'count' => 1))
    expect(VisitorClient.new(server, as: 'farah').post("/api/classes/#{sitting}/questions/b", { words: 'No.' }).status).to eq(403)
    expect(staff.post("/api/classes/#{sitting}/questions/nowhere", { words: 'No.' }).status).to eq(404)
    expect(staff.post("/api/classes/#{sitting}/questions/b", { words: 'No: Rule 9 holds for her too.' }).status).to eq(200)
    told = VisitorClient.new(server, as: 'jonas').get("/api/lessons/#{lesson}/questions").body['classes'].first['questions']
    expect(told.map { |row| row.values_at('id', 'state', 'answer') }).to eq([['a', 'answered', nil], ['b', 'answered', 'No: Rule 9 holds for her too.']])
    expect(VisitorClient.new(server, as: 'keiko').get("/api/lessons/#{lesson}/questions").body['classes']).to eq([])
    expect(staff.get('/api/desk').body['waiting']['questions'].map { |row| row['id'] }).not_to include(lesson)
  end

  it 'are seen by staff first where they review them, and by nobody else until then' do
    farah, jonas, odalys = %w[farah jonas odalys].map { |who| join(who) }
    set(review: true)
    farah.wait { |message| message['kind'] == 'questions_set' }
    ask(farah, 'a', 'Why did he stop showing up?')
    odalys.wait { |message| message['kind'] == 'question_asked' && message['stream'] == "asked/#{sitting}" }
    expect(jonas.give('question.vote', stream, { id: 'a', on: true })).to include('code' => 'no_such_question')
    expect(jonas.give('question.review', stream, { id: 'a', pass: true })).to include('code' => 'staff_only')
    expect(JSON.generate(jonas.heard)).not_to include('showing up')
    odalys.give('question.review', stream, { id: 'a', pass: true })
    jonas.wait { |message| message['kind'] == 'question_asked' }
    expect(jonas.give('question.vote', stream, { id: 'a', on: true })['t']).to eq('done')
  end

  it 'that nobody reviewed in class are reviewed after it, by staff alone' do
    farah, odalys = %w[farah odalys].map { |who| join(who) }
    set(review: true)
    farah.wait { |message| message['kind'] == 'questions_set' }
    %w[a b].each { |id| expect(ask(farah, id, "Question #{id}?")['t']).to eq('done') }
    odalys.do('class.end', "sitting/#{sitting}")
    lesson = ARCHIVE.sittings.fetch(sitting)[:lesson_id]
    told = ->(who) { VisitorClient.new(server, as: who).get("/api/lessons/#{lesson}/questions").body['classes'].flat_map { |row| row['questions'] } }
    waiting = -> { staff.get('/api/desk').body['waiting']['questions'].find { |row| row['id'] == lesson }&.fetch('count') }
    expect([told.call('odalys').map { |row| row['state'] }, told.call('farah'), waiting.call]).to eq([%w[waiting waiting], [], 2])
    path = "/api/classes/#{sitting}/questions"
    expect(VisitorClient.new(server, as: 'farah').post("#{path}/a", { pass: true }).status).to eq(403)
    expect([staff.post("#{path}/a", { pass: true }), staff.post("#{path}/b", { pass: false })].map(&:status)).to eq([200, 200])
    expect([told.call('farah').map { |row| row.values_at('id', 'state') }, waiting.call]).to eq([[%w[a open]], 1])
    staff.post("#{path}/a", { words: 'Yes.' })
    expect([told.call('farah').map { |row| row['answer'] }, waiting.call]).to eq([['Yes.'], nil])
  end

  it 'without a name tell nobody whose they are, not even their neighbours in the log' do
    wires = %w[farah jonas odalys].to_h { |who| [who, join(who)] }
    set(nameless: true)
    wires['farah'].wait { |message| message['kind'] == 'questions_set' }
    expect(ask(wires['farah'], 'a', 'Is it all right not to know?', nameless: true)['t']).to eq('done')
    heard = wires['odalys'].wait { |message| message['kind'] == 'question_asked' }
    expect(heard).to include('by' => 'nobody', 'body' => include('by' => nil, 'name' => nil))
    expect(wires['farah'].give('question.vote', stream, { id: 'a', on: true })).to include('code' => 'own_question')
    entry = ARCHIVE.log.entries(stream).last
    row = ARCHIVE.db[:ballots].first(poll: stream)
    expect(JSON.generate([entry.body, entry.actor, row[:answers]])).not_to match(/farah/)
    # Its time is that of the minute, or of what came before it.
    before = ARCHIVE.log.entries(stream)[-2].at
    expect(entry.at == before || (entry.at % 60_000).zero?).to be(true)
    expect(staff.get("/api/classes/#{sitting}/questions.csv").body.to_s).to include('Is it all right not to know?')
    expect(File.read(server.instance_variable_get(:@log))).not_to include(sitting)
  end
end
