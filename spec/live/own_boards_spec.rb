# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'A board that a student makes' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:visitors) { Hash.new { |all, who| all[who] = VisitorClient.new(server, as: who) } }

  def make(who, name = 'Sketches') = visitors[who].post("/api/classes/#{made[:sitting]}/own-boards", { name: name })
  def join(who) = Wire.new(visitors[who]).tap { |wire| wire.hello({ sitting: made[:sitting] }) }

  it 'is theirs, whatever the rules are, and staff open it to others' do
    odalys, farah, jonas = %w[odalys farah jonas].map { |who| join(who) }
    expect(make('farah').body).to include('code' => 'may_not_add')
    odalys.do('class.rule', room, right: 'add', allow: true)
    board = make('farah').body['board']
    farah.wait { |message| message['t'] == 'gained' && message['stream'] == "board/#{board}" }
    %w[draw add].each { |right| odalys.do('class.rule', room, right: right, allow: false) }
    expect(farah.do('board.put', "board/#{board}", marks: [stroke('hers')])['t']).to eq('done')
    expect(jonas.do('board.put', "board/#{board}", marks: [stroke('his')])).to include('code' => 'no_access')
    expect(visitors['farah'].patch("/api/boards/#{board}", { audience: 'everyone' }).status).to eq(403)
    expect(visitors['odalys'].patch("/api/boards/#{board}", { audience: 'everyone' }).status).to eq(200)
    jonas.wait { |message| message['t'] == 'gained' && message['stream'] == "board/#{board}" }
    expect(jonas.do('board.put', "board/#{board}", marks: [stroke('his')])).to include('code' => 'may_not_draw')
    expect(farah.do('board.put', "board/#{board}", marks: [stroke('again')])['t']).to eq('done')
  end

  it 'is made by those who are in the class, a few of them, with a name' do
    odalys = join('odalys')
    odalys.do('class.rule', room, right: 'add', allow: true)
    expect(make('farah').body).to include('code' => 'not_here')
    join('farah')
    expect([make('farah', '   ').status, make('farah', 'x' * 90).status]).to eq([422, 422])
    made_so_far = Array.new(11) { make('farah').status }
    expect(made_so_far).to eq(([201] * 10) + [422])
    expect(ARCHIVE.lessons.boards(made[:lesson]).length).to eq(12)
  end

  it 'is one of ten also when somebody makes many at the same moment' do
    join('odalys').do('class.rule', room, right: 'add', allow: true)
    join('farah')
    codes = Array.new(14) { |i| Thread.new { VisitorClient.new(server, as: 'farah').post("/api/classes/#{made[:sitting]}/own-boards", { name: "Nr #{i}" }).status } }.map(&:value)
    expect(codes.tally).to eq(201 => 10, 422 => 4)
  end
end
