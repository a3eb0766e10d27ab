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

  # Looking through the lesson's door, on this process and on another that nobody else of the class is on.
  describe 'while they look into the lesson' do
    let(:other) { Server.new }
    let(:server) { @server ||= Server.new }
    let(:address) { "/api/boards/#{made[:board]}/p1.svg" }

    def look(on) = Wire.join(on, 'farah', { lesson: made[:lesson] })
    def draw(mark) = expect(odalys.do('board.put', board, marks: [stroke(mark)])['t']).to eq('done')
    def heard?(wire, mark) = wire.entries(board).to_s.include?(mark)

    %w[class.remove class.send_to_wait].each do |turned|
      it "is closed to them at once (#{turned}), on every process, and opens once they are let in" do
        odalys
        join('farah')
        outside = [look(server), look(other)]
        expect(outside.map { |wire| wire.part(board) }).to all(be_a(Hash))
        odalys.do(turned, sitting, person: 'farah', place: 'main')
        draw('unseen')
        outside.each { |wire| wire.wait { |message| message['t'] == 'lost' && message['stream'] == board } }
        odalys.say(t: 'now', stream: board, kind: 'pointer', body: { x: 5, y: 5, page: 'p1' })
        draw('unseen-too')
        draw('and-this')
        sleep 0.3
        outside.each do |wire|
          expect(%w[unseen unseen-too and-this].select { |mark| heard?(wire, mark) }).to eq([])
          expect(wire.heard.select { |message| message['t'] == 'now' }).to eq([])
          expect(wire.do('board.put', board, marks: [stroke('forged')])).to include('code' => 'no_access')
        end
        # Coming anew, and by address, it is the same.
        expect(look(other).wait_for('welcome')['streams']).to eq([])
        farah = VisitorClient.new(server, as: 'farah')
        expect([farah.get(address).status, VisitorClient.new(other, as: 'farah').get(address).status]).to eq([403, 403])
        odalys.do('class.let_back', staff, person: 'farah') if turned == 'class.remove'
        join('farah')
        odalys.do('class.let_in', sitting, people: ['farah'])
        until_true('it is open again') { farah.get(address).status == 200 }
        outside.first.wait { |message| message['t'] == 'gained' && message['stream'] == board }
      end
    end
  end

  it 'tells staff of a guest who comes anew by the link of one who was removed, and lets them wait' do
    odalys
    link = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links", {}).body['token']
    guest = lambda do |name|
      VisitorClient.new(server).tap { |visitor| visitor.enter(link, name: name) }
    end
    first = again(guest['Oona Teague'])
    id = first.wait_for('welcome')['you']['id']
    expect(first.part(room)).to be_a(Hash)
    odalys.do('class.remove', sitting, person: id, place: 'main')
    second = again(guest['Somebody New'])
    expect(second.wait_for('welcome')['streams'].map { |part| part['stream'] }).not_to include(room)
    waits = odalys.wait { |message| message['kind'] == 'waits' && message['body']['name'] == 'Somebody New' }
    expect(waits['body']).to include('link_of' => 'Oona Teague', 'held' => true)
  end

  it 'lets somebody who waits know that nobody lets them in any more' do
    odalys.do('class.set_doors', staff, each: true)
    farah = join('farah')
    odalys.do('class.end', sitting)
    expect(farah.wait_for('error')).to include('code' => 'class_ended')
    until_true('the connection is cut') { farah.closed? }
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
