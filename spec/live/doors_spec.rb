# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Coming in, being sent back and being removed' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:staff) { "staff/#{made[:sitting]}" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:board) { "board/#{made[:board]}" }
  let(:odalys) { join('odalys') }

  def join(who) = Wire.join(server, who, { sitting: made[:sitting] })
  def again(visitor) = Wire.new(visitor).tap { |wire| wire.hello({ sitting: made[:sitting] }) }

  it 'lets people in one by one where staff ask for that, and all who wait once they do not' do
    odalys.do('class.set_doors', staff, each: true)
    farah, jonas = join('farah'), join('jonas')
    expect(farah.wait_for('welcome')['streams'].map { |part| part['stream'] }).not_to include(room)
    expect(farah.do('board.put', board, marks: [stroke('early')])).to include('code' => 'no_access')
    odalys.do('class.let_in', sitting, people: ['farah'])
    farah.wait { |message| message['t'] == 'gained' && message['stream'] == room }
    expect(farah.do('board.put', board, marks: [stroke('in')])).to include('t' => 'done')
    expect(jonas.heard.map { |message| message['stream'] }).not_to include(room)
    odalys.do('class.set_doors', staff, each: false)
    jonas.wait { |message| message['t'] == 'gained' && message['stream'] == room }
  end

  it 'sends somebody back to wait: they lose everything but the waiting room, until they are let in' do
    odalys
    farah = join('farah')
    odalys.do('class.send_to_wait', sitting, person: 'farah', place: 'main')
    [room, sitting, board].each { |stream| farah.wait { |message| message['t'] == 'lost' && message['stream'] == stream } }
    expect(farah.do('board.put', board, marks: [stroke('late')])).to include('code' => 'no_access')
    # Coming anew, they wait again; the doors are open to all others.
    farah.cut
    back = join('farah')
    expect(back.wait_for('welcome')['streams'].map { |part| part['stream'] }).not_to include(room)
    odalys.wait { |message| message['kind'] == 'waits' }
    odalys.do('class.let_in', sitting, people: ['farah'])
    back.wait { |message| message['t'] == 'gained' && message['stream'] == board }
  end

  it 'removes somebody with three pages open, and keeps them out by every door' do
    odalys
    visitor = VisitorClient.new(server, as: 'farah')
    pages = Array.new(3) { again(visitor) }
    odalys.do('class.remove', sitting, person: 'farah', place: 'main')
    pages.each do |page|
      expect(page.wait_for('error')).to include('code' => 'removed')
      until_true('the connection is cut') { page.closed? }
    end
    link = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links", {}).body['token']
    visitor.enter(link)
    expect(again(visitor).wait_for('error')).to include('code' => 'removed')
    expect(ARCHIVE.log.state(sitting).first.seats['farah'].presence).to eq('out')

    odalys.do('class.let_back', staff, person: 'farah')
    waiting = again(visitor)
    expect(waiting.wait_for('welcome')['streams'].map { |part| part['stream'] }).not_to include(room)
    odalys.do('class.let_in', sitting, people: ['farah'])
    waiting.wait { |message| message['t'] == 'gained' && message['stream'] == room }
  end

  it 'leaves those who are sent back or removed nothing to read by address either' do
    ARCHIVE.lessons.update_board(made[:board], outside: 'closed')
    odalys
    { 'farah' => 'class.send_to_wait', 'jonas' => 'class.remove' }.each do |who, verb|
      join(who)
      visitor = VisitorClient.new(server, as: who)
      address = "/api/boards/#{made[:board]}/p1.svg"
      expect(visitor.get(address).status).to eq(200)
      odalys.do(verb, sitting, person: who, place: 'main')
      expect(visitor.get(address).status).to be_between(403, 404)
    end
  end

  it 'begins no room that there is not' do
    [odalys, join('farah')]
    %w[class.remove class.send_to_wait].each do |verb|
      expect(odalys.do(verb, sitting, person: 'farah', place: 'nowhere')).to include('t' => 'refused')
    end
    expect(ARCHIVE.log.heads(["place/#{made[:sitting]}.nowhere"])).to be_empty
    expect(odalys.do('class.send_to_wait', sitting, person: 'farah', place: 'main')).to include('t' => 'done')
  end

  it 'keeps a removed guest out who comes again in the same browser, by the class link' do
    odalys
    link = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links", {}).body['token']
    guest = VisitorClient.new(server)
    guest.enter(link, name: 'Ruth Tallis')
    wire = again(guest)
    id = wire.wait_for('welcome')['you']['id']
    odalys.do('class.remove', sitting, person: id, place: 'main')
    wire.wait_for('error')
    guest.enter(link, name: 'Ruth Tallis')
    expect(again(guest).wait_for('error')).to include('code' => 'removed')
    guest.enter(link, name: 'Another Name')
    expect(again(guest).wait_for('error')).to include('code' => 'removed')
  end

  it 'is decided by staff alone, and once, though two of them decide at once' do
    tomas, farah = join('tomas'), join('farah')
    odalys
    refused = [['class.remove', sitting, { person: 'odalys', place: 'main' }], ['class.send_to_wait', sitting, { person: 'farah', place: 'main' }],
               ['class.let_in', sitting, { people: ['farah'] }]]
    refused.each { |name, stream, input| expect(farah.do(name, stream, **input)).to include('code' => 'staff_only') }
    expect(farah.do('class.set_doors', staff, each: true)).to include('code' => 'no_access')
    answers = [[odalys, 'class.send_to_wait'], [tomas, 'class.remove']].map do |wire, name|
      Thread.new { wire.do(name, sitting, person: 'farah', place: 'main') }
    end.map(&:value)
    expect(answers.filter_map { |answer| answer['code'] } - ['not_here']).to be_empty
    expect(ARCHIVE.log.entries(sitting).map(&:kind).count('out')).to eq(1)
    expect(odalys.do('class.rule', room, right: 'draw', allow: true, person: 'nobody')).to include('code' => 'not_here')
  end
end
