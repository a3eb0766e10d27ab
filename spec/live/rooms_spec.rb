# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Breakout rooms' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:staff) { VisitorClient.new(server, as: 'odalys') }
  let(:plan) { { by: 'rooms', number: 2, words: 'Roll for visibility.', minutes: 5, grace: 0 } }

  def join(who, on = server) = Wire.join(on, who, { sitting: sitting })
  def path = "/api/classes/#{sitting}/rooms"

  def deal(**more)
    answer = staff.post(path, { plan: plan.merge(more.delete(:plan) || {}), name: 'Fog drill', step: 'one', **more })
    expect(answer.status).to eq(201), answer.body.to_s
    answer.body['activity']
  end

  def open_rooms(activity) = expect(staff.post("#{path}/#{activity}/open").status).to eq(200)
  def activity(id) = ARCHIVE.log.state("staff/#{sitting}").first.activities[id]
  def state = ARCHIVE.log.state("sitting/#{sitting}").first
  def where(who) = state.seats[who]&.place

  def room_of(who, id) = activity(id)[:rooms].find { |room| room[:people].include?(who) }
  def gains(wire, stream) = wire.wait { |message| message['t'] == 'gained' && message['stream'] == stream }

  it 'are dealt, opened with a copy of the board each, worked in, closed by the clock, and known to the course' do
    wires = %w[odalys farah jonas nils hana].to_h { |who| [who, join(who)] }
    perform('odalys', 'board.put', "board/#{made[:board]}", sitting: sitting, marks: [text('w', 'prepared words')])
    id = deal
    expect(activity(id)[:rooms].map { |room| room[:people].length }).to eq([2, 2])
    posts = -> { staff.get("/api/classes/#{sitting}/places/main/heard?over=course").body['people'].find { |row| row['person'] == 'farah' }['posts'] }
    before = posts.call
    open_rooms(id)
    mine = room_of('farah', id)
    board = "board/#{mine[:boards].first[:id]}"
    view = gains(wires['farah'], board)['view']
    expect(view['marks'].map { |mark| mark['text'] }).to eq(['prepared words'])
    expect(wires['farah'].do('board.put', board, marks: [stroke('hers')])['t']).to eq('done')
    mate = (mine[:people] - ['farah']).first
    wires[mate].wait { |message| message['t'] == 'entry' && message['stream'] == board && message['kind'] == 'edited' }
    other = activity(id)[:rooms].find { |room| room[:id] != mine[:id] }
    expect(wires['farah'].do('board.put', "board/#{other[:boards].first[:id]}", marks: [stroke('x')])).to include('code' => 'no_access')
    expect(wires['farah'].give('exchange.post', "exchange/#{sitting}.#{mine[:id]}", { id: 'p1', text: 'here' })).to include('t' => 'done')
    wires[mate].wait { |message| message['kind'] == 'posted' && message['stream'] == "exchange/#{sitting}.#{mine[:id]}" }
    wires['odalys'].give('rooms.time', "staff/#{sitting}", { activity: id, rooms: [mine[:id], other[:id]], left: 0, grace: 0 })
    until_true('everyone is back') { %w[farah jonas nils hana].all? { |who| where(who) == 'main' } }
    expect(posts.call).to eq(before + 1)
    expect(ARCHIVE.room_work.who_sat(ARCHIVE.sittings.fetch(sitting)).last.map(&:sort)).to match_array([mine[:people].sort, other[:people].sort])
    offered = staff.get(path).body
    expect(offered['met'].map { |row| row.values_at('one', 'other').sort }).to include(mine[:people].sort, other[:people].sort)
    expect(offered['earlier'].map { |row| row['name'] }).to eq(['Fog drill'])
  end

  it 'get no copy of a board that is for staff, though the plan or the step names it' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    perform('odalys', 'board.put', "board/#{made[:staff_board]}", sitting: sitting, marks: [text('a', 'the answers')])
    id = deal(plan: { board: made[:staff_board] })
    open_rooms(id)
    expect(activity(id)[:rooms].map { |room| ARCHIVE.log.state("board/#{room[:boards].first[:id]}").first.marks.length }).to eq([0, 0])
  end

  it 'are dealt from the roster before the class, and opened by the cue of their step with those who came' do
    made = fresh_lesson
    cue!(made, { id: 'fog', kind: 'rooms', plan: plan.merge(number: 4) })
    id = fresh_class(open: false, **made)[:sitting]
    answer = staff.post("/api/classes/#{id}/rooms", { plan: plan.merge(number: 4), name: 'Fog drill', step: 'one', cue: 'fog' })
    dealt = -> { ARCHIVE.log.state("staff/#{id}").first.activities[answer.body['activity']] }
    expect(staff.get("/api/classes/#{id}/rooms").body['people'].length).to eq(dealt.call[:rooms].sum { |room| room[:people].length })
    expect(staff.post("/api/classes/#{id}/rooms/#{answer.body['activity']}/open").code).to eq('doors_closed')
    odalys = Wire.join(server, 'odalys', { sitting: id })
    odalys.do('class.open', "sitting/#{id}")
    people = %w[farah jonas]
    people.each { |who| Wire.join(server, who, { sitting: id }) }
    odalys.do('class.move', "sitting/#{id}", step: 'one')
    odalys.do('class.cue', "staff/#{id}", cue: 'fog')
    until_true('rooms are open') { dealt.call[:state] == 'open' }
    theirs = ->(who) { dealt.call[:rooms].find { |room| room[:people].include?(who) }[:id] }
    until_true('they are in theirs') { people.all? { |who| ARCHIVE.log.state("sitting/#{id}").first.seats[who].place == theirs.call(who) } }
  end

  it 'take latecomers to their room, and those who did not go when they were asked' do
    %w[odalys farah jonas nils].each { |who| join(who) }
    id = deal(plan: { ask: 5 })
    open_rooms(id)
    expect(where('farah')).to eq('main')
    hana = join('hana')
    until_true('she is in a room') { where('hana') == room_of('hana', id)&.fetch(:id) }
    gains(hana, "board/#{room_of('hana', id)[:boards].first[:id]}") unless hana.heard.to_s.include?(room_of('hana', id)[:boards].first[:id])
    until_true('all are in theirs') { %w[farah jonas nils].all? { |who| where(who) == room_of(who, id)[:id] } }
  end

  it 'lose nobody and have nobody in two places when the server is killed while they open, and open then' do
    people = %w[farah jonas nils hana emre ines]
    dying = Server.new
    ['odalys', *people].each { |who| join(who, dying) }
    id = VisitorClient.new(dying, as: 'odalys').post(path, { plan: plan.merge(number: 3), name: 'Fog drill' }).body['activity']
    opening = Thread.new do
      VisitorClient.new(dying, as: 'odalys').post("#{path}/#{id}/open")
    rescue StandardError
      nil
    end
    sleep(0.02 + (rand * 0.4))
    dying.kill
    opening.join
    consistent = -> { people.to_h { |who| [who, ARCHIVE.log.state("own/#{sitting}.#{who}").first.place] } }
    # What the dead process had asked of the database may still be carried out between two looks.
    until_true('both streams say the same') { consistent.call == people.to_h { |who| [who, where(who)] } }
    ['odalys', *people].each { |who| join(who) }
    open_rooms(id)
    until_true('all are in their rooms') { people.all? { |who| where(who) == room_of(who, id)[:id] } }
    # Once there, nobody is anywhere else in between.
    ways = people.to_h { |who| [who, ARCHIVE.log.entries("own/#{sitting}.#{who}").select { |entry| entry.kind == 'placed' }.map { |entry| entry.body[:place] }] }
    expect(ways.values.map(&:last)).to eq(people.map { |who| room_of(who, id)[:id] }), ways.inspect
    expect(ways.values.map { |way| way.drop_while { |place| place == 'main' }.uniq.length }.uniq).to eq([1]), ways.inspect
    expect(ARCHIVE.log.entries("staff/#{sitting}").map(&:kind).count('rooms_opened')).to eq(1)
  end

  it 'leave no board behind when they may not open, and keep the names of those who are expected' do
    offered = staff.get(path).body['known']
    expect(offered.map { |row| row['name'] }).to include('Farah Lindqvist', 'Keiko Brandão')
    %w[odalys farah jonas nils].each { |who| join(who) }
    first, second = deal, deal
    open_rooms(first)
    boards = -> { ARCHIVE.db[:boards].where(sitting_id: sitting).count }
    before = boards.call
    expect(staff.post("#{path}/#{second}/open").code).to eq('rooms_open')
    expect(boards.call).to eq(before)
    # Those who have not come are known by name all the same.
    expect(staff.get(path).body['known'].map { |row| row['name'] }).to include('Keiko Brandão')
  end

  it 'are opened once by two who open at once, on two server processes, and bring back on both' do
    servers = Array.new(2) { Server.new }
    wires = %w[odalys farah jonas nils].each_with_index.to_h { |who, i| [who, join(who, servers[i % 2])] }
    id = deal
    tomas = VisitorClient.new(servers[1], as: 'tomas')
    answers = [Thread.new { staff.post("#{path}/#{id}/open") }, Thread.new { tomas.post("#{path}/#{id}/open") }].map(&:value)
    expect(answers.map(&:status)).to include(200)
    expect(ARCHIVE.log.entries("staff/#{sitting}").map(&:kind).count('rooms_opened')).to eq(1)
    boards = activity(id)[:rooms].map { |room| room[:boards].first[:id] }
    expect(ARCHIVE.db[:boards].where(sitting_id: sitting, audience: 'room').select_map(:id)).to match_array(boards)
    %w[farah jonas nils].each { |who| gains(wires[who], "board/#{room_of(who, id)[:boards].first[:id]}") }
    expect(boards.map { |board| board[/\A[^-]+/] }).to match_array(activity(id)[:rooms].map { |room| room[:id] })
    wires['odalys'].give('rooms.time', "staff/#{sitting}", { activity: id, rooms: activity(id)[:rooms].map { |room| room[:id] }, left: 0 })
    until_true('everyone is back') { %w[farah jonas nils].all? { |who| where(who) == 'main' } }
  end

  it 'open again with the work of an earlier class, which stays as it was' do
    %w[odalys farah jonas].each { |who| join(who) }
    id = deal
    open_rooms(id)
    mine = room_of('farah', id)
    perform('farah', 'board.put', "board/#{mine[:boards].first[:id]}", sitting: sitting, marks: [text('y', 'from yesterday')])
    sleep 0.2
    perform('odalys', 'class.end', "sitting/#{sitting}")
    today = Veranda::Preparing::Classes.new(ARCHIVE).ready(ARCHIVE.lessons.fetch(made[:lesson]), again: true)
    perform('odalys', 'class.open', "sitting/#{today}")
    expect(today).not_to eq(sitting)
    wire = Wire.join(server, 'farah', { sitting: today })
    answer = staff.post("/api/classes/#{today}/rooms", { plan: plan, name: 'Again', earlier: id })
    expect(answer.status).to eq(201), answer.body.to_s
    expect(staff.post("/api/classes/#{today}/rooms/#{answer.body['activity']}/open").status).to eq(200)
    gained = wire.wait { |message| message['t'] == 'gained' && message['stream'].start_with?('board/') && message['view']['marks'].any? }
    expect(gained['view']['marks'].map { |mark| mark['text'] }).to eq(['from yesterday'])
    expect(gained['stream']).not_to eq("board/#{mine[:boards].first[:id]}")
    # Whose a room's board is, does not change by its address.
    patched = staff.patch("/api/boards/#{gained['stream'].delete_prefix('board/')}", { audience: 'everyone', people: [] })
    expect(patched.body).to include('code' => 'is_a_copy')
  end

  it 'are open by address to those inside, to who sat there afterwards, and to nobody else' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    id = deal
    open_rooms(id)
    until_true('all are in') { %w[farah jonas nils hana].all? { |who| where(who) == room_of(who, id)[:id] } }
    visitors = %w[odalys farah jonas nils hana].to_h { |who| [who, VisitorClient.new(server, as: who)] }
    look = lambda do |who|
      board = room_of('farah', id)[:boards].first[:id]
      ["/api/boards/#{board}/p1.svg", "/api/boards/#{board}/small.svg"].map { |address| visitors[who].get(address).status }.uniq
    end
    inside = room_of('farah', id)[:people]
    outside = %w[farah jonas nils hana] - inside
    expect(['odalys', *inside].map(&look).flatten).to all(eq(200))
    expect(outside.map(&look).flatten).to all(eq(404).or(eq(403)))
    perform('odalys', 'class.end', "sitting/#{sitting}")
    inside = room_of('farah', id)[:people]
    outside = %w[farah jonas nils hana] - inside
    expect(['odalys', *inside].map(&look).flatten).to all(eq(200))
    expect(outside.map(&look).flatten).to all(eq(404).or(eq(403)))
  end

  it 'are listed with the lesson afterwards: all to staff, to others those they sat in; and saved, one or all' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    id = deal
    open_rooms(id)
    until_true('all are in') { %w[farah jonas nils hana].all? { |who| where(who) == room_of(who, id)[:id] } }
    mine, other = activity(id)[:rooms].partition { |room| room[:people].include?('farah') }.map(&:first)
    perform('odalys', 'class.end', "sitting/#{sitting}")
    visitors = %w[odalys farah emre].to_h { |who| [who, VisitorClient.new(server, as: who)] }
    rooms = visitors.transform_values do |visitor|
      visitor.get("/api/lessons/#{made[:lesson]}/activities").body['activities'].flat_map { |row| row['rooms'] }.map { |room| room['id'] }
    end
    expect(rooms).to match('odalys' => match_array([mine[:id], other[:id]]), 'farah' => [mine[:id]], 'emre' => [])
    all = "/api/lessons/#{made[:lesson]}/activities/#{id}.pdf"
    expect([visitors['odalys'].get(all).status, visitors['farah'].get(all).status]).to eq([200, 403])
    pdf = ->(who, room) { visitors[who].get("/api/boards/#{room[:boards].first[:id]}.pdf").status }
    expect([pdf.call('farah', mine), pdf.call('odalys', other)]).to eq([200, 200])
    expect([pdf.call('farah', other), pdf.call('emre', mine)]).to all(be >= 403)
    stranger = VisitorClient.new(server)
    expect(stranger.get("/api/lessons/#{made[:lesson]}/activities").status).to eq(401)
  end

  it 'have their words read by staff who are inside; from outside only where they are told that it may be so' do
    odalys, farah = %w[odalys farah].map { |who| join(who) }
    %w[jonas nils hana].each { |who| join(who) }
    id = deal
    open_rooms(id)
    mine = room_of('farah', id)
    words = "exchange/#{sitting}.#{mine[:id]}"
    gains(farah, words)
    expect(farah.give('exchange.post', words, { id: 'p1', text: 'between us' })).to include('t' => 'done')
    odalys.say(t: 'follow', streams: [words])
    odalys.give('rooms.step_in', "sitting/#{sitting}", { to: mine[:id], from: 'main' })
    view = gains(odalys, words)['view']
    expect(view['posts'].map { |post| post['text'] }).to eq(['between us'])
    odalys.give('rooms.step_in', "sitting/#{sitting}", { to: 'main', from: mine[:id] })
    odalys.wait { |message| message['t'] == 'lost' && message['stream'] == words }
    farah.give('exchange.post', words, { id: 'p2', text: 'among ourselves' })
    odalys.give('class.raise_hand', "place/#{sitting}.main", {})
    expect(JSON.generate(odalys.heard)).not_to include('among ourselves')
    saved = -> { staff.get("/api/classes/#{sitting}/transcript.csv").body.to_s }
    expect(saved.call).not_to match(/between us|among ourselves/)
    perform('odalys', 'class.end', "sitting/#{sitting}")
    expect(saved.call).to include('between us', 'among ourselves')
  end

  it 'get a copy of a board each while they are open, which is theirs alone, and of none that is for staff' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    id = deal
    give = ->(board, **more) { staff.post("#{path}/#{id}/boards", { board: board, **more }) }
    expect(give.call(made[:board]).code).to eq('rooms_closed')
    open_rooms(id)
    perform('odalys', 'board.put', "board/#{made[:board]}", sitting: sitting, marks: [text('w', 'one more task')])
    mine, other = room_of('farah', id), activity(id)[:rooms].find { |room| !room[:people].include?('farah') }
    expect([give.call(made[:staff_board]).code, give.call('nowhere').code, give.call(made[:board], rooms: ['nowhere']).code])
      .to eq(%w[board_for_staff no_such_board rooms_closed])
    expect(VisitorClient.new(server, as: 'farah').post("#{path}/#{id}/boards", { board: made[:board] }).status).to eq(403)
    expect(give.call(made[:board]).status).to eq(200)
    given = [mine, other].to_h { |room| [room[:id], activity(id)[:rooms].find { |one| one[:id] == room[:id] }[:boards].last[:id]] }
    expect(given.values.map { |board| ARCHIVE.log.state("board/#{board}").first.marks.keys }).to eq([['w'], ['w']])
    expect(given.map { |room, board| ARCHIVE.log.state("place/#{sitting}.#{room}").first.shown[:board] == board }).to all(be(true))
    read = ->(board) { VisitorClient.new(server, as: 'farah').get("/api/boards/#{board}/p1.svg").status }
    until_true('she is in') { where('farah') == mine[:id] }
    expect([read.call(given[mine[:id]]), read.call(given[other[:id]])]).to match([200, be >= 403])
  end

  it 'are put side by side on a board for everyone, and stay as they were; only what was chosen is on it' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    id = deal
    open_rooms(id)
    rooms = activity(id)[:rooms]
    rooms.each_with_index do |room, i|
      marks = [text("w#{i}", "words of #{i}"), text("s#{i}", "secret of #{i}", y: 500)]
      perform(room[:people].first, 'board.put', "board/#{room[:boards].first[:id]}", sitting: sitting, marks: marks)
    end
    pieces = rooms.each_with_index.map { |room, i| { room: room[:id], board: room[:boards].first[:id], page: 'p1', marks: ["w#{i}"] } }
    beside = ->(some, as: staff) { as.post("#{path}/#{id}/side-by-side", { pieces: some }) }
    bad = [pieces.first.merge(room: rooms.last[:id]), pieces.first.merge(board: made[:staff_board]), pieces.first.merge(page: 'p9'), pieces.first.merge(room: 'r')]
    expect(bad.map { |piece| beside.call([piece]).code }).to eq(%w[no_such_board no_such_board no_such_page no_such_room])
    expect([beside.call([]).status, beside.call(pieces * 60).status, beside.call(pieces, as: VisitorClient.new(server, as: 'farah')).status]).to eq([422, 422, 403])
    board = beside.call(pieces).body['board']
    words = ARCHIVE.log.state("board/#{board}").first.words
    expect(words).to include('words of 0', 'words of 1', *rooms.map { |room| room[:name] })
    expect(words).not_to include('secret')
    expect(ARCHIVE.lessons.board(board)).to include(audience: 'everyone', lesson_id: made[:lesson])
    expect(rooms.map { |room| ARCHIVE.log.state("board/#{room[:boards].first[:id]}").first.marks.length }).to eq([2, 2])
    farah = join('farah')
    expect(farah.heard.to_s).to include(board).or(satisfy { gains(farah, "board/#{board}") })
  end

  it 'are shared one by one with all of the class, in the recording too, and taken back' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    id = deal
    open_rooms(id)
    until_true('all are in') { %w[farah jonas nils hana].all? { |who| where(who) == room_of(who, id)[:id] } }
    other = activity(id)[:rooms].find { |room| !room[:people].include?('farah') }
    sleep 0.2
    perform('odalys', 'class.end', "sitting/#{sitting}")
    ARCHIVE.recordings.update(sitting, shared: true)
    farah = VisitorClient.new(server, as: 'farah')
    seen = lambda do
      [farah.get("/api/lessons/#{made[:lesson]}/activities").body['activities'].flat_map { |row| row['rooms'].map { |room| room['id'] } }.include?(other[:id]),
       farah.get("/api/recordings/#{sitting}").body['rooms'].map { |room| room['id'] }.include?(other[:id]),
       farah.get("/api/boards/#{other[:boards].first[:id]}/p1.svg").status == 200]
    end
    share = ->(on, as: staff) { as.patch("/api/lessons/#{made[:lesson]}/activities/#{id}/rooms/#{other[:id]}", { shared: on }).status }
    expect([seen.call, share.call(true, as: farah), share.call('yes')]).to eq([[false] * 3, 403, 422])
    expect([share.call(true), seen.call, share.call(false), seen.call]).to eq([200, [true] * 3, 200, [false] * 3])
    expect(staff.patch("/api/lessons/#{made[:lesson]}/activities/nothing/rooms/#{other[:id]}", { shared: true }).code).to eq('no_such_activity')
  end

  it 'are in the recording for staff and for those who sat in them, by room, and for nobody else' do
    %w[odalys farah jonas nils hana].each { |who| join(who) }
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    id = deal
    open_rooms(id)
    until_true('all are in') { %w[farah jonas nils hana].all? { |who| where(who) == room_of(who, id)[:id] } }
    mine, other = activity(id)[:rooms].partition { |room| room[:people].include?('farah') }.map(&:first)
    perform('farah', 'board.put', "board/#{mine[:boards].first[:id]}", sitting: sitting, marks: [text('secret', 'words of the first room')])
    perform('farah', 'exchange.post', "exchange/#{sitting}.#{mine[:id]}", id: 'p', text: 'said in the first room')
    sleep 0.2
    perform('odalys', 'class.end', "sitting/#{sitting}")
    ARCHIVE.recordings.update(sitting, shared: true)
    watchers = %w[odalys farah emre].to_h { |who| [who, VisitorClient.new(server, as: who)] }
    rooms = watchers.transform_values { |one| one.get("/api/recordings/#{sitting}").body['rooms'].map { |room| room['id'] } }
    expect(rooms).to match('odalys' => match_array([mine[:id], other[:id]]), 'farah' => [mine[:id]], 'emre' => [])
    length = watchers['odalys'].get("/api/recordings/#{sitting}").body['length']
    look = ->(who, room) { ["at?t=#{length}&room=#{room}", "entries?from=0&to=#{length}&room=#{room}"].map { |path| watchers[who].get("/api/recordings/#{sitting}/#{path}") } }
    look.call('farah', mine[:id]).each { |answer| expect(JSON.generate(answer.body)).to include('words of the first room').and include('said in the first room') }
    expect(look.call('odalys', mine[:id]).map(&:status)).to eq([200, 200])
    [['farah', other[:id]], ['emre', mine[:id]], ['farah', 'main'], ['farah', '../staff']].each do |who, room|
      expect(look.call(who, room).map(&:status)).to eq([404, 404])
    end
    main = watchers['emre'].get("/api/recordings/#{sitting}/entries?from=0&to=#{length}")
    expect(JSON.generate(main.body)).not_to match(/first room/)
  end

  it 'are dealt by a cue and opened by the same, on two server processes once' do
    made = fresh_lesson
    cue!(made, { id: 'fog', kind: 'rooms', label: 'Fog drill', plan: { by: 'rooms', number: 2, names: %w[Pell Marram] } })
    hall = fresh_class(**made)[:sitting]
    servers = Array.new(2) { Server.new }
    odalys, *students = %w[odalys farah jonas nils hana].each_with_index.map { |who, i| Wire.join(servers[i % 2], who, { sitting: hall }) }
    fog = -> { ARCHIVE.log.state("staff/#{hall}").first.activities['fog'] }
    odalys.do('class.move', "sitting/#{hall}", step: 'one')
    3.times do |i|
      expect(odalys.give('class.cue', "staff/#{hall}", { cue: 'fog' })['t']).to eq('done')
      until_true("the cue was done (#{i})") { fog.call&.fetch(:state) == %w[dealt open open][i] }
    end
    expect(fog.call).to include(name: 'Fog drill', step: 'one')
    expect(fog.call[:rooms].map { |room| room[:name] }).to eq(%w[Pell Marram])
    students.each { |wire| wire.wait { |message| message['t'] == 'gained' && message['stream'].include?('--') } }
    sleep 1
    expect(ARCHIVE.log.entries("staff/#{hall}").map(&:kind).tally).to include('rooms_opened' => 1)
    boards = fog.call[:rooms].map { |room| room[:boards].first[:id] }
    odalys.give('rooms.time', "staff/#{hall}", { activity: 'fog', rooms: fog.call[:rooms].map { |room| room[:id] }, left: 0, grace: 0 })
    until_true('they are closed') { fog.call[:state] == 'closed' }
    until_true('all are back') { ARCHIVE.log.state("sitting/#{hall}").first.seats.values.all? { |seat| seat.place == 'main' } }
    expect(odalys.give('class.cue', "staff/#{hall}", { cue: 'fog' })['t']).to eq('done')
    all = -> { ARCHIVE.log.state("staff/#{hall}").first.activities.to_a }
    until_true('they are dealt anew') { all.call.length == 2 }
    sleep 1
    expect(all.call.map { |one| one[:state] }).to eq(%w[closed dealt])
    expect(fog.call[:rooms].map { |room| room[:boards].first[:id] }).to eq(boards)
  end

  it 'tell who is still where the others work' do
    wires = %w[odalys farah jonas nils hana].to_h { |who| [who, join(who)] }
    id = deal
    open_rooms(id)
    mine = room_of('farah', id)
    gains(wires['farah'], "board/#{mine[:boards].first[:id]}")
    wires['farah'].do('board.put', "board/#{mine[:boards].first[:id]}", marks: [stroke('hers')])
    rows = staff.get("#{path}/#{id}/pulse").body['rooms'].to_h { |row| [row['room'], row] }
    expect(rows[mine[:id]]['parts'].last).to eq(1)
    expect(rows.except(mine[:id]).values.map { |row| [row['last'], row['parts'].sum] }).to eq([[nil, 0]])
  end

  it 'are refused to those who do not teach, to too few, and with anything odd' do
    farah = join('farah')
    expect(staff.post(path, { plan: plan, name: 'x' }).body).to include('code' => 'too_few')
    student = VisitorClient.new(server, as: 'farah')
    expect([student.get(path), student.post(path, { plan: plan, name: 'x' }), student.post("#{path}/a/open"), student.get("#{path}/a/pulse")].map(&:status)).to all(eq(403))
    expect(staff.post("#{path}/nowhere/open").body).to include('code' => 'no_such_activity')
    expect(staff.post(path, { plan: { by: 'rooms', number: 0 }, name: 'x' }).body).to include('code' => 'bad_input')
    expect(staff.post(path, { plan: { by: 'luck', number: 2 }, name: 'x' }).body).to include('code' => 'bad_input')
    expect(farah.do('rooms.open', "staff/#{sitting}", activity: 'a', rooms: [], people: [])).to include('t' => 'refused')
    expect(farah.do('rooms.bring_back', "staff/#{sitting}", activity: 'a', rooms: ['r'], people: [])).to include('t' => 'refused')
    join('jonas')
    id = deal(plan: { number: 30 })
    expect(activity(id)[:rooms].length).to eq(1)
    room = activity(id)[:rooms].first[:id]
    wire = join('odalys')
    expect(wire.do('rooms.time', "staff/#{sitting}", activity: id, rooms: [room], more: 60)).to include('code' => 'unknown_stream')
    expect(wire.do('rooms.assign', "staff/#{sitting}", activity: id, moves: [{ person: 'farah', from: 'nowhere', room: room }])['t']).to eq('refused')
    expect(wire.do('class.rule', "place/#{sitting}.main", right: 'draw', allow: true)['t']).to eq('done')
  end
end
