# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Polls' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:staff) { VisitorClient.new(server, as: 'odalys') }
  let(:poll) { "poll/#{sitting}.p" }
  let(:crossing) do
    { kind: 'one', text: 'Red hull meets Green hull. Who gives way?', right: { options: ['red'] }, explanation: 'Rule 15.',
      options: [{ id: 'red', text: 'Red' }, { id: 'green', text: 'Green' }, { id: 'both', text: 'Both turn' }] }
  end

  def join(who, id = sitting, on: server) = Wire.join(on, who, { sitting: id })
  def path(id = sitting) = "/api/classes/#{id}/polls"

  # @return [Hash{String => Wire}] everybody, with the poll open to them
  def begin_poll(*people, question: crossing, id: sitting)
    wires = ['odalys', *people].to_h { |who| [who, join(who, id)] }
    run(wires, 'stage', id, question: question)
    run(wires, 'open', id, round: 1)
    people.each { |who| wires[who].wait { |message| message['t'] == 'gained' && message['stream'] == "poll/#{id}.p" } }
    wires
  end

  def run(wires, name, id = sitting, **input)
    answer = wires['odalys'].do("poll.#{name}", "staff/#{id}", poll: 'p', **input)
    expect(answer).to include('t' => 'done')
  end

  def answer(wires, who, value, round: 1, id: sitting) = wires[who].do('poll.answer', "poll/#{id}.p", round: round, value: value)
  def heard(wires, who, stream = poll) = wires[who].heard.select { |message| message['stream'] == stream }
  def live(wires, &) = wires['odalys'].wait { |message| message['t'] == 'results' && yield(message['live']) }['live']

  def answers_of(id = sitting) = ARCHIVE.log.state("answers/#{id}.p").first

  it 'are answered once by each, told to staff as they come, and shown to all when staff show them' do
    wires = begin_poll('farah', 'jonas', 'nils')
    wires['tab'] = join('farah')
    expect(answer(wires, 'farah', 'green')['t']).to eq('done')
    expect(answer(wires, 'tab', 'red')['t']).to eq('done')
    expect(answer(wires, 'jonas', 'green')['t']).to eq('done')
    expect(answer(wires, 'jonas', '9')).to include('code' => 'no_such_option')
    found = live(wires) { |told| told['answered'] == 2 }
    expect(found).to include('expected' => 3, 'missing' => [{ 'id' => 'nils', 'name' => 'Nils Okafor' }], 'more' => 0)
    expect(found['results']['tally']['options'].map { |row| row.values_at('id', 'count') }).to eq([['red', 1], ['green', 1], ['both', 0]])
    expect(VisitorClient.new(server, as: 'farah').get("#{path}/mine").body['answers']).to eq([{ 'poll' => 'p', 'round' => 1, 'value' => ['red'] }])
    %w[farah jonas nils].each { |who| expect(JSON.generate(wires[who].heard)).not_to match(/"results"|answered|Rule 15|"right"/) }
    named = staff.get("#{path}/p/answers").body['people'].sort_by { |row| row['id'] }
    expect(named.map { |row| row.values_at('name', 'value', 'right') }).to eq([['Farah Lindqvist', ['red'], true], ['Jonas Whitlock', ['green'], false]])
    heard = staff.get("/api/classes/#{sitting}/places/main/heard").body['people'].to_h { |row| [row['person'], row['answers']] }
    expect(heard).to include('farah' => 2, 'jonas' => 1, 'nils' => 0)
    run(wires, 'close', round: 1)
    expect(answer(wires, 'nils', 'red')).to include('code' => 'poll_closed')
    expect(staff.post("#{path}/p/show", { tell: true }).status).to eq(200)
    shown = wires['nils'].wait { |message| message['kind'] == 'poll_shown' }['body']
    expect(shown).to include('round' => 1, 'right' => { 'options' => ['red'] }, 'explanation' => 'Rule 15.', 'tally' => include('count' => 2, 'right' => 0.5))
    late = join('hana')
    expect(late.heard.find { |message| message['t'] == 'welcome' }['streams'].find { |part| part['stream'] == poll }['view']['shown']).to include('round' => 1)
  end

  it 'take no answers by whoever has no part in them, and give nothing away by address' do
    wires = begin_poll('farah')
    other = fresh_class[:sitting]
    wires['stranger'] = join('jonas', other)
    expect(answer(wires, 'stranger', 'red')).to include('t' => 'refused')
    expect(wires['farah'].do('poll.answer', "answers/#{sitting}.p", round: 1, value: 'red')).to include('t' => 'refused')
    expect(wires['farah'].do('poll.show', "staff/#{sitting}", poll: 'p', tell: true, results: {})).to include('t' => 'refused')
    expect(wires['odalys'].do('poll.show', "staff/#{sitting}", poll: 'p', tell: true, results: { round: 1 })).to include('t' => 'refused')
    farah = VisitorClient.new(server, as: 'farah')
    expect([farah.get("#{path}/p/results").status, farah.get("#{path}/p/live").status, farah.get("#{path}/p/answers").status,
            farah.post("#{path}/p/show", { tell: false }).status]).to eq([403, 403, 403, 403])
    expect(farah.get("#{path}/p.csv").status).to eq(403)
    expect([staff.get("#{path}/nowhere/results").status, staff.get("#{path}/p/results?round=7").status]).to eq([404, 404])
    expect(wires['farah'].do('poll.answer', "poll/#{sitting}.p", round: 1, value: { 'a' => [[[1]]] })).to include('code' => 'no_such_option')
    expect(answers_of.count(1)).to eq(0)
  end

  it 'count marks on a board as they fall, and as they were when the round was closed' do
    board = made[:board]
    regions = [['l', 0], ['r', 800]].map { |id, x| { id: id, text: id, x: x, y: 0, w: 800, h: 1_000 } }
    wires = begin_poll('farah', 'jonas', question: { kind: 'marks', text: 'Which side?', board: board, page: 'p1', regions: regions, most: 1 })
    tick = ->(who, id, x) { wires[who].do('board.put', "board/#{board}", marks: [{ id: id, page: 'p1', kind: 'sign', sign: 'tick', x: x, y: 100, w: 40, h: 40, ink: 'moss' }]) }
    expect(answer(wires, 'farah', ['l'])).to include('code' => 'by_marks')
    tick.call('farah', 'a', 100)
    live(wires) { |told| told['answered'] == 1 && told['missing'].map { |row| row['id'] } == ['jonas'] }
    tick.call('jonas', 'b', 900)
    told = live(wires) { |found| found['answered'] == 2 }
    expect(told['results']['tally']['options'].map { |row| row['count'] }).to eq([1, 1])
    run(wires, 'close', round: 1)
    until_true('it is counted') { answers_of.by_person(1) == { 'farah' => ['l'], 'jonas' => ['r'] } }
    perform('odalys', 'board.clear', "board/#{board}", sitting: sitting, page: 'p1')
    expect(staff.get("#{path}/p/results").body['tally']['count']).to eq(2)
  end

  it 'are taken as one form, with how far each has come' do
    wires = begin_poll('farah', 'jonas', question: crossing)
    %w[x y].each do |poll|
      wires['odalys'].do('poll.stage', "staff/#{sitting}", poll: poll, question: crossing, set: { id: 'check', title: 'Before we part' })
      wires['odalys'].do('poll.open', "staff/#{sitting}", poll: poll, round: 1)
    end
    wires['farah'].wait { |message| message['t'] == 'gained' && message['stream'] == "poll/#{sitting}.y" }
    %w[x y].each { |poll| wires['farah'].do('poll.answer', "poll/#{sitting}.#{poll}", round: 1, value: 'red') }
    wires['jonas'].do('poll.answer', "poll/#{sitting}.x", round: 1, value: 'red')
    found = staff.get("/api/classes/#{sitting}/sets/check").body
    expect([found['polls'], found['people'].map { |row| row.values_at('id', 'answered') }]).to eq([2, [['jonas', 1], ['farah', 2]]])
    expect([staff.get("/api/classes/#{sitting}/sets/other").status, VisitorClient.new(server, as: 'farah').get("/api/classes/#{sitting}/sets/check").status]).to eq([404, 403])
  end

  it 'are in the recording as they ran, with what was answered only from when it was shown' do
    wires = begin_poll('farah', 'jonas')
    wires['odalys'].do('class.record', "sitting/#{sitting}", on: true)
    %w[farah jonas].each { |who| answer(wires, who, 'red') }
    run(wires, 'close', round: 1)
    before = Lessons::NOW.call
    sleep 0.05
    staff.post("#{path}/p/show", { tell: false })
    wires['odalys'].do('class.end', "sitting/#{sitting}")
    until_true('it can be watched') { staff.get("/api/recordings/#{sitting}").status == 200 }
    facts = staff.get("/api/recordings/#{sitting}").body
    at = ->(wall) { staff.get("/api/recordings/#{sitting}/at?t=#{wall - facts['stretches'].first.first}").body['streams'][poll] }
    expect(at.call(before)).to include('shown' => nil, 'rounds' => [include('round' => 1)])
    expect(at.call(facts['stretches'].last.last)['shown']['tally']['count']).to eq(2)
    entries = staff.get("/api/recordings/#{sitting}/entries?from=0&to=#{facts['length']}").body['entries']
    expect(entries.map { |entry| entry['kind'] }).to include('round_closed', 'poll_shown')
    expect(JSON.generate(entries)).not_to match(/answered|answers/)
  end

  it 'tell their results after answering where that is so, and to nobody who has not' do
    wires = begin_poll('farah', 'jonas', question: crossing.merge(results: 'after'))
    farah, jonas = %w[farah jonas].map { |who| VisitorClient.new(server, as: who) }
    answer(wires, 'farah', 'red')
    expect([farah.get("#{path}/p/results").body.dig('tally', 'count'), jonas.get("#{path}/p/results").status]).to eq([1, 403])
  end

  it 'are closed by the clock, also when nobody of the staff is there' do
    wires = begin_poll('farah', question: crossing.merge(seconds: 5))
    answer(wires, 'farah', 'red')
    wires['odalys'].cut
    wires['farah'].wait { |message| message['kind'] == 'round_closed' }
    expect(answers_of.count(1)).to eq(1)
  end

  it 'count each answer once that was acknowledged, though the server is killed' do
    server = Server.new
    id = fresh_class[:sitting]
    people = %w[farah jonas nils hana keiko lamar]
    wires = ['odalys', *people].to_h { |who| [who, join(who, id, on: server)] }
    %w[named nameless].each do |name|
      wires['odalys'].do('poll.stage', "staff/#{id}", poll: name, question: crossing.merge(names: name == 'named'))
      wires['odalys'].do('poll.open', "staff/#{id}", poll: name, round: 1)
    end
    people.each { |who| wires[who].wait { |message| message['t'] == 'gained' && message['stream'] == "poll/#{id}.nameless" } }
    done = people.first(4).select { |who| %w[named nameless].all? { |name| wires[who].do('poll.answer', "poll/#{id}.#{name}", round: 1, value: 'red')['t'] == 'done' } }
    server.kill
    expect(done.length).to eq(4)
    again = Server.new
    people.each do |who|
      wire = join(who, id, on: again)
      2.times { %w[named nameless].each { |name| wire.do('poll.answer', "poll/#{id}.#{name}", id: "#{who}-#{name}", again: true, round: 1, value: 'green') } }
    end
    expect(ARCHIVE.log.state("answers/#{id}.named").first.of(1).tally).to eq(['green'] => 6)
    expect(ARCHIVE.log.ballots.of("poll/#{id}.nameless")[1].values.tally).to eq(['green'] => 6)
  ensure
    [server, again].compact.each(&:kill)
  end

  describe 'without names' do
    let(:hard) { { kind: 'several', text: 'What was hard?', names: false, options: [{ id: 'a', text: 'Lights' }, { id: 'b', text: 'Sounds' }, { id: 'c', text: 'Nothing' }] } }
    let(:people) { %w[farah jonas nils hana keiko] }
    let(:values) { [['a'], %w[a b], ['c'], ['a'], ['b']] }

    # Everything that the database keeps of a class, but for the secrets.
    def kept(id)
      streams = ARCHIVE.db[:streams].where(Sequel.like(:name, "%/#{id}%")).select_order_map(:name)
      rows = streams.flat_map { |name| ARCHIVE.log.entries(name).map { |entry| [name.sub(id, 'ID'), entry.actor, entry.kind, entry.body] } }
      [rows, ARCHIVE.db[:snapshots].where(stream: streams).select_map([:stream, Sequel.cast(:body, String).as(:body)]),
       ARCHIVE.db[:ballots].where(poll: "poll/#{id}.p").select_map([:round, Sequel.cast(:answers, String).as(:answers), Sequel.cast(:told, String).as(:told)])]
    end

    # A class in which each of the people answers, twice if `change` says so; the round is closed, and the class ended.
    # @return [Array] what is kept while it is open, and once it is over
    def held(values)
      id = fresh_class[:sitting]
      perform('odalys', 'class.record', "sitting/#{id}", on: true)
      wires = begin_poll(*people, question: hard, id: id)
      people.zip(values) { |who, value| expect(answer(wires, who, value, id: id)['t']).to eq('done') }
      live(wires) { |told| told['answered'] == 5 }
      open = kept(id)
      run(wires, 'close', id, round: 1)
      until_true('it is counted') { answers_of(id).counted?(1) }
      wires['odalys'].do('class.end', "sitting/#{id}")
      until_true('nothing is kept') { ARCHIVE.log.ballots.kept(id).empty? }
      [id, open, kept(id), wires]
    end

    it 'leave the same behind, whoever of them answered what' do
      id, open, over, wires = held(values)
      other_id, other_open, other_over, = held(values.rotate(2))
      plain = ->(facts, own) { JSON.generate(facts).gsub(own, 'ID').gsub(/\d{13}|"(step|board|id|first_page)":"[^"]*"/, '') }
      expect(plain.call(over, id)).to eq(plain.call(other_over, other_id))
      expect(plain.call(open[0], id)).to eq(plain.call(other_open[0], other_id))
      expect(answers_of(id).of(1).tally).to eq([['a']] => 0).or eq([['a'], ['a'], %w[a b], ['b'], ['c']].tally)
      expect(JSON.generate(wires['odalys'].heard)).not_to match(/"by":"(#{people.join('|')})","kind":"(answered|counted)"/)
    end

    it 'lets nobody find who answered what who has the log, the tables, the server’s log and the recording in hand' do
      id, open, over, = held(values)
      log = File.read(server.instance_variable_get(:@log))
      # What is entered in the streams of the poll, and by whom.
      by = open[0].select { |name, *| name.start_with?('poll/', 'answers/') }.map { |_, actor, kind, _| [actor, kind] }
      expect(by).to eq([%w[odalys poll_begun], %w[odalys round_opened]])
      expect(over[0].select { |name, *| name.start_with?('answers/') }.map { |_, actor, kind, _| [actor, kind] }).to eq([%w[house counted]])
      # Ballots are by token, in the order of the tokens, and no token is made of what is known.
      tokens = JSON.parse(open[2].first[1])
      expect(tokens.keys).to eq(tokens.keys.sort)
      expect(tokens.values.tally).to eq(values.tally)
      known = [id, "poll/#{id}.p", 'p', '', '1']
      guesses = people.flat_map { |who| known.flat_map { |key| [OpenSSL::HMAC.hexdigest('SHA256', key, who), Digest::SHA256.hexdigest("#{key}#{who}")] } }
      expect(guesses.map { |guess| guess[0, 32] } & tokens.keys).to be_empty
      expect(open[2].to_s).not_to match(/#{people.join('|')}/)
      # The recording tells of the poll what the house has done, and of what was answered nothing that was not shown.
      length = staff.get("/api/recordings/#{id}").body['length']
      seen = staff.get("/api/recordings/#{id}/entries?from=0&to=#{length}").body['entries'].select { |entry| entry['stream'].match?(/poll|answers/) }
      expect(seen.map { |entry| entry.values_at('by', 'kind') }).to eq([%w[odalys poll_begun], %w[odalys round_opened], %w[odalys round_closed]])
      moment = staff.get("/api/recordings/#{id}/at?t=#{length}").body['streams'].select { |name, _| name.match?(/poll|answers/) }
      expect(JSON.generate(moment)).not_to match(/#{people.join('|')}|tally|count/)
      # Afterwards there is nothing to guess at.
      expect([over[2], ARCHIVE.db[:poll_secrets].where(poll: "poll/#{id}.p").count]).to eq([[], 0])
      expect(log).not_to match(/#{id}|poll\.answer|#{people.join('|')}/)
    end

    it 'tell nothing of one person by what two others change, until the round is closed' do
      wires = begin_poll(*people, question: hard)
      people.first(4).zip(values) { |who, value| answer(wires, who, value) }
      told = -> { ARCHIVE.log.ballots.told(poll, 1).last.tally }
      live(wires) { |one| one['answered'] == 4 }
      before = told.call
      expect(before.values.sum).to be_between(3, 4)
      # Two who change theirs again and again; and one, once.
      [['b'], ['c'], %w[a b c]].each { |value| %w[jonas nils].each { |who| answer(wires, who, value) } }
      answer(wires, 'farah', ['b'])
      3.times { expect(told.call).to eq(before) }
      run(wires, 'close', sitting, round: 1)
      until_true('it is counted') { answers_of(sitting).counted?(1) }
      expect(answers_of(sitting).of(1).tally).to eq(['b'] => 1, %w[a b c] => 2, ['a'] => 1)
    end

    it 'are one each, may be changed, and stay with the first where they may not' do
      wires = begin_poll('farah', 'jonas', question: hard.merge(change: false))
      wires['tab'] = join('farah')
      expect(answer(wires, 'farah', ['a'])['t']).to eq('done')
      expect(answer(wires, 'tab', ['a'])['t']).to eq('done')
      expect(answer(wires, 'tab', ['b'])).to include('code' => 'answered_already')
      expect(answer(wires, 'jonas', ['b'])['t']).to eq('done')
      expect(ARCHIVE.log.ballots.of(poll)[1].values).to match_array([['a'], ['b']])
      expect(VisitorClient.new(server, as: 'farah').get("#{path}/mine").body['answers'].first['value']).to eq(['a'])
      told = live(wires) { |found| found['answered'] == 2 }
      expect(staff.get("#{path}/p/answers").body['people']).to eq([])
      expect(told).to include('missing' => [], 'expected' => 2)
      expect(told['results']['tally']).to eq('count' => 2, 'right' => nil)
    end

    it 'tell staff no single answer while they come in, but several at once' do
      wires = begin_poll(*people, question: hard)
      seen = people.zip(values).map do |who, value|
        answer(wires, who, value)
        live(wires) { |told| told['answered'] > people.index(who) }['results']['tally']['options']&.sum { |row| row['count'] }
      end
      expect(seen).to eq([nil, nil, 4, 4, 4])
    end

    it 'compare rounds by who it was without telling who' do
      wires = begin_poll(*people, question: crossing.merge(names: false))
      people.zip(%w[red green green green red]) { |who, value| answer(wires, who, value) }
      run(wires, 'close', round: 1)
      run(wires, 'open', round: 2)
      people.each { |who| answer(wires, who, 'red', round: 2) }
      run(wires, 'close', round: 2)
      until_true('both are counted') { [1, 2].all? { |round| answers_of.counted?(round) } }
      moves = staff.get("#{path}/p/results?round=2&since=1").body['moves']
      expect(moves['ways'].map { |way| way.values_at('from', 'to', 'count') }).to eq([[['green'], ['red'], 3], [['red'], ['red'], 2]])
      expect(moves['right']).to eq('before' => 0.4, 'after' => 1.0, 'gain' => 1.0)
      run(wires, 'put_away')
      until_true('nothing is kept') { ARCHIVE.log.ballots.kept(sitting).empty? }
      expect(answers_of.moves(1, 2)[:ways].length).to eq(2)
    end
  end
end
