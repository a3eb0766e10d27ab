# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Handing a board out' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:board) { "board/#{made[:board]}" }
  let(:visitors) { Hash.new { |all, who| all[who] = VisitorClient.new(server, as: who) } }

  def join(who) = Wire.new(visitors[who]).tap { |wire| wire.hello({ sitting: made[:sitting] }) }
  def own_copy(wire) = wire.wait { |message| message['kind'] == 'copy_given' }['body']['board']

  def gained(wire, copy) = wire.wait { |message| message['t'] == 'gained' && message['stream'] == "board/#{copy}" }

  def hand_out(by)
    perform('odalys', 'board.put', board, marks: [stroke('prepared')])
    expect(by.do('class.hand_out', sitting, board: made[:board], on: true)['t']).to eq('done')
  end

  it 'gives everyone a copy of their own, also who comes late, and nobody that of another' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    hand_out(odalys)
    copies = { 'farah' => own_copy(farah), 'jonas' => own_copy(jonas) }
    expect(gained(farah, copies['farah'])['view']['marks'].map { |mark| mark['id'] }).to eq(['prepared'])
    gained(jonas, copies['jonas'])
    odalys.do('class.rule', "place/#{made[:sitting]}.main", right: 'draw', allow: false)
    expect(farah.do('board.put', "board/#{copies['farah']}", marks: [stroke('hers')])['t']).to eq('done')
    expect(farah.do('board.put', "board/#{copies['jonas']}", marks: [stroke('not-hers')])).to include('code' => 'no_access')
    expect(farah.do('board.put', board, marks: [stroke('x')])).to include('code' => 'may_not_draw')
    late = join('nils')
    gained(late, own_copy(late))
    expect(ARCHIVE.own_copies.of_lesson(made[:lesson]).map { |row| row[:owner_id] }).to match_array(%w[farah jonas nils])
  end

  it 'opens a copy by no address to another student, and by following it neither' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    hand_out(odalys)
    copy = own_copy(farah)
    own_copy(jonas)
    farah.do('board.put', "board/#{copy}", marks: [text('secret', 'hers alone')])
    addresses = %W[/api/boards/#{copy}/small.svg /api/boards/#{copy}/p1.svg /api/boards/#{copy}/p1.png /api/boards/#{copy}.pdf /api/boards/#{copy}/at/1 /api/boards/#{copy}/changes]
    expect(addresses.map { |address| visitors['jonas'].get(address).status }).to all(eq(403))
    jonas.say(t: 'follow', streams: ["board/#{copy}", "board/#{made[:staff_board]}", 'board/nowhere'])
    jonas.say(t: 'follow', streams: ['staff/x'])
    jonas.wait_for('error')
    jonas.do('class.raise_hand', "place/#{made[:sitting]}.main")
    expect(jonas.heard.to_s).not_to include('hers alone')
    expect(visitors['jonas'].get("/api/classes/#{made[:sitting]}/copies").status).to eq(403)
    expect(visitors['odalys'].patch("/api/boards/#{copy}", { audience: 'everyone' }).body).to include('code' => 'is_a_copy')
    expect(visitors['jonas'].post("/api/classes/#{made[:sitting]}/boards", { copy: copy, named: true }).status).to eq(403)
  end

  it 'lets staff look at copies as they are drawn, and tells how each comes along' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    hand_out(odalys)
    copies = [own_copy(farah), own_copy(jonas)]
    gained(farah, copies[0])
    expect(odalys.heard.to_s).not_to include("gained board/#{copies[0]}")
    odalys.say(t: 'follow', streams: copies.map { |copy| "board/#{copy}" })
    gained(odalys, copies[0])
    farah.do('board.put', "board/#{copies[0]}", marks: [stroke('hers')])
    odalys.wait { |message| message['t'] == 'entry' && message['stream'] == "board/#{copies[0]}" }
    rows = visitors['odalys'].get("/api/classes/#{made[:sitting]}/copies").body['copies'].to_h { |row| row.values_at('person', 'edits') }
    expect(rows).to eq('farah' => 1, 'jonas' => 0)
    odalys.say(t: 'follow', streams: [])
    expect(odalys.wait { |message| message['t'] == 'lost' && message['stream'] == "board/#{copies[1]}" }).not_to have_key('says')
  end

  it 'puts one in front of all, with its name or with none in it' do
    odalys, farah = %w[odalys farah].map { |who| join(who) }
    hand_out(odalys)
    copy = own_copy(farah)
    gained(farah, copy)
    farah.do('board.put', "board/#{copy}", marks: [stroke('hers')])
    with, without = [true, false].map do |named|
      visitors['odalys'].post("/api/classes/#{made[:sitting]}/boards", { copy: copy, named: named }).body['board']
    end
    views = [with, without].map { |id| gained(farah, id)['view'] }
    expect(views.map { |view| JSON.generate(view).include?('farah') || JSON.generate(view).include?('Farah') }).to eq([true, false])
    expect(views.map { |view| view['marks'].map { |mark| mark['id'] } }).to all(match_array(%w[prepared hers]))
    names = ARCHIVE.lessons.boards(made[:lesson]).to_h { |row| row.values_at(:id, :name) }
    expect([names[with], names[without]]).to eq(["Open board (#{Demo::School.person('farah').name})", 'Open board (one of the copies)'])
    expect(odalys.do('class.show', "place/#{made[:sitting]}.main", board: without, page: 'p1')['t']).to eq('done')
    expect(visitors['odalys'].post("/api/classes/#{made[:sitting]}/boards", { copy: made[:board], named: true }).body).to include('code' => 'no_such_board')
  end

  it 'gives copies back: after the class everyone has theirs in the lesson, and goes on with it' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    hand_out(odalys)
    copy = own_copy(farah)
    others = own_copy(jonas)
    odalys.do('class.end', sitting)
    after = visitors['farah'].get("/api/lessons/#{made[:lesson]}").body
    expect(after['copies'].map { |row| row['id'] }).to eq([copy])
    expect(after['boards'].map { |row| row['id'] }).to eq([made[:board]])
    owners = visitors['odalys'].get("/api/lessons/#{made[:lesson]}").body['copies'].map { |row| row['owner'] }
    expect(owners).to match_array(%w[farah jonas].map { |who| Demo::School.person(who).name })
    home = Wire.join(server, 'farah', { lesson: made[:lesson] })
    expect(home.do('board.put', "board/#{copy}", marks: [stroke('homework')])['t']).to eq('done')
    expect(home.do('board.put', "board/#{others}", marks: [stroke('x')])).to include('code' => 'no_access')
  end

  it 'is rehearsed with stand-ins, whose copies go with the rehearsal' do
    perform('odalys', 'board.put', board, marks: [stroke('prepared')])
    rehearsal = visitors['odalys'].post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 5 }).body['sitting']
    odalys = Wire.new(visitors['odalys'])
    odalys.hello({ sitting: rehearsal })
    odalys.do('class.open', "sitting/#{rehearsal}")
    copy = ARCHIVE.lessons.boards(made[:lesson], rehearsal_id: rehearsal).first[:id]
    odalys.do('class.hand_out', "sitting/#{rehearsal}", board: copy, on: true)
    copies = -> { ARCHIVE.log.state("staff/#{rehearsal}").first.copies.keys }
    until_true('each has a copy') { copies.call.length == 5 }
    expect(ARCHIVE.own_copies.of_lesson(made[:lesson])).to be_empty
    odalys.do('class.show', "place/#{rehearsal}.main", board: copy, page: 'p1')
    own = copies.call.map { |id| "board/#{id}" }
    expect(own.length).to eq(5)
    drawn = -> { own.sum { |stream| ARCHIVE.log.entries(stream).count { |entry| entry.actor.start_with?('stand-in-') } } }
    until_true('they draw') { drawn.call.positive? }
    odalys.do('class.end', "sitting/#{rehearsal}")
    ARCHIVE.db[:sittings].where(id: rehearsal).update(made_at: Time.now - 30 * 86_400)
    ARCHIVE.sittings.prune
    expect(ARCHIVE.db[:boards].where(rehearsal_id: rehearsal).count).to eq(0)
  end
end

RSpec.describe 'A board for some' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }
  let(:odalys) { VisitorClient.new(server, as: 'odalys') }

  def set(**changes) = odalys.patch("/api/boards/#{made[:board]}", changes)

  it 'is taken from those whom it does not name, at once and at every address, and told to those it does' do
    farah, jonas = %w[farah jonas].map { |who| Wire.join(server, who, { sitting: made[:sitting] }) }
    expect(set(audience: 'people', people: ['farah']).status).to eq(200)
    jonas.wait { |message| message['t'] == 'lost' && message['stream'] == board && message['says'] }
    farah.wait { |message| message['kind'] == 'boards' && message['stream'] == "own/#{made[:sitting]}.farah" }
    expect(farah.do('board.put', board, marks: [stroke('hers')])['t']).to eq('done')
    expect(jonas.do('board.put', board, marks: [stroke('his')])).to include('code' => 'no_access')
    reads = %w[farah jonas].map { |who| VisitorClient.new(server, as: who).get("/api/boards/#{made[:board]}/p1.svg").status }
    expect(reads).to eq([200, 403])
    expect(VisitorClient.new(server, as: 'jonas').get("/api/lessons/#{made[:lesson]}").body['boards']).to be_empty
    set(audience: 'people', people: ['jonas'])
    jonas.wait { |message| message['t'] == 'gained' && message['stream'] == board }
    farah.wait { |message| message['t'] == 'lost' && message['stream'] == board }
  end

  it 'names those who have a part in the lesson, and nobody else' do
    expect(set(audience: 'people', people: ['nobody-here']).body).to include('code' => 'not_invited')
    expect(set(audience: 'nonsense').body).to include('code' => 'bad_input')
    expect(ARCHIVE.lessons.board(made[:board])).to include(audience: 'everyone', people: [])
  end
end
