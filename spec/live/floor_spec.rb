# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'The floor and signals of a class' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:odalys) { join('odalys') }
  let(:farah) { join('farah') }
  let(:jonas) { join('jonas') }

  def join(who) = Wire.join(server, who, { sitting: made[:sitting] })
  def told(wire, right, allowed) = wire.wait_for('rights') { |message| message['rights'][room][right]['allowed'] == allowed }
  def draw(wire, id) = wire.do('board.put', board, marks: [stroke(id)])

  it 'is lent over all rules, told to whoever has it, and nobody else gains by it' do
    [odalys, farah, jonas]
    odalys.do('class.rule', room, right: 'draw', allow: false)
    told(farah, 'draw', false)
    odalys.do('class.lend_floor', room, person: 'farah')
    told(farah, 'draw', true)
    expect(draw(farah, 'hers')).to include('t' => 'done')
    expect(draw(jonas, 'his')).to include('code' => 'may_not_draw')
    odalys.do('class.take_floor', room)
    expect(draw(farah, 'late')).to include('code' => 'may_not_draw')
  end

  it 'returns by itself when its time is over, though nobody asks' do
    [odalys, farah]
    order = Veranda::Deciding::Order.of('class.lend_floor', { 'person' => 'farah', 'seconds' => 10 }, stream: room, by: Demo::School.person('odalys'))
    Veranda::Deciding::Performer.new(ARCHIVE.log).perform([order], at: Lessons::NOW.call - 60_000)
    farah.wait { |message| message['kind'] == 'floor_back' }
    expect(ARCHIVE.log.state(room).first.floor).to be_nil
    expect(farah.entries(room).map { |entry| entry['kind'] }.count('floor_back')).to eq(1)
  end

  it 'goes once to each hand when two of the staff lend it at once' do
    tomas = join('tomas')
    [odalys, tomas, farah, jonas]
    [farah, jonas].each { |wire| wire.do('class.raise_hand', room) }
    answers = [odalys, tomas].map { |wire| Thread.new { wire.do('class.lend_floor', room) } }.map { |thread| thread.value['t'] }
    expect(answers).to eq(%w[done done])
    lent = -> { odalys.entries(room).select { |entry| entry['kind'] == 'floor_lent' }.map { |entry| entry['body']['person'] } }
    odalys.wait { lent.call.length == 2 }
    expect(lent.call).to eq(%w[farah jonas])
    expect(tomas.do('class.lend_floor', room)).to include('code' => 'no_hand')
  end

  it 'answers whoever may not, or asks for what there is not, and disturbs nobody' do
    odalys
    { ['class.lend_floor', { person: 'farah' }] => 'staff_only', ['class.clear_signals', {}] => 'staff_only', ['class.signal', { signal: 'bored' }] => 'bad_input',
      ['class.signal', { signal: 'done', person: 'odalys' }] => 'bad_input', ['class.lend_floor', { person: 'nobody', seconds: -1 }] => 'bad_input' }
      .each { |(name, input), code| expect(farah.do(name, room, **input)).to include('code' => code) }
    expect(odalys.do('class.lend_floor', room, person: 'jonas')).to include('code' => 'not_here')
    forged = "place/#{made[:sitting]}.room-9"
    expect(farah.do('class.signal', forged, signal: 'done')).to include('code' => 'no_access')
    expect(farah.do('class.signal', room, signal: 'done')).to include('t' => 'done')
    odalys.wait { |message| message['kind'] == 'signalled' && message['by'] == 'farah' }
  end

  describe 'who has been heard, for staff' do
    let(:address) { "/api/classes/#{made[:sitting]}/places/main/heard" }

    it 'is counted from what each did since the doors opened' do
      [odalys, farah, jonas]
      3.times { |i| draw(farah, "s#{i}") }
      farah.give('exchange.post', "exchange/#{made[:sitting]}.main", { id: 'p', text: 'Aye' })
      jonas.do('class.raise_hand', room)
      odalys.do('class.lend_floor', room)
      odalys.give('exchange.post', "exchange/#{made[:sitting]}.main", { id: 'q', text: 'Go on' })
      answer = VisitorClient.new(server, as: 'odalys').get(address).body
      people = answer['people'].to_h { |row| [row['person'], row] }
      expect(people.keys).to contain_exactly('farah', 'jonas')
      expect(people['farah']).to include('posts' => 1, 'marks' => 3, 'hands' => 0)
      expect(people['jonas']).to include('hands' => 1, 'floors' => 1, 'marks' => 0)
      expect(people['farah']['last']).to be_within(20_000).of(Lessons::NOW.call)
      expect(answer['gini']).to be_between(0, 1)
    end

    it 'is for staff alone' do
      farah
      expect(VisitorClient.new(server, as: 'farah').get(address).code).to eq('staff_only')
      expect(VisitorClient.new(server, as: 'odalys').get(address.sub('main', 'attic')).code).to eq('no_such_place')
    end
  end

  describe 'who may do what, for staff' do
    let(:address) { "/api/classes/#{made[:sitting]}/places/main/rights" }

    it 'is told with what decides it' do
      [odalys, farah, jonas]
      odalys.do('class.rule', room, right: 'draw', allow: false)
      odalys.do('class.rule', room, right: 'props', allow: false, person: 'jonas')
      odalys.do('class.lend_floor', room, person: 'farah')
      people = VisitorClient.new(server, as: 'tomas').get(address).body['people'].to_h { |row| [row['person'], row['rights']] }
      expect(people.keys).to contain_exactly('farah', 'jonas')
      expect(people['farah']['draw']).to eq('allowed' => true, 'from' => 'floor')
      expect(people['jonas'].slice('draw', 'props')).to eq('draw' => { 'allowed' => false, 'from' => 'rule' }, 'props' => { 'allowed' => false, 'from' => 'exception' })
      expect(VisitorClient.new(server, as: 'odalys').get("#{address}?person=jonas").body['people'].map { |row| row['person'] }).to eq(['jonas'])
    end

    it 'is told to nobody else, and of places that there are' do
      farah
      expect(VisitorClient.new(server, as: 'farah').get(address).code).to eq('staff_only')
      expect(VisitorClient.new(server).get(address).code).to eq('sign_in')
      expect(VisitorClient.new(server, as: 'odalys').get(address.sub('main', 'waiting')).code).to eq('no_such_place')
      expect(VisitorClient.new(server, as: 'odalys').get('/api/classes/none/places/main/rights').code).to eq('no_such_class')
    end
  end
end
