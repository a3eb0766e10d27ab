# frozen_string_literal: true

require_relative '../spec_helper'

# Twenty thousand messages, half of them spoilt, from people of every role, in classes before, during and after. Whatever is
# sent, classes go on answering, nothing is stored that cannot be read again, and nothing in the server counts as an error.
RSpec.describe 'Everything that can be sent over a socket' do
  messages = Integer(ENV.fetch('FUZZ', '20000'))
  people = %w[odalys tomas farah jonas keiko amadou bettina cosmin emre gethin hana ines lamar mirela nils delphine]

  let(:server) { Server.new }
  let(:rng) { Random.new(20_261_125) }
  let(:spoiler) { Spoiler.new(rng) }

  def marks(number)
    [{ id: "m#{number}", page: %w[p1 p2].sample(random: rng), kind: 'stroke', x: rng.rand(1600), y: rng.rand(900), ink: 'lake', width: 4,
       points: [0, 0, 30, 5, 60, -5], press: [0.1, 0.5, 1] },
     { id: "t#{number}", page: 'p1', kind: 'note', x: 5, y: 6, w: 200, h: 80, ink: 'moss', text: 'Steady bearing, decreasing range', size: 26 },
     { id: "d#{number}", page: 'p1', kind: 'prop', prop: 'dice', settings: { count: 2, faces: 6 }, x: 9, y: 9, w: 200, h: 100, ink: 'slate' },
     { id: "i#{number}", page: 'p1', kind: 'image', x: 9, y: 9, w: 200, h: 100, ink: 'slate', material: 'anything', version: 1, slide: 1, alt: 'A chart' }]
  end

  def some_ids = Array.new(1 + rng.rand(4)) { "#{%w[m t d].sample(random: rng)}#{rng.rand(60)}" }

  # @return [Array(String, String, Hash)] command, stream, input: as a page of ours might ask
  def command(made, number)
    board, room = "board/#{made[:board]}", "place/#{made[:sitting]}.main"
    sitting, staff, exchange = "sitting/#{made[:sitting]}", "staff/#{made[:sitting]}", "exchange/#{made[:sitting]}.main"
    id = some_ids.first
    [['board.put', board, { marks: marks(number).sample(1 + rng.rand(2), random: rng) }],
     ['board.change', board, { changes: [{ id: id, set: { x: rng.rand(1600), text: 'other', points: [0, 0, 4, 4], angle: 20 }.to_a.sample(2, random: rng).to_h }] }],
     ['board.remove', board, { ids: some_ids }], ['board.clear', board, { page: 'p1' }], ['board.undo', board, {}], ['board.redo', board, {}],
     ['board.arrange', board, { ids: some_ids, way: Core::Boards::Arrangement::WAYS.sample(random: rng) }],
     ['board.straighten', board, { ids: some_ids }], ['board.use_prop', board, { id: "d#{rng.rand(60)}", action: 'roll' }],
     ['board.add_page', board, { page: 'p2', after: 'p1' }], ['board.set_page', board, { page: 'p2', grows: true }],
     ['board.bring_back', board, { page: 'p1', seq: rng.rand(50) }], ['board.point', board, { page: 'p1', path: [0, 1, 2] }],
     ['exchange.post', exchange, { id: "p#{number}", text: 'Which of us turns?' }], ['exchange.delete', exchange, { id: "p#{rng.rand(number + 1)}" }],
     ['class.raise_hand', room, {}], ['class.lower_hand', room, { person: 'farah' }], ['class.show', room, { board: made[:board], page: 'p1' }],
     ['class.rule', room, { right: 'draw', allow: true, person: 'farah' }], ['class.stop_timer', room, {}],
     ['class.move', sitting, { step: 'one' }], ['class.extend', sitting, { minutes: 1 }], ['class.record', sitting, { on: true }],
     ['class.cue', staff, { cue: 'c1' }], ['class.keep_together', room, { on: [true, false].sample(random: rng) }],
     ['class.set_exchange', room, { oversight: true, reactions: false }], *words(made, exchange, number), *rooms(made), *polls(made), *questions(made)].sample(random: rng)
  end

  def words(made, exchange, number)
    post = "p#{rng.rand(number + 1)}"
    thread = "thread/#{made[:sitting]}.t#{rng.rand(20)}"
    [['exchange.react', exchange, { id: post, sign: 'agree' }], ['exchange.pin', exchange, { id: post, on: true }], ['exchange.park', exchange, { id: post, parked: 'done' }],
     ['exchange.begin_thread', exchange, { id: "t#{rng.rand(20)}", people: %w[odalys nobody farah].sample(2, random: rng), staff: false, post: { id: post, text: 'Yours?' } }],
     ['thread.post', thread, { id: post, text: 'And?' }], ['thread.react', thread, { id: post, sign: 'thanks' }], ['thread.delete', thread, { id: post }]]
  end

  def rooms(made)
    sitting, staff = "sitting/#{made[:sitting]}", "staff/#{made[:sitting]}"
    one, other = %w[r1 r2 main r9].sample(2, random: rng)
    some = %w[farah jonas nils hana odalys tomas]
    [['rooms.assign', staff, { activity: 'fog', moves: [{ person: some.sample(random: rng), room: [one, nil].sample(random: rng), from: other }] }],
     ['rooms.rename', staff, { activity: 'fog', room: one, name: "Room #{rng.rand(9)}" }],
     ['rooms.remove', staff, { activity: 'fog', room: one, people: some }],
     ['rooms.time', staff, { activity: 'fog', rooms: [one], **[{ more: 60 }, { hold: true }, { left: 300 }].sample(random: rng) }],
     ['rooms.announce', staff, { activity: 'fog', rooms: [one, other], id: 'a', words: 'Soon.' }],
     ['rooms.step_in', sitting, { to: one, from: other }], ['rooms.go', sitting, { to: one, from: other }],
     ['room.call', "place/#{made[:sitting]}.#{one}", { on: true }]]
  end

  def polls(made)
    staff = "staff/#{made[:sitting]}"
    poll = %w[p q new].sample(random: rng)
    value = ['red', %w[red], 9, 1e308, [1, 2], { a: 1 }, nil, 'x' * 600].sample(random: rng)
    [['poll.answer', "poll/#{made[:sitting]}.#{poll}", { round: 1 + rng.rand(2), value: value }], ['poll.open', staff, { poll: poll, round: 1 + rng.rand(3), text: "? Who?\nRed" }],
     ['poll.stage', staff, { poll: poll, question: { kind: 'number', text: 'How high?', right: { number: 2.7, tolerance: 0.1 } } }],
     ['poll.close', staff, { poll: poll, round: 1 }], ['poll.clear', staff, { poll: poll, round: 1, on: true }], ['poll.put_away', staff, { poll: poll }],
     ['poll.group', staff, { poll: poll, key: 'horn', to: 'bell' }], ['poll.strike', staff, { poll: poll, key: 'horn', on: true }], ['poll.seal', staff, { poll: poll }]]
  end

  def questions(made)
    stream = "questions/#{made[:sitting]}"
    id, other = "q#{rng.rand(9)}", "q#{rng.rand(9)}"
    [['question.ask', stream, { id: id, text: 'Does it hold at anchor?', nameless: rng.rand(2).zero? }], ['question.vote', stream, { id: id, on: rng.rand(2).zero? }],
     ['question.merge', stream, { id: id, into: other }], ['question.answer_now', stream, { id: [id, nil].sample(random: rng) }], ['question.done', stream, { id: id }],
     ['question.review', stream, { id: id, pass: true }], ['question.set', stream, { review: rng.rand(2).zero?, nameless: true }]]
  end

  # One with names and one without.
  def open_polls(made)
    asked = { kind: 'one', text: 'Who?', options: [{ id: 'red', text: 'Red' }, { id: 'green', text: 'Green' }] }
    { p: true, q: false }.each do |id, names|
      perform('odalys', 'poll.stage', "staff/#{made[:sitting]}", poll: id, question: asked.merge(names: names))
      perform('odalys', 'poll.open', "staff/#{made[:sitting]}", poll: id, round: 1)
    end
  end

  # Two rooms, between which people may change.
  def open_rooms(made)
    staff = "staff/#{made[:sitting]}"
    perform('odalys', 'rooms.deal', staff, id: 'fog', name: 'Fog', step: nil, seed: 1, again: 0, bound: 0, says: [], plan: { by: 'rooms', number: 2, free: true },
                                           rooms: %w[r1 r2].map { |id| { id: id, name: id, people: [] } })
    boards = %w[r1 r2].to_h { |id| [id, ARCHIVE.lessons.add_board(made[:lesson], name: id, id: "#{id}--#{Veranda::Store::Ids.call}", audience: 'room', room_id: id)] }
    perform('odalys', 'rooms.open', staff, activity: 'fog', people: [], rooms: boards.map { |id, board| { id: id, boards: [{ id: board, name: id }] } })
  end

  def message(made, number)
    case rng.rand(13)
    when 3 then { t: 'now', stream: "place/#{made[:sitting]}.main", kind: 'view', body: { board: made[:board], page: 'p1', x: 0, y: 0, w: 800, h: 450 } }
    when 0 then { t: 'now', stream: "board/#{made[:board]}", kind: 'pointer', body: { page: 'p1', x: 4, y: 5 } }
    when 1 then { t: 'now', stream: "board/#{made[:board]}", kind: 'ink',
                  body: { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: 0, points: [0, 0, 4, 4] } }
    when 2 then [{ t: 'ping' }, { t: 'hello', v: 2, sitting: made[:sitting], seen: { 'board/x' => 4 } }].sample(random: rng)
    else
      name, stream, input = command(made, number)
      { t: 'do', id: "f#{number}", do: name, stream: stream, with: input, again: [true, false].sample(random: rng) }
    end
  end

  def text(made, number)
    facts = JSON.parse(JSON.generate(message(made, number)))
    rng.rand(2).zero? ? JSON.generate(facts) : spoiler.text(facts)
  end

  # Says it all in one class, and now and then in another. Who sends what is no UTF-8 is hung up on (RFC 6455, 8.1), and comes again.
  # @return [Array<Array(String, String)>] kinds and codes of the answers
  def talk(visitor, classes, texts)
    wires = classes.map { nil }
    texts.each_with_index do |words, i|
      at = i % 9 == 8 ? i % 3 : 0
      wires[at] = join(visitor, classes[at]) if wires[at].nil? || wires[at].closed?
      wires[at].say_text(words)
      sleep 0.025
    rescue SystemCallError, IOError
      nil
    end
    sleep 0.5
    wires.compact.flat_map { |wire| wire.heard.map { |message| message.values_at('t', 'code').compact } }
  end

  def join(visitor, made) = Wire.new(visitor).tap { |wire| wire.hello({ sitting: made[:sitting] }) }

  it "leaves every class answering after #{messages} messages, and no error in the log" do
    classes = [fresh_class, fresh_class(open: false), fresh_class]
    open_rooms(classes.first)
    open_polls(classes.first)
    perform('odalys', 'class.end', "sitting/#{classes.last[:sitting]}")
    plan = Array.new(messages) { |i| [i % people.length, text(classes[i % 7 == 6 ? 1 + i % 2 : 0], i)] }.group_by(&:first)
    visitors = people.map { |who| VisitorClient.new(server, as: who) }
    said = plan.map { |n, texts| Thread.new { talk(visitors[n], classes, texts.map(&:last)) } }.flat_map(&:value)
    expect(said.tally.select { |_, count| count > messages / 400 }.keys).to include(%w[done], %w[error bad_input], %w[refused bad_input], %w[refused staff_only])

    classes.each do |made|
      fresh = Wire.join(server, 'tomas', { sitting: made[:sitting] })
      expect(fresh.do('board.put', "board/#{made[:board]}", marks: [stroke("after-#{made[:sitting]}")])['t']).to eq('done').or(eq('refused'))
      expect(fresh.wait_for('welcome')['t']).to eq('welcome')
      # Everything that was stored can be folded, written down, read back, drawn.
      state, seq, = ARCHIVE.log.state("board/#{made[:board]}")
      expect(Core::Boards::Board.from(JSON.parse(JSON.generate(state.to_h), symbolize_names: true)).to_h).to eq(state.to_h)
      expect(ARCHIVE.log.entries("board/#{made[:board]}").map(&:seq)).to eq((1..seq).to_a)
      state.pages.each { |page| expect(Core::Boards::SvgWriter.new(state, page).call).to start_with('<svg') }
    end
    expect(ARCHIVE.log.entries("board/#{classes.first[:board]}").length).to be > 100
    expect(server.errors).to be_empty
  end
end
