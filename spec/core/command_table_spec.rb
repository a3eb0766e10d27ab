# frozen_string_literal: true

require_relative '../core_helper'

# Every command × role × rule × exception × floor × place, against a table written from what the design says of each and not from the
# code that decides it.
RSpec.describe 'Who may do what' do
  # What a command takes of those who do not teach: a right (or several), nothing (`:anyone`), or that one teaches.
  table = {
    'board.put' => %i[draw], 'board.change' => %i[draw], 'board.remove' => %i[draw], 'board.arrange' => %i[draw], 'board.straighten' => %i[draw],
    'board.undo' => %i[draw], 'board.redo' => %i[draw], 'board.point' => %i[draw], 'board.use_prop' => %i[props], 'board.add_page' => %i[add],
    'board.clear' => :staff, 'board.lock' => :staff, 'board.set_page' => :staff, 'board.bring_back' => :staff,
    'class.open' => :staff, 'class.end' => :staff, 'class.move' => :staff, 'class.extend' => :staff, 'class.record' => :staff,
    'class.let_in' => :staff, 'class.send_to_wait' => :staff, 'class.remove' => :staff, 'class.let_back' => :staff, 'class.set_doors' => :staff,
    'class.show' => :staff, 'class.rule' => :staff, 'class.cue' => :staff, 'class.stop_timer' => :staff, 'class.lend_floor' => :staff,
    'class.mute' => :staff, 'class.invite' => :staff, 'class.answer_invitation' => :anyone,
    'class.share_screen' => %i[share], 'class.pause_screen' => :staff, 'class.make_large' => :staff, 'class.set_clip' => :staff, 'class.caption' => %i[caption],
    'class.clear_signals' => :staff, 'class.set_exchange' => :staff, 'class.keep_together' => :staff, 'class.hand_out' => :staff, 'class.end_pairs' => :staff,
    'class.raise_hand' => :anyone, 'class.lower_hand' => :anyone, 'class.signal' => :anyone, 'class.take_floor' => :anyone,
    'rooms.rename' => :staff, 'rooms.remove' => :staff, 'rooms.assign' => :staff, 'rooms.time' => :staff, 'rooms.announce' => :staff,
    'rooms.address' => :staff,
    'rooms.choose_boards' => :staff, 'rooms.share' => :staff, 'rooms.step_in' => :staff, 'rooms.go' => :anyone, 'room.call' => :anyone,
    'poll.stage' => :staff, 'poll.open' => :staff, 'poll.close' => :staff, 'poll.seal' => :staff, 'poll.clear' => :staff, 'poll.put_away' => :staff,
    'poll.group' => :staff, 'poll.name_group' => :staff, 'poll.strike' => :staff, 'poll.answer' => :students,
    'question.ask' => %i[post], 'question.vote' => :students, 'question.review' => :staff, 'question.merge' => :staff, 'question.answer_now' => :staff,
    'question.done' => :staff, 'question.set' => :staff,
    'exchange.post' => %i[post], 'exchange.delete' => :anyone, 'exchange.react' => :anyone, 'exchange.pin' => :staff, 'exchange.park' => :staff,
    'exchange.begin_thread' => %i[threads], 'thread.post' => %i[threads], 'thread.delete' => :anyone, 'thread.react' => :anyone
  }
  inputs = {
    'board.put' => { marks: [{ id: 'new', page: 'p1', kind: 'rectangle', x: 0, y: 0, w: 9, h: 9, width: 3, ink: 'slate' }] },
    'board.change' => { changes: [{ id: 'own', set: { x: 5 } }] }, 'board.remove' => { ids: ['own'] }, 'board.arrange' => { ids: ['own'], way: 'to_front' },
    'board.straighten' => { ids: ['own'] }, 'board.point' => { page: 'p1', path: [0, 1, 1] }, 'board.use_prop' => { id: 'die', action: 'roll' },
    'board.add_page' => { page: 'p2', after: 'p1' }, 'board.clear' => { page: 'p1' }, 'board.set_page' => { page: 'p1', grows: true },
    'board.bring_back' => { page: 'p1', seq: 0 }, 'class.move' => { step: 'names' }, 'class.extend' => { minutes: 2 }, 'class.record' => { on: true },
    'class.let_in' => { people: ['jonas'] }, 'class.send_to_wait' => { person: 'jonas', place: 'main' }, 'class.remove' => { person: 'jonas', place: 'main' },
    'class.let_back' => { person: 'jonas' }, 'class.set_doors' => { each: true }, 'class.show' => { board: 'b2', page: 'p1' },
    'class.rule' => { right: 'camera', allow: false }, 'class.cue' => { cue: 'fog' }, 'class.lend_floor' => { person: 'jonas' },
    'class.mute' => { person: 'jonas' }, 'class.invite' => { person: 'jonas', device: 'camera' }, 'class.answer_invitation' => { yes: true },
    'class.share_screen' => { on: true }, 'class.pause_screen' => { on: true }, 'class.make_large' => { person: nil },
    'class.caption' => { id: 'c', words: 'Good evening', lang: 'en', took: 0 }, 'class.set_clip' => { material: 'm', playing: false },
    'class.set_exchange' => { oversight: true }, 'class.keep_together' => { on: true }, 'class.hand_out' => { board: 'b2', on: true },
    'rooms.rename' => { activity: 'fog', room: 'r1', name: 'Pell' }, 'rooms.remove' => { activity: 'fog', room: 'r2', people: %w[jonas] },
    'rooms.assign' => { activity: 'fog', moves: [{ person: 'jonas', room: 'r1', from: 'r2' }] }, 'rooms.time' => { activity: 'fog', rooms: %w[r1], more: 60 },
    'rooms.address' => { voice: false, screen: false },
    'rooms.announce' => { activity: 'fog', rooms: %w[r1], id: 'a', words: 'Soon.' }, 'rooms.step_in' => { to: 'r2', from: 'r1' },
    'rooms.go' => { to: 'r2', from: 'r1' }, 'rooms.share' => { activity: 'fog', room: 'r1', on: true },
    'rooms.choose_boards' => { activity: 'later', room: 'later', from: ['b1'] }, 'room.call' => { on: true },
    'poll.stage' => { poll: 'new', question: { kind: 'short', text: 'Name a signal.' } }, 'poll.open' => { poll: 'p', round: 2 }, 'poll.close' => { poll: 'p', round: 1 },
    'poll.seal' => { poll: 'p' }, 'poll.clear' => { poll: 'p', round: 1, on: true }, 'poll.put_away' => { poll: 'p' }, 'poll.answer' => { round: 1, value: 'bell' },
    'poll.group' => { poll: 'p', key: 'horn', to: 'bell' }, 'poll.name_group' => { poll: 'p', key: 'horn', words: 'Horn' }, 'poll.strike' => { poll: 'p', key: 'horn', on: true },
    'question.ask' => { id: 'new', text: 'And in fog?', nameless: false }, 'question.vote' => { id: 'q', on: true }, 'question.review' => { id: 'w', pass: true },
    'question.merge' => { id: 'q', into: 'r' }, 'question.answer_now' => { id: 'q' }, 'question.done' => { id: 'q' }, 'question.set' => { review: false, nameless: true },
    'board.lock' => { on: true }, 'class.signal' => { signal: 'clap' },
    'exchange.post' => { id: 'new', text: 'hello' }, 'exchange.delete' => { id: 'own' }, 'exchange.react' => { id: 'own', sign: 'agree' },
    'exchange.pin' => { id: 'own', on: true }, 'exchange.park' => { id: 'own', parked: 'done' },
    'exchange.begin_thread' => { id: 'new', people: ['jonas'], staff: false, post: { id: 'n', text: 'psst' } }, 'thread.post' => { id: 'n', text: 'and' },
    'thread.delete' => { id: 'begun' }, 'thread.react' => { id: 'begun', sign: 'thanks' }
  }
  roles = %i[odalys tomas farah oona]
  on_floor = %i[speak draw share]

  # Those on courses and plans are in tables of their own, see courses_spec and plan_spec.
  it 'is told of every command that a client may give' do
    of_classes = Core::Streams::Kinds.of_classes.map(&:kind)
    given = (Core::Commands::ALL - Core::Commands::INTERNAL).select { |command| of_classes.include?(command.stream_kind) }
    expect(table.keys).to match_array(given.map(&:wire_name))
  end

  table.each do |wire_name, takes|
    rights = takes.is_a?(Array) ? takes : []
    variants = [true, false].product(rights.empty? ? [nil] : [nil, true, false], rights.empty? ? [false] : [true, false], [true, false])
    it "#{wire_name}: #{takes == :staff ? 'those who teach' : Array(takes).join(' and ')}" do
      roles.product(variants).each do |who, (rule, exception, floor, elsewhere)|
        staff = %i[odalys tomas].include?(who)
        expected = staff || takes == :anyone ||
                   (takes != :staff && rights.all? { |right| (floor && on_floor.include?(right)) || (exception.nil? ? rule : exception) })
        expected = !staff if takes == :students
        hall = hall_for(wire_name, who)
        set_rules(hall, who, rights, rule: rule, exception: exception, floor: floor, elsewhere: elsewhere)
        expect([who, rule, exception, floor, elsewhere, done?(hall, who, wire_name, inputs[wire_name] || {})]).to eq([who, rule, exception, floor, elsewhere, expected])
      end
    end
  end

  # A class in which somebody could do all that is theirs, with a second room whose rules say the opposite or the same.
  def hall_for(wire_name, who)
    hall = sitting(places: [{ id: 'main', name: 'Main room' }, { id: 'annex', name: 'Annex' }])
    by = person(who)
    hall.do(by, 'class.join')
    hall.do(person(:odalys), 'class.move', { step: 'crossing' }) if wire_name == 'class.extend'
    drawn = board(sitting: hall)
    [[stroke('own')], [prop('die', 'dice', count: 1, faces: 6)], [stroke('undone')]].each { |marks| drawn.do(by, 'board.put', { marks: marks }) }
    drawn.do(by, 'board.undo')
    words = Stage::Track.new('exchange/s1.main', hall.world)
    words.do(by, 'exchange.post', { id: 'own', text: 'mine' })
    words.do(by, 'exchange.begin_thread', { id: 't', people: ['jonas'], staff: false, post: { id: 'begun', text: 'psst' } })
    open_rooms(hall, who) if wire_name.match?(/\Arooms?\./)
    open_poll(hall, wire_name) if wire_name.start_with?('poll.')
    ask(hall) if wire_name.start_with?('question.')
    shared(hall) if wire_name == 'class.pause_screen'
    hall
  end

  def shared(hall)
    hall.do(person(:odalys), 'class.join')
    hall.do(person(:odalys), 'class.share_screen', { on: true })
  end

  # Two that all may see, and one that waits for review.
  def ask(hall)
    ask = ->(id) { hall.do(person(:jonas), 'question.ask', { id: id, text: 'Does it hold at anchor?', nameless: false }) }
    %w[q r].each(&ask)
    hall.do(person(:odalys), 'question.set', { review: true, nameless: false })
    ask.call('w')
  end

  def open_poll(hall, wire_name)
    hall.do(person(:odalys), 'poll.stage', { poll: 'p', question: { kind: 'short', text: 'Name a sound signal.' } })
    hall.do(person(:odalys), 'poll.open', { poll: 'p', round: 1 })
    hall.do(person(:odalys), 'poll.close', { poll: 'p', round: 1 }) unless %w[poll.answer poll.close].include?(wire_name)
  end

  # Whoever asks is in the first of two rooms, between which people may change.
  def open_rooms(hall, who)
    odalys = person(:odalys)
    rooms = [[who.to_s], %w[jonas]].each_with_index.map { |people, i| { id: "r#{i + 1}", name: "Room #{i + 1}", people: people } }
    facts = { step: nil, seed: 1, again: 0, bound: 0, says: [], plan: { by: 'rooms', number: 2, staff: true, free: true } }
    hall.do(odalys, 'rooms.deal', { **facts, id: 'fog', name: 'Fog', rooms: rooms })
    hall.do(odalys, 'rooms.deal', { **facts, id: 'later', name: 'Later', rooms: [{ id: 'later', name: 'Room 1', people: [] }] })
    hall.do(odalys, 'rooms.open', { activity: 'fog', people: [who.to_s, 'jonas'], rooms: rooms.map { |room| { id: room[:id], boards: [{ id: "#{room[:id]}--b", name: 'Fog' }] } } })
  end

  def set_rules(hall, who, rights, rule:, exception:, floor:, elsewhere:)
    odalys = person(:odalys)
    Core::Rights::RIGHTS.each_key do |right|
      hall.do(odalys, 'class.rule', { right: right, allow: rule })
      hall.do(odalys, 'class.rule', { right: right, allow: elsewhere }, on: 'place/s1.annex')
    end
    rights.each { |right| hall.do(odalys, 'class.rule', { right: right, allow: exception, person: who }) } unless exception.nil?
    hall.do(odalys, 'class.lend_floor', { person: who }) if floor && !person(who).staff?
  end

  STREAMS_OF = { board: 'board/b1', sitting: 'sitting/s1', staff: 'staff/s1', place: 'place/s1.main', exchange: 'exchange/s1.main', thread: 'thread/s1.t',
                 poll: 'poll/s1.p', questions: 'questions/s1' }.freeze

  def done?(hall, who, wire_name, input)
    on = wire_name == 'room.call' ? 'place/s1.r1' : STREAMS_OF.fetch(Core::Commands.fetch(wire_name).stream_kind)
    hall.world.perform(person(who), wire_name, input, on: on, at: hall.clock += 1_000)
    true
  rescue Core::Refusal => e
    expect(e.code.to_s).to match(/\A(may_not_|staff_only|students_only)/)
    false
  end
end
