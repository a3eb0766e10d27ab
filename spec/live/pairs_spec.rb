# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Pairs' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:staff) { VisitorClient.new(server, as: 'odalys') }

  def join(who) = Wire.join(server, who, { sitting: made[:sitting] })
  def draw(**wishes) = staff.post("/api/classes/#{made[:sitting]}/places/main/pairs", wishes)
  def partners(wire) = wire.wait { |message| message['kind'] == 'partnered' }['body']['people'].map { |one| one['id'] }

  it 'are drawn among the students who are there, told to each, and remembered by the course' do
    wires = %w[odalys farah jonas nils hana].to_h { |who| [who, join(who)] }
    answer = draw(size: 2)
    expect(answer.status).to eq(201)
    pairs = answer.body['pairs'].map { |pair| pair['people'] }
    expect(pairs.flatten).to match_array(%w[farah jonas nils hana])
    expect(wires.except('odalys').map { |who, wire| [who, partners(wire).include?(who)] }).to all(include(true))
    expect(ARCHIVE.pairings.of_course('navigation')).to include(pairs)
    wires['odalys'].do('class.rule', room, right: 'threads', allow: false)
    partner = pairs.find { |people| people.include?('farah') }.find { |who| who != 'farah' }
    expect(ARCHIVE.log.state(room).first.pairs).to include(pairs: 2)
    expect(wires['farah'].give('exchange.begin_thread', "exchange/#{made[:sitting]}.main",
                               { id: 'tp', people: [partner], staff: false, post: { id: 'p1', text: 'you first' } })).to include('t' => 'done')
    stranger = (%w[jonas nils hana] - [partner]).first
    expect(wires['farah'].give('exchange.begin_thread', "exchange/#{made[:sitting]}.main",
                               { id: 'ts', people: [stranger], staff: false, post: { id: 'p2', text: 'psst' } })).to include('code' => 'may_not_threads')
  end

  it 'work on a copy of the board that is theirs together and opens to nobody else' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    perform('odalys', 'board.put', "board/#{made[:board]}", marks: [stroke('prepared')])
    expect(draw(size: 2, board: made[:board]).status).to eq(201)
    given = [farah, jonas].map { |wire| wire.wait { |message| message['kind'] == 'copy_given' }['body']['board'] }
    expect(given.uniq.length).to eq(1)
    [farah, jonas].each { |wire| wire.wait { |message| message['t'] == 'gained' && message['stream'] == "board/#{given[0]}" } }
    expect(farah.do('board.put', "board/#{given[0]}", marks: [stroke('hers')])['t']).to eq('done')
    jonas.wait { |message| message['t'] == 'entry' && message['stream'] == "board/#{given[0]}" }
    nils = join('nils')
    own = nils.wait { |message| message['kind'] == 'copy_given' }['body']['board']
    expect(own).not_to eq(given[0])
    expect(nils.do('board.put', "board/#{given[0]}", marks: [stroke('x')])).to include('code' => 'no_access')
    odalys.do('class.end', sitting)
    home = VisitorClient.new(server, as: 'jonas').get("/api/lessons/#{made[:lesson]}").body['copies']
    expect(home.map { |row| row.values_at('id', 'owner') }).to eq([[given[0], %w[farah jonas].map { |who| Demo::School.person(who).name }.sort.join(' and ')]])
  end

  it 'are drawn by a cue, once on two server processes, each pair with a copy' do
    made = fresh_lesson
    cue!(made, { id: 'two', kind: 'pairs', size: 2, board: made[:board] })
    sitting = fresh_class(**made)[:sitting]
    servers = Array.new(2) { Server.new }
    odalys, farah, jonas = %w[odalys farah jonas].each_with_index.map { |who, i| Wire.join(servers[i % 2], who, { sitting: sitting }) }
    expect(odalys.give('class.cue', "staff/#{sitting}", { cue: 'two' })['t']).to eq('done')
    given = [farah, jonas].map { |wire| wire.wait { |message| message['kind'] == 'copy_given' }['body']['board'] }
    sleep 1
    expect(given.uniq.length).to eq(1)
    expect(ARCHIVE.own_copies.of_lesson(made[:lesson]).map { |row| row[:id] }).to eq(given.uniq)
    expect(ARCHIVE.log.entries("place/#{sitting}.main").map(&:kind).count('pairs_drawn')).to eq(1)
  end

  it 'are refused where there is nobody to pair, to those who do not teach, and with anything odd' do
    farah = join('farah')
    expect(draw(size: 2).body).to include('code' => 'too_few')
    expect(draw(size: 4).body).to include('code' => 'bad_input')
    expect(draw(size: 2, board: made[:staff_board]).body['code']).to eq('board_for_staff')
    expect(VisitorClient.new(server, as: 'farah').post("/api/classes/#{made[:sitting]}/places/main/pairs", { size: 2 }).status).to eq(403)
    expect(staff.post("/api/classes/#{made[:sitting]}/places/nowhere/pairs", { size: 2 }).body).to include('code' => 'no_such_place')
    expect(farah.do('class.pair', room, round: 'r', size: 2, seed: 1, pairs: [{ people: %w[farah jonas] }])).to include('code' => 'unknown_command')
    expect(farah.do('class.end_pairs', room)).to include('code' => 'staff_only')
  end
end
