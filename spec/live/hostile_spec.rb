# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Someone who means harm, in a class' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:exchange) { "exchange/#{made[:sitting]}.main" }
  let(:board) { "board/#{made[:board]}" }
  let(:odalys) { join('odalys') }
  let(:farah) { join('farah') }

  def join(who, klass = made, **options) = Wire.join(server, who, { sitting: klass[:sitting] }, **options)

  # The class goes on for others and for whoever it was.
  def goes_on
    [odalys, farah].each_with_index do |wire, i|
      expect(wire.do('board.put', board, marks: [stroke("goes-on-#{i}-#{rand(1_000_000)}")])).to include('t' => 'done')
    end
  end

  describe 'with ill-formed text' do
    it 'is refused lone surrogates and U+0000 at the door, and ends nothing' do
      ['\\udc00', '\\ud83d', '\\u0000', 'ab\\u0000cd'].each_with_index do |text, i|
        farah.say_text(%({"t":"do","id":"ill-#{i}","do":"exchange.post","stream":"#{exchange}","with":{"id":"p#{i}","text":"#{text}"}}))
        expect(farah.wait { |message| message['id'] == "ill-#{i}" }).to include('t' => 'error', 'code' => 'bad_input')
      end
      goes_on
      expect(ARCHIVE.log.entries(exchange)).to be_empty
    end

    it 'may write every character that there is' do
      text = "Überfahrt 🌊 مرحبا 𝄞 \u200D ½"
      farah.give('exchange.post', exchange, { id: 'fine', text: text })
      expect(ARCHIVE.log.state(exchange).first.posts['fine'][:text]).to eq(text)
    end

    it 'is told which message could not be read, also when it was too large or its id is none' do
      farah.say_text(%({"t":"do","id":"big","do":"exchange.post","stream":"#{exchange}","with":{"id":"p","text":"#{'x' * 70_000}"}}))
      expect(farah.wait { |message| message['code'] == 'too_large' }).to include('t' => 'error', 'id' => 'big')
      farah.say({ t: 'do', id: 'no id at all', do: 'exchange.post', stream: exchange, with: {} })
      expect(farah.wait { |message| message['id'] == 'no id at all' }).to include('code' => 'bad_input')
    end
  end

  describe 'with glimpses' do
    it 'reaches nobody with anything that is no glimpse' do
      bad = [['ink', { id: 'w', page: 'p1', points: nil }], ['ink', { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'gold', width: 4, from: 0, points: [0, 0] }],
             ['ink', { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: -2, points: [0, 0] }],
             ['ink', { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: 0, points: [0, 0, '5', 4] }],
             ['ink', { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: 0, points: [0] * 700 }],
             ['pointer', { x: 1, y: 2, page: 'p1', until: 1e12 }], ['pointer', { x: {}, y: 2, page: 'p1' }], ['typing', { text: 'secret' }]]
      odalys
      bad.each { |kind, body| farah.say(t: 'now', stream: board, kind: kind, body: body) }
      farah.say(t: 'now', stream: board, kind: 'ink', body: { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: 0, points: [0, 0, 5, 5] })
      odalys.wait_for('now')
      told = odalys.heard.select { |message| message['t'] == 'now' }.flat_map { |message| message['all'] }
      expect(told.map { |glimpse| glimpse['body']['points'] }).to eq([[0, 0, 5, 5]])
      refused = -> { farah.heard.count { |message| message['code'] == 'bad_input' } }
      farah.wait { refused.call >= bad.length }
      expect(refused.call).to eq(bad.length)
      goes_on
    end

    it 'shows the end of a stroke that was given up' do
      odalys
      farah.say(t: 'now', stream: board, kind: 'ink', body: { id: 'w', page: 'p1', end: true })
      expect(odalys.wait_for('now')['all'].first['body']).to eq('id' => 'w', 'page' => 'p1', 'end' => true)
    end
  end

  describe 'with marks' do
    it 'cannot end the class by arranging marks of two pages' do
      odalys.do('board.add_page', board, page: 'p2', after: 'p1')
      odalys.do('board.put', board, marks: [box('a', 0, 0), box('b', 50, 50, page: 'p2'), box('c', 90, 90), box('d', 9, 9, page: 'p2')])
      Core::Boards::Arrangement::PILES.each { |way| expect(odalys.do('board.arrange', board, ids: %w[a b], way: way)).to include('t' => 'done') }
      state, = ARCHIVE.log.state(board)
      expect(state.marks.values).to all(include(z: be_a(Integer)))
      expect(odalys.do('board.clear', board, page: 'p2')).to include('t' => 'done')
      goes_on
    end

    it 'cannot put a stroke that freezes whoever draws it' do
      zigzag = Array.new(20) { |i| [i.even? ? -20_000 : 20_000, i] }.flatten
      expect(farah.give('board.put', board, { marks: [stroke('far', points: zigzag)] })).to include('code' => 'bad_input')
      widest = Array.new(50) { |i| [i.even? ? -Core::Types::REACH : Core::Types::REACH, i] }.flatten
      farah.give('board.put', board, { marks: [stroke('wide', points: widest, press: [0.5] * 50)] })
      state, = ARCHIVE.log.state(board)
      expect(Core::Boards::SvgWriter.new(state, 'p1').call.bytesize).to be < 1_000_000
    end

    it 'changes, empties and takes off nothing of the instructor, in class and through the lesson’s door' do
      ARCHIVE.lessons.update_board(made[:board], outside: 'work')
      odalys.give('board.put', board, { marks: [note('plan', 'Turn to starboard'), prop('boat', 'counter', shape: 'boat')] })
      outside = Wire.join(server, 'farah', { lesson: made[:lesson] })
      [farah, outside].each do |wire|
        [['board.change', { changes: [{ id: 'plan', set: { text: '' } }] }], ['board.change', { changes: [{ id: 'plan', set: { x: 9_000 } }] }],
         ['board.remove', { ids: ['plan'] }], ['board.arrange', { ids: %w[plan boat], way: 'left' }]].each do |name, input|
          expect(wire.give(name, board, input)).to include('t' => 'refused', 'code' => 'not_your_mark')
        end
      end
      expect(farah.give('board.change', board, { changes: [{ id: 'boat', set: { x: 300 } }] })).to include('t' => 'done')
      odalys.give('class.rule', room, { right: 'arrange', allow: true })
      expect(farah.give('board.change', board, { changes: [{ id: 'plan', set: { x: 300 } }] })).to include('t' => 'done')
    end

    it 'names only materials that they may see' do
      id = ARCHIVE.materials.add_link(course_id: 'navigation', person_id: 'odalys', title: 'Answers', link: 'https://films.example/1')
      mark = { id: 'pic', page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', material: id, version: 1, slide: 1, alt: '' }
      expect(farah.give('board.put', board, { marks: [mark] })).to include('t' => 'refused', 'code' => 'no_such_material')
      expect(odalys.give('board.put', board, { marks: [mark] })).to include('t' => 'done')
      expect(farah.give('board.put', board, { marks: [mark.merge(id: 'too')] })).to include('t' => 'done')
    end
  end

  it 'sends no more over twenty connections than over one' do
    wires = Array.new(20) { join('farah') }
    wires.each do |wire|
      15.times do |i|
        wire.say(t: 'do', id: "r#{wire.object_id}-#{i}", do: 'exchange.post', stream: exchange, with: { id: "r#{wire.object_id}-#{i}", text: 'again' })
      end
    end
    answers = wires.flat_map { |wire| Array.new(15) { |i| wire.wait { |message| message['id'] == "r#{wire.object_id}-#{i}" } } }
    taken = answers.count { |message| message['t'] == 'done' }
    expect(taken).to be >= 100
    expect(answers.filter_map { |message| message['code'] }.uniq).to eq(['too_fast'])
  end

  it 'is told that a command was carried out, also without saying that it comes again' do
    first = farah.give('exchange.post', exchange, { id: 'p1', text: 'once' }, id: 'same-post')
    again = farah.give('exchange.post', exchange, { id: 'p1', text: 'once' }, id: 'same-post')
    other = join('farah').give('exchange.post', exchange, { id: 'p1', text: 'once' }, id: 'same-post')
    expect([again, other].map { |message| message.values_at('t', 'seq') }).to all(eq(['done', first['seq']]))
    expect(join('farah').give('exchange.post', exchange, { id: 'p1', text: 'once' }, id: 'another')).to include('code' => 'post_exists')
  end

  describe 'before the doors open' do
    let(:made) { fresh_class(open: false) }

    it 'learns the hour and the host, and nothing of boards, steps or cues' do
      odalys
      heard = farah.tap { |wire| wire.wait_for('welcome') }.heard
      # Rules have a field of that name, empty at the doors.
      told = JSON.generate(heard).gsub('"by_step":[]', '')
      expect(told).to include('A lesson')
      expect(told).not_to match(/Open board|Staff board|board-|private words|"One"|step/)
      [sitting, room, exchange, board, "staff/#{made[:sitting]}", "own/#{made[:sitting]}.odalys"].each do |stream|
        name = { 'board' => 'board.undo', 'exchange' => 'exchange.delete', 'place' => 'class.raise_hand', 'sitting' => 'class.open', 'staff' => 'class.cue',
                 'own' => 'board.undo' }[stream[/\w+/]]
        expect(farah.give(name, stream, { id: 'x', cue: 'x' }.slice(*({ 'exchange.delete' => [:id], 'class.cue' => [:cue] }[name] || []))))
          .to include('t' => 'refused')
      end
    end

    it 'sees nobody else who waits; staff see all of them, and let them in together' do
      jonas = join('jonas')
      odalys.wait { |message| JSON.generate(message).include?('Jonas Whitlock') }
      farah
      expect(JSON.generate(farah.heard + jonas.heard)).not_to match(/Jonas Whitlock.*Jonas Whitlock|Farah Lindqvist.*waits/)
      expect(ARCHIVE.log.state("staff/#{made[:sitting]}").first.waiting.keys).to match_array(%w[farah jonas])
      odalys.do('class.open', sitting)
      [farah, jonas].each { |wire| wire.wait_for('gained') { |message| message['stream'] == board } }
      odalys.wait { |message| message['t'] == 'entry' && message['kind'] == 'joined' && message['body']['people'].length == 2 }
      expect(ARCHIVE.log.state("staff/#{made[:sitting]}").first.waiting).to be_empty
      expect(ARCHIVE.sittings.state(made[:sitting]).present.select { |seat| seat.place == 'main' }.map(&:id)).to match_array(%w[odalys farah jonas])
    end
  end

  it 'never gets a board for staff on show, and loses one that becomes so' do
    steps = ARCHIVE.lessons.fetch(fresh_lesson[:lesson])[:steps]
    other = fresh_lesson
    ARCHIVE.lessons.lay(other[:lesson], steps: [steps[0].merge(board: other[:board]), steps[1].merge(board: other[:staff_board])])
    klass = fresh_class(**other)
    odalys, farah = join('odalys', klass), join('farah', klass)
    odalys.do('class.move', "sitting/#{klass[:sitting]}", step: 'one')
    odalys.do('class.move', "sitting/#{klass[:sitting]}", step: 'two')
    place = -> { ARCHIVE.log.state("place/#{klass[:sitting]}.main").first.shown }
    expect(place.call).to include(board: other[:board])
    visitor = VisitorClient.new(server, as: 'odalys')
    visitor.patch("/api/boards/#{other[:board]}", { audience: 'staff' })
    expect(farah.wait_for('lost')).to include('stream' => "board/#{other[:board]}")
    expect(place.call).to be_nil
    visitor.patch("/api/boards/#{other[:staff_board]}", { audience: 'everyone' })
    farah.wait_for('gained') { |message| message['stream'] == "board/#{other[:staff_board]}" }
    expect(odalys.do('class.show', "place/#{klass[:sitting]}.main", board: other[:staff_board], page: 'p1')).to include('t' => 'done')
  end

  it 'is bound by the rules of the class through the lesson’s door too, while it goes on' do
    ARCHIVE.lessons.update_board(made[:board], outside: 'work')
    outside = Wire.join(server, 'jonas', { lesson: made[:lesson] })
    expect(outside.do('board.put', board, marks: [stroke('o0')])).to include('code' => 'class_going_on')
    join('jonas')
    expect(outside.do('board.put', board, marks: [stroke('o1')])).to include('t' => 'done')
    odalys.do('class.rule', room, right: 'draw', allow: false)
    expect(outside.do('board.put', board, marks: [stroke('o2')])).to include('code' => 'may_not_draw')
    odalys.do('class.end', sitting)
    expect(outside.do('board.put', board, marks: [stroke('o3')])).to include('t' => 'done')
  end

  it 'stays connected no longer than signed in, and no copy of the cookie is good afterwards' do
    visitor = VisitorClient.new(server, as: 'farah')
    cookie = visitor.cookie
    wire = Wire.new(visitor)
    wire.hello({ sitting: made[:sitting] })
    visitor.delete('/api/session')
    until_true('they are off') { wire.closed? }
    expect(Wire.new(visitor, cookie: cookie).status).to eq(401)
  end

  it 'does not get in from a page that only looks like ours' do
    visitor = VisitorClient.new(server, as: 'farah')
    expect(Wire.new(visitor, origin: server.address.sub('http', 'https')).status).to eq(403)
  end

  it 'is kept out of rehearsals, whose id they know' do
    sitting = Veranda::Preparing::Classes.new(ARCHIVE).rehearsal(ARCHIVE.lessons.fetch(made[:lesson]))
    expect(Wire.join(server, 'farah', { sitting: sitting }).wait_for('error')).to include('code' => 'not_invited')
    copy = ARCHIVE.lessons.boards(made[:lesson], rehearsal_id: sitting).first[:id]
    visitor = VisitorClient.new(server, as: 'farah')
    expect([visitor.get("/api/classes/#{sitting}").status, visitor.get("/api/boards/#{copy}/p1.svg").status]).to eq([404, 403])
  end

  it 'is sent off with the link they came by' do
    staff = VisitorClient.new(server, as: 'odalys')
    link = staff.post("/api/lessons/#{made[:lesson]}/links").body
    guest = VisitorClient.new(server).tap { |visitor| visitor.enter(link['token'], name: 'Oona Teague') }
    wire = Wire.new(guest)
    expect(wire.hello({ sitting: made[:sitting] })).to include('t' => 'welcome')
    expect(staff.get("/api/lessons/#{made[:lesson]}/guests").body['guests'].map { |row| row['name'] }).to eq(['Oona Teague'])
    staff.delete("/api/lessons/#{made[:lesson]}/links/#{link['id']}")
    until_true('they are off') { wire.closed? }
    expect(guest.post("/api/lessons/#{made[:lesson]}/class").code).to eq('not_invited')
    expect(guest.post('/api/links/look', { token: link['token'] }).code).to eq('link_revoked')
  end
end
