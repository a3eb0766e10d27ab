# frozen_string_literal: true

require_relative '../core_helper'
require_relative '../support/golden'

RSpec.describe 'What Ruby and TypeScript both compute' do
  def through_json(value) = JSON.parse(JSON.generate(value), symbolize_names: true)

  def expect_golden(name, cases)
    expect(cases.length).to be > 5
    expect(through_json(cases)).to eq(Golden.cases(name, cases))
  end

  let(:rng) { Random.new(2) }

  def wild_points(count) = Array.new(count) { [rng.rand(-200.0..200.0).round(1), rng.rand(-200.0..200.0).round(1)] }.flatten

  it 'breaks text into lines' do
    texts = ['', ' ', 'Fog', "a\n\nb", 'A vessel crossing a narrow channel shall not impede one that can navigate only within it', 'x' * 80, 'two  spaces   here ',
             "not\u00A0broken here", 'مرحبا بكم في الميناء', '港内の注意', 'Wick Quay – Little Anson', 'soft­hyphen word', "trailing space \nnext"]
    letters = ['a', 'W', ' ', ' ', "\n", 'é', 'Ж', '界', '.', "\u00A0"]
    texts += Array.new(30) { Array.new(rng.rand(120)) { letters.sample(random: rng) }.join }
    cases = texts.map do |text|
      facts = { text: text, size: [14, 20, 33.5, 46].sample(random: rng), width: rng.rand(0..600), inset: [0, 18].sample(random: rng) }
      layout = Core::Boards::TextLayout.new(text, size: facts[:size], width: facts[:width] - 2 * facts[:inset], inset: facts[:inset])
      { **facts, lines: layout.lines, height: layout.height }
    end
    expect_golden('text_layout', cases)
  end

  it 'draws strokes, arrows and signs' do
    cases = Array.new(30) do |i|
      points = wild_points(1 + i % 12)
      width = 1 + rng.rand(20)
      { points: points, width: width, path: Core::Boards::StrokePath.call(points), head: (Core::Boards::ArrowHead.call(points, width) if points.length > 2) }
    end
    expect_golden('stroke_paths', cases)
    signs = Core::Boards::Mark::SIGNS.product([[40, 40], [64, 30], [13.5, 90]]).map { |sign, (w, h)| { sign: sign, w: w, h: h, path: Core::Boards::Signs.path(sign, w, h) } }
    expect_golden('signs', signs)
  end

  it 'says what a poll came to' do
    options = { options: [{ id: 'a', text: 'Red gives way' }, { id: 'b', text: 'Green' }, { id: 'c', text: 'Neither' }] }
    ids = options[:options].map { |option| option[:id] }
    asked = { { kind: 'one', **options } => -> { [ids.sample(random: rng)] }, { kind: 'several', **options } => -> { ids.sample(rng.rand(4), random: rng) },
              { kind: 'yes_no' } => -> { [%w[yes no].sample(random: rng)] }, { kind: 'order', **options } => -> { ids.shuffle(random: rng) },
              { kind: 'scale', points: 5 } => -> { 1 + rng.rand(5) }, { kind: 'short' } => -> { %w[Bell bells Horn].sample(random: rng) },
              { kind: 'cloud' } => -> { %w[fog rain Fog].sample(2, random: rng) }, { kind: 'number' } => -> { rng.rand(-3.0..3.0) * 10**rng.rand(-2..6) } }
    cases = asked.to_a.product([0, 1, 2, 9, 30]).map do |(question, answer), count|
      question = { text: 'What then?', **question }
      tally = Core::Polls::Tally.new(question, Array.new(count) { answer.call }).to_h
      { question: question, tally: tally, rows: Core::Polls::ShownResults.rows(question, { tally: tally }).map { |row| row.slice(:words, :count) } }
    end
    expect_golden('poll_rows', cases)
  end

  # Whether two options say the same takes comparing words, which only the core does.
  it 'says what a poll still lacks' do
    texts = ['', '  ', 'Who gives way?']
    some = ->(number) { Array.new(number) { |i| { id: "o#{i}", text: i == 1 ? ['', 'Green'].sample(random: rng) : "Option #{i}" } } }
    regions = ->(number) { some.call(number).map { |one| { **one, x: 0, y: 0, w: 90, h: 90 } } }
    more = { 'one' => -> { { options: some.call(rng.rand(4)) } },
             'several' => -> { { options: some.call(3), fewest: [nil, 3].sample(random: rng), most: [nil, 2].sample(random: rng) } },
             'order' => -> { { options: some.call(rng.rand(4)) } }, 'number' => -> { [{}, { low: 3, high: 1 }, { low: 1, high: 3 }].sample(random: rng) },
             'spot' => -> { [{}, { board: 'b', page: 'p1' }].sample(random: rng) },
             'marks' => -> { [{}, { board: 'b' }, { board: 'b', page: 'p1' }].sample(random: rng).merge(regions: regions.call(rng.rand(4))) } }
    cases = Core::Polls::Question::KINDS.product(texts, (0..5).to_a).map do |kind, text, _|
      question = { kind: kind, text: text, **(more[kind]&.call || {}).compact }
      { question: question, says: Core::Polls::Doubts.of(question).find { |doubt| doubt[:grave] }&.fetch(:says) }
    end
    expect_golden('not_yet', cases)
  end

  it 'knows where a clip stands' do
    cases = Array.new(60) do |i|
      from = rng.rand(8_000)
      clip = { length: 10_000, playing: i % 4 != 0, at: rng.rand(10_001), since: 1_000, speed: Core::Sittings::Clip::SPEEDS.sample(random: rng),
               loop: (i.odd? ? [from, from + 500 + rng.rand(1_500)] : nil) }
      now = 1_000 + rng.rand(30_000)
      { clip: clip, now: now, position: Core::Sittings::Clip.position(clip, now) }
    end
    expect_golden('clips', cases)
  end

  it 'outlines strokes by the pressure of the pen' do
    cases = Array.new(9) do |i|
      points = i.even? ? wild_points(2 + i) : Array.new(6 + i) { |n| [n * 9.5, (Math.sin(n / 3.0) * 60).round(1)] }.flatten
      points = points.map { |value| value * 40 } if i == 8
      press = Array.new(points.length / 2) { rng.rand.round(2) }
      width = 2 + rng.rand(16)
      { points: points, press: press, width: width, path: Core::Boards::StrokeOutline.path(points, press, width) }
    end
    expect_golden('outlines', cases)
  end

  # A mark in a class under some rules: whether somebody may take it off, and move it.
  def tried(kind:, own:, locked:, staff:, **rules)
    hall = sitting
    author, asking = [own ? :farah : :jonas, staff ? :tomas : :farah]
    author = :tomas if staff && own
    track = board(sitting: hall)
    track.do(person(:odalys), 'board.put', { marks: [stroke('first')] })
    track.do(person(author), 'board.put', { marks: [kind == 'prop' ? prop('m', 'counter', shape: 'boat') : stroke('m')] })
    track.do(person(:odalys), 'board.change', { changes: [{ id: 'm', set: { locked: true } }] }) if locked
    rules.each { |right, allow| hall.do(person(:odalys), 'class.rule', { right: right, allow: allow }) }
    may = lambda do |name, **input|
      track.do(person(asking), name, input)
      true
    rescue Core::Refusal
      false
    end
    { move: may.call('board.change', changes: [{ id: 'm', set: { x: 77 } }]), change: may.call('board.remove', ids: ['m']) }
  end

  it 'knows who may change and move which marks' do
    cases = %w[stroke prop].product(*[[true, false]] * 6).map do |kind, own, locked, staff, draw, arrange, props|
      facts = { kind: kind, own: own, locked: locked, staff: staff, draw: draw, arrange: arrange, props: props }
      { **facts, **tried(**facts) }
    end
    expect_golden('may_change', cases)
  end

  it 'knows how much room marks take, and how high a page is' do
    marks = [stroke('s'), stroke('t', angle: 30), box('b', 5, 7, 80, 40), box('c', 5, 7, 80, 40, angle: -75), text('w', 'Steady bearing, decreasing range'),
             note('n', "Give-way vessel acts\nearly and clearly", h: 20), note('m', 'short', angle: 45), prop('p', 'dice', count: 1, faces: 6)]
    cases = marks.map { |mark| { mark: mark, box: Core::Boards::Mark.box(mark), bounds: Core::Boards::Mark.bounds(mark) } }
    expect_golden('bounds', cases)
    pages = [{}, { grows: true }, { ground: { material: 'd', version: 1, slide: 1, w: 4, h: 3 } }, { ground: { material: 'd', version: 1, slide: 1, w: 9, h: 16 }, grows: true }]
    heights = pages.product([[], [box('low', 0, 1_400)], [box('far', 0, 11_950)], [note('n', 'x ' * 400, y: 900)]]).map do |facts, on_it|
      state = Core::Boards::Board.new(page_facts: facts.empty? ? {} : { 'p1' => facts }, marks: on_it.to_h { |mark| [mark[:id], mark.merge(z: 1)] })
      { facts: facts, marks: on_it, height: state.height('p1') }
    end
    expect_golden('page_heights', heights)
  end

  it 'lays a page into a box' do
    cases = [1_000, 900, 1_600, 1_601, 2_400, 12_000].product([[1_280, 720], [1_040, 644], [390, 500]]).map do |height, (w, h)|
      { height: height, w: w, h: h, **Core::Films::Fit.of(height, w, h).to_h.slice(:scale, :x, :y).transform_values { |value| value.round(6) } }
    end
    expect_golden('fits', cases)
  end

  # Everything that happens to a stream of each kind, and what it comes to. Undo counts and house rules are part of it.
  it 'follows streams' do
    hall = sitting(steps: Stage::PLAN[:steps].map { |step| step.merge(rules: { draw: step[:id] != 'crossing', props: true }) })
    drawn = board(sitting: hall)
    odalys, farah, jonas = %i[odalys farah jonas].map { |id| person(id) }
    play(hall, drawn, odalys, farah, jonas)
    cases = followed(hall, ['sitting/s1', 'staff/s1', 'place/s1.main', 'place/s1.waiting', 'exchange/s1.main', 'thread/s1.t', 'own/s1.farah', 'board/b1']) +
            followed(with_polls(sitting), ['staff/s1', 'poll/s1.p', 'poll/s1.q']) + followed(with_questions(sitting), ['questions/s1', 'asked/s1']) +
            followed(course, ['course/nav', 'people/nav']) + followed(planned, ['plan/l']) +
            followed(in_rooms(sitting), ['sitting/s1', 'staff/s1', 'place/s1.r1', 'place/s1.r3', 'own/s1.farah', 'own/s1.jonas'])
    kinds = cases.flat_map { |one| one[:entries].map { |entry| entry[:kind] } }.uniq
    expect(kinds).to include(*%w[planned boards opened joined seated dropped left moved extended recording ended waits waits_no_more cued shown ruled rules_set
                                 hand_raised hand_lowered timer_set timer_stopped welcomed host_came host_went floor_lent floor_back muted
                                 screen_on screen_off screen_paused clip_on clip_set clip_off invited was_invited invitation_answered answered_invitation
                                 signalled signal_off signals_cleared out removed let_back doors_set
                                 handed_out gathered_in copies_given copy_given locked paired pairs_drawn pairs_over partnered
                                 begun placed posted deleted reacted pinned parked together roaming exchange_set thread_begun edited page_added laid prop_used
                                 dealt assigned room_set room_gone rooms_opened rooms_given rooms_closed room_shared room_opened room_given room_timed
                                 room_named room_closed called call_answered announced asked room_kept
                                 poll_staged poll_opened poll_put_away poll_begun round_opened round_closed round_cleared poll_shown poll_sealed
                                 question_asked question_reviewed votes_counted question_merged answering question_answered questions_set
                                 course_begun course_set series_set enrolled role_given taken_out])
    expect_golden('folds', cases)
  end

  def followed(hall, names)
    names.map do |name|
      entries = hall.world.entries(name).map { |entry| { seq: entry.seq, at: entry.at, by: entry.actor, kind: entry.kind, body: entry.body } }
      { stream: name, begins: Core::Streams::Fold.start(name).view, entries: entries, view: hall.world.state(name).view }
    end
  end

  # Who belongs to a course, and what it keeps.
  Hall = Struct.new(:world)

  def course
    Hall.new(Stage::World.new).tap do |hall|
      give = ->(name, kind, **input) { hall.world.perform(person(:odalys), name, input, on: "#{kind}/nav", at: 1_000) }
      give.call('course.begin', :course, name: 'Navigation', people: [{ id: 'odalys', name: 'Odalys', role: 'instructor' }, { id: 'farah', name: 'Farah', role: 'student' }])
      give.call('course.set', :course, name: 'Coastal navigation', keep_recordings: 30)
      give.call('course.plan_series', :course, series: 'f', title: 'Fridays', start: '2026-11-06T20:30', zone: 'Europe/London', minutes: 90, rule: 'FREQ=WEEKLY;COUNT=3')
      give.call('course.plan_series', :course, series: 'm', title: 'Mondays', start: '2026-11-09T18:00', zone: 'Europe/London', minutes: 60, rule: 'FREQ=WEEKLY;COUNT=2')
      give.call('course.change_series', :course, series: 'f', from: '2026-11-13T20:30',
                                                 set: { start: '2026-11-13T19:00', rule: 'FREQ=WEEKLY;COUNT=2', minutes: 45, except: ['2026-11-20T19:00'] })
      give.call('people.enrol', :people, people: [{ id: 'jonas', name: 'Jonas', role: 'student' }])
      give.call('people.give_role', :people, person: 'farah', role: 'assistant')
      give.call('people.take_out', :people, person: 'jonas')
    end
  end

  # A plan that two people work on.
  def planned
    Hall.new(Stage::World.new).tap do |hall|
      steps = %w[a b].map { |id| { id: id, title: id.upcase, minutes: 10, shortest: 5, notes: '', board: nil, cues: [{ id: 'c', kind: 'record' }] } }
      begun = { course_id: 'nav', number: 3, title: 'Rules', starts_at: 5_000, minutes: 60, steps: steps, record_from: 'a' }
      hall.world.append(Core::Streams::Draft.new('plan/l', 'plan_begun', begun), 'house', 0)
      give = ->(who, name, **input) { hall.world.perform(person(who), name, input, on: 'plan/l', at: 1_000) }
      give.call(:odalys, 'plan.set', seen: 1, set: { title: 'Rules of the road', welcome: 'Bring a chart', record_from: nil })
      give.call(:odalys, 'plan.add_step', step: 'd', after: 'a', set: { title: 'D', minutes: 4, shortest: 1 })
      give.call(:odalys, 'plan.add_step', step: 'e', after: 'gone', set: { title: 'E' })
      give.call(:odalys, 'plan.set_step', step: 'b', seen: 1, set: { notes: 'Mind the tide', rules: { draw: false } })
      give.call(:odalys, 'plan.move_step', step: 'e', after: nil)
      give.call(:odalys, 'plan.take_step', step: 'a', seen: 9)
      hall.world.append(Core::Streams::Draft.new('plan/l', 'plan_set', { steps: hall.world.state('plan/l').steps.reverse, invited_only: true }), 'house', 0)
    end
  end

  # Polls that are asked twice, shown, cleared and put away.
  def with_polls(hall)
    staff = ->(name, **input) { hall.do(person(:odalys), "poll.#{name}", input) }
    staff.call('stage', poll: 'p',
                        question: { kind: 'one', text: 'Who gives way?', options: [{ id: 'a', text: 'Red' }, { id: 'b', text: 'Green' }], right: { options: ['a'] }, seconds: 60 })
    staff.call('stage', poll: 'q', question: { kind: 'short', text: 'Name a sound signal.' }, place: 'main')
    [1, 2].each do |round|
      staff.call('open', poll: 'p', round: round, **(round == 2 ? { talk: 60 } : {}))
      staff.call('close', poll: 'p', round: round)
    end
    staff.call('show', poll: 'p', tell: true, results: { round: 2, tally: { count: 0, right: nil, options: [] } })
    staff.call('clear', poll: 'p', round: 1, on: true)
    staff.call('seal', poll: 'p')
    staff.call('show', poll: 'p', tell: false, results: { round: 2, tally: { count: 0, right: nil, options: [] } })
    staff.call('open', poll: 'q', round: 1)
    staff.call('close', poll: 'q', round: 1)
    staff.call('put_away', poll: 'q')
    hall
  end

  # What is asked, reviewed, put together, voted for and answered.
  def with_questions(hall)
    odalys, farah, jonas = %i[odalys farah jonas].map { |id| person(id) }
    ask = ->(who, id, text, nameless: false) { hall.do(who, 'question.ask', { id: id, text: text, nameless: nameless }) }
    ask.call(farah, 'a', 'Does it hold at anchor?')
    hall.do(odalys, 'question.set', { review: true, nameless: true })
    ask.call(jonas, 'b', 'And at anchor?', nameless: true)
    ask.call(jonas, 'c', 'Is a pilot boat different?')
    hall.do(odalys, 'question.review', { id: 'b', pass: true })
    hall.do(odalys, 'question.review', { id: 'c', pass: false })
    hall.do(odalys, 'question.count', { votes: [{ id: 'a', count: 3 }] })
    hall.do(odalys, 'question.merge', { id: 'b', into: 'a' })
    hall.do(odalys, 'question.answer_now', { id: 'a' })
    hall.do(odalys, 'question.done', { id: 'a', words: 'Yes, it does.' })
    hall.do(odalys, 'question.answer_now', { id: nil })
    hall
  end

  # A class that goes into rooms, and all that can happen to them.
  def in_rooms(hall)
    odalys, farah = %i[odalys farah].map { |id| person(id) }
    staff = ->(name, **input) { hall.do(odalys, name, { activity: 'fog', **input }) }
    board = ->(id) { { id: id, name: 'Fog', first_page: 'p1' } }
    hall.do(odalys, 'rooms.deal', { id: 'fog', name: 'Fog', step: nil, seed: 1, again: 0, bound: 0, says: [], plan: { by: 'rooms', number: 3, ask: 20, minutes: 5 },
                                    rooms: [%w[r1 farah], %w[r2 jonas], ['r3']].map { |id, *people| { id: id, name: id, people: people } } })
    staff.call('rooms.rename', room: 'r1', name: 'Pell')
    staff.call('rooms.choose_boards', room: 'r1', from: ['b2'])
    staff.call('rooms.assign', moves: [{ person: 'jonas', room: nil }])
    staff.call('rooms.remove', room: 'r2', people: [])
    staff.call('rooms.open', people: %w[farah jonas], rooms: %w[r1 r3].map { |id| { id: id, boards: [board.call("#{id}--b")] } })
    hall.do(farah, 'rooms.go', { to: 'r1', from: 'main' })
    staff.call('rooms.add', room: 'r4', name: 'Sable', boards: [board.call('r4--b')], ends_at: nil)
    staff.call('rooms.assign', moves: [{ person: 'jonas', room: 'r4', from: 'main' }])
    staff.call('rooms.give', rooms: [{ id: 'r1', board: board.call('r1--c') }])
    hall.do(farah, 'room.call', { on: true }, on: 'place/s1.r1')
    hall.do(farah, 'room.call', { on: false }, on: 'place/s1.r1')
    staff.call('rooms.rename', room: 'r1', name: 'Marram')
    staff.call('rooms.announce', rooms: %w[r1 r3 r4], id: 'a', words: 'Two minutes more.')
    hall.do(odalys, 'rooms.address', { voice: true, screen: false })
    hall.do(odalys, 'rooms.address', { voice: false, screen: false })
    hall.do(odalys, 'rooms.address', { voice: true, screen: false })
    hall.do(odalys, 'rooms.step_in', { to: 'r1', from: 'main' })
    hall.do(odalys, 'rooms.step_in', { to: 'main', from: 'r1' })
    hall.do(odalys, 'rooms.address', { voice: true, screen: false })
    hall.do(farah, 'class.spoke', { ms: 4_000 }, on: 'place/s1.r1')
    staff.call('rooms.time', rooms: %w[r1 r3 r4], left: 0, grace: 0)
    staff.call('rooms.bring_back', rooms: %w[r1 r3 r4], people: %w[farah jonas])
    staff.call('rooms.share', room: 'r1', on: true)
    hall
  end

  def write(hall, odalys, farah, jonas)
    words = Stage::Track.new('exchange/s1.main', hall.world)
    { jonas => 'agree', farah => 'puzzled', odalys => 'thanks' }.each { |who, sign| words.do(who, 'exchange.react', { id: 'p1', sign: sign }) }
    words.do(farah, 'exchange.react', { id: 'p1' })
    words.do(odalys, 'exchange.pin', { id: 'p1', on: true })
    words.do(jonas, 'exchange.post', { id: 'p3', text: 'And in fog?' })
    %w[waiting done].each { |parked| words.do(odalys, 'exchange.park', { id: 'p3', parked: parked }) }
    words.do(odalys, 'exchange.pin', { id: 'p3', on: true })
    words.do(odalys, 'exchange.pin', { id: 'p3', on: false })
    hall.do(odalys, 'class.keep_together', { on: true })
    hall.do(odalys, 'class.keep_together', { on: false })
    hall.do(person(:tomas), 'class.join')
    hall.do(person(:tomas), 'class.keep_together', { on: true })
    hall.do(odalys, 'class.set_exchange', { oversight: true, reactions: true })
    hall.do(odalys, 'class.set_exchange', { reactions: false })
    words.do(farah, 'exchange.begin_thread', { id: 't', people: ['jonas'], staff: false, post: { id: 'q1', text: 'Yours?' } })
    thread = Stage::Track.new('thread/s1.t', hall.world)
    thread.do(jonas, 'thread.post', { id: 'q2', text: '2.7 m' })
    thread.do(jonas, 'thread.delete', { id: 'q2' })
  end

  def play(hall, drawn, odalys, farah, jonas)
    hall.do(odalys, 'class.move', { step: 'names' })
    hall.do(odalys, 'class.extend', { minutes: 3 })
    hall.do(odalys, 'class.cue', { cue: 'fog' })
    hall.do(odalys, 'class.stop_timer')
    hall.do(farah, 'class.raise_hand')
    hall.do(jonas, 'class.raise_hand')
    hall.do(odalys, 'class.lower_hand', { person: 'farah' })
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false, person: 'jonas' })
    lent(hall, odalys, farah, jonas)
    hall.do(odalys, 'class.rule', { right: 'arrange', allow: true })
    draw(drawn, odalys, farah)
    hall.do(odalys, 'class.move', { step: 'crossing' })
    hall.do(odalys, 'class.cue', { cue: 'look' })
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: true })
    hall.do(odalys, 'class.give_copies', { board: 'b1', copies: [{ board: 'c1', person: 'farah' }] })
    hall.do(odalys, 'class.hand_out', { board: 'b1', on: false })
    hall.do(odalys, 'class.hand_out', { board: 'b2', on: true })
    hall.do(odalys, 'class.pair', { round: 'r1', size: 2, seed: 1, pairs: [{ people: %w[jonas farah] }] })
    hall.do(odalys, 'class.end_pairs')
    hall.do(odalys, 'class.pair', { round: 'r2', size: 2, seed: 2, pairs: [{ people: %w[farah jonas] }] })
    hall.do(farah, 'exchange.post', { id: 'p1', text: 'Which of us turns?' })
    hall.do(farah, 'exchange.post', { id: 'p2', text: 'Never mind' })
    hall.do(farah, 'exchange.delete', { id: 'p2' })
    write(hall, odalys, farah, jonas)
    hall.do(odalys, 'class.record', { on: false })
    hall.do(odalys, 'class.record', { on: true })
    hall.do(odalys, 'class.set_boards', { boards: Stage::PLAN[:boards].map { |one| one[:id] == 'b2' ? one.merge(audience: 'staff') : one } })
    hall.do(odalys, 'class.let_in', { people: ['jonas'], place: 'annex' }) if hall.state.place?('annex')
    extra(hall)
    hall.do(farah, 'class.drop')
    hall.do(farah, 'class.join')
    hall.do(jonas, 'class.leave', { place: 'main' })
    hall.do(odalys, 'class.drop')
    hall.do(odalys, 'class.end')
  end

  # What no command of today does from here: someone waits and is taken to another place.
  def extra(hall)
    [['staff/s1', 'waits', { id: 'oona', name: 'Oona Teague', role: 'guest' }], ['staff/s1', 'waits', { id: 'nils', name: 'Nils', role: 'student' }],
     ['staff/s1', 'waits_no_more', { people: ['oona'] }], ['sitting/s1', 'seated', { people: ['farah'], place: 'annex' }],
     ['own/s1.farah', 'placed', { place: 'annex' }]].each do |name, kind, body|
      entries = hall.world.entries(name)
      entry = Core::Streams::Entry.new(stream: name, seq: entries.length + 1, at: 2_000_000, actor: 'odalys', kind: kind, body: body)
      entries << entry
      hall.world.state(name).apply(entry)
    end
  end

  def draw(drawn, odalys, farah)
    drawn.do(odalys, 'board.put', { marks: [stroke('a'), note('b'), prop('die', 'dice', count: 2, faces: 6)] })
    drawn.do(farah, 'board.put', { marks: [stroke('c', x: 300), text('t', 'Farah')] })
    drawn.do(odalys, 'board.add_page', { page: 'p2', after: 'p1' })
    drawn.do(odalys, 'board.lock', { on: true })
    drawn.do(odalys, 'board.lock', { on: false })
    drawn.do(odalys, 'board.lock', { on: true, page: 'p2' })
    drawn.do(odalys, 'board.lock', { on: false, page: 'p2' })
    drawn.do(odalys, 'board.set_page', { page: 'p2', grows: true })
    drawn.do(odalys, 'board.use_prop', { id: 'die', action: 'roll' })
    drawn.do(farah, 'board.change', { changes: [{ id: 'c', set: { x: 320, ink: 'plum' } }, { id: 'a', set: { group: 'g' } }] })
    drawn.do(odalys, 'board.change', { changes: [{ id: 'a', set: { group: nil, page: 'p2' } }] })
    drawn.do(odalys, 'board.arrange', { ids: %w[b c], way: 'to_back' })
    drawn.do(farah, 'board.undo')
    drawn.do(farah, 'board.redo')
    drawn.do(odalys, 'board.clear', { page: 'p1', by: 'farah' })
    drawn.do(odalys, 'board.undo')
    drawn.do(odalys, 'board.point', { page: 'p1', path: [0, 1, 2] })
  end

  def lent(hall, odalys, farah, jonas)
    %w[slower yes].each { |signal| hall.do(farah, 'class.signal', { signal: signal }) }
    hall.do(jonas, 'class.signal', { signal: 'done' })
    hall.do(odalys, 'class.clear_signals')
    [jonas, farah, odalys].each { |who| hall.do(who, 'class.signal', { signal: 'back_soon' }) }
    hall.do(farah, 'class.signal')
    hall.do(odalys, 'class.lend_floor', { seconds: 60 })
    hall.do(odalys, 'class.lend_floor', { person: 'farah' })
    hall.do(farah, 'class.take_floor')
    hall.do(odalys, 'class.lend_floor', { person: 'jonas' })
    hall.do(odalys, 'class.mute', { person: 'jonas' })
    hall.do(odalys, 'class.put_on_clip', { material: 'm1', version: 1, kind: 'clip', title: 'Fog', length: 9_000 })
    hall.do(odalys, 'class.set_clip', { material: 'm1', at: 2_000, speed: 1.5, loop: [1_000, 4_000] })
    hall.do(odalys, 'class.share_screen', { on: true })
    hall.do(odalys, 'class.set_clip', { material: 'm1', playing: false })
    hall.do(odalys, 'class.set_clip', { material: 'm1', off: true })
    hall.do(odalys, 'class.put_on_clip', { material: 'm2', version: 2, kind: 'sound', title: 'Horn', length: 4_000 })
    hall.do(odalys, 'class.pause_screen', { on: true })
    hall.do(odalys, 'class.show', { board: 'b1', page: 'p1' })
    4.times { |i| hall.do(odalys, 'class.caption', { id: "c#{i}", words: "Line #{i}", lang: 'en', took: 900 }) }
    hall.do(odalys, 'class.make_large', { person: 'odalys' })
    hall.do(odalys, 'class.make_large', { person: nil })
    hall.do(odalys, 'class.make_large', { person: 'odalys' })
    hall.do(odalys, 'class.share_screen', { on: false })
    hall.do(odalys, 'class.share_screen', { on: true })
    hall.do(odalys, 'class.invite', { person: 'farah', device: 'microphone' })
    hall.do(farah, 'class.answer_invitation', { yes: true })
    hall.do(odalys, 'class.invite', { person: 'farah', device: 'camera' })
    turned_out(hall, odalys)
  end

  def turned_out(hall, odalys)
    hall.do(odalys, 'class.set_doors', { each: true })
    hall.do(person(:oona), 'class.join')
    hall.do(odalys, 'class.remove', { person: 'oona', place: 'main' })
    hall.do(odalys, 'class.send_to_wait', { person: 'jonas', place: 'main' })
    hall.do(odalys, 'class.let_in', { people: ['jonas'] })
    hall.do(odalys, 'class.let_back', { person: 'oona' })
    hall.do(odalys, 'class.set_doors', { each: false })
  end

  it 'asks for the same rights' do
    rules = Core::Rights::HouseRules.new(draw: true)
    cases = Array.new(20) do
      right, person, allow = [Core::Rights::RIGHTS.keys.sample(random: rng), [nil, 'farah', 'jonas'].sample(random: rng), rng.rand(2).zero?]
      before = rules.to_h
      rules = rules.set(right, allow, person: person)
      { before: before, set: { right: right, allow: allow, person: person }.compact, after: rules.to_h }
    end
    expect_golden('house_rules', cases)
  end
end
