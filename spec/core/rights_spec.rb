# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe 'Rights' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }

  def ask(right, who, track) = Core::Rights::Ask.call(right, by: person(who), sitting: track&.state, place: track&.place)

  it 'says why not, in a code and a sentence' do
    track = sitting
    track.do(odalys, 'class.rule', { right: 'draw', allow: false })
    answer = ask(:draw, :farah, track)
    expect(answer).not_to be_allowed
    expect(answer.to_h).to include(code: :may_not_draw, says: 'Students may not draw on this board just now.')
  end

  it 'tells what decides: who one is, the floor, an exception, a step, or the rule for all' do
    track = sitting(steps: Stage::PLAN[:steps].map { |step| step[:id] == 'names' ? step.merge(rules: { draw: false, props: true }) : step })
    from = ->(right, who) { ask(right, who, track).then { |answer| [answer.allowed, answer.from] } }
    expect([from.call(:draw, :odalys), from.call(:draw, :farah), from.call(:share, :farah)]).to eq([[true, :staff], [true, :rule], [false, :rule]])
    track.do(odalys, 'class.move', { step: 'names' })
    expect([from.call(:draw, :farah), from.call(:props, :farah), from.call(:post, :farah)]).to eq([[false, :step], [true, :step], [true, :rule]])
    expect(ask(:draw, :farah, track).says).to eq('Students may not draw on this board in this part of the class.')
    track.do(odalys, 'class.rule', { right: 'draw', allow: true, person: 'farah' })
    expect([from.call(:draw, :farah), from.call(:draw, :jonas)]).to eq([[true, :exception], [false, :step]])
    track.do(odalys, 'class.lend_floor', { person: 'jonas' })
    expect([from.call(:draw, :jonas), from.call(:camera, :jonas)]).to eq([[true, :floor], [true, :rule]])
    track.do(odalys, 'class.rule', { right: 'props', allow: false })
    expect(from.call(:props, :farah)).to eq([false, :rule])
  end

  it 'tells staff of every student in a place, or of one, what they may do and what decides it' do
    track = sitting
    track.do(odalys, 'class.lend_floor', { person: 'farah' })
    track.do(odalys, 'class.rule', { right: 'draw', allow: false })
    survey = ->(here, **one) { Core::Rights::Survey.of(track.state, here, track.place, at: track.clock, **one).to_h { |row| row.values_at(:person, :rights) } }
    expect(survey.call('main').transform_values { |rights| rights[:draw] })
      .to eq('farah' => { allowed: true, from: :floor }, 'jonas' => { allowed: false, from: :rule })
    expect(survey.call('main')['jonas'].keys).to eq(Core::Rights::RIGHTS.keys)
    expect(survey.call('main', person: 'jonas').keys).to eq(['jonas'])
    expect(survey.call('annex')).to be_empty
    track.do(person(:jonas), 'class.leave', { place: 'main' })
    expect(survey.call('main').keys).to eq(['farah'])
  end

  it 'lets through the lesson’s door, while the class goes on, those who are in it and nobody who waits, was sent out or never came' do
    track = sitting
    by_lesson = ->(who) { Core::Rights::Ask.call(:draw, by: person(who), sitting: track.state, place: track.place, outside: 'work').then { |answer| [answer.allowed, answer.code] } }
    expect([by_lesson.call(:farah), by_lesson.call(:oona)]).to eq([[true, :rule], [false, :class_going_on]])
    track.do(odalys, 'class.remove', { person: 'farah', place: 'main' })
    expect(by_lesson.call(:farah)).to eq([false, :class_going_on])
    expect(by_lesson.call(:odalys)).to eq([true, :staff])
    track.do(odalys, 'class.end')
  end

  it 'tells nobody but staff what decided' do
    expect(Core::Rights::Answer.yes(:floor).to_h).to eq(allowed: true, code: :floor, says: nil)
  end

  it 'knows outside of class only what one does on a board' do
    may = Core::Rights::Ask.all(by: farah, sitting: nil, outside: 'work').select { |_, answer| answer.allowed? }.keys
    expect(may).to match_array(%i[draw post props])
    expect(Core::Rights::Ask.call(:speak, by: farah, sitting: nil, outside: 'work').says).to eq('You may speak only in class.')
  end

  it 'lets an exception for one count before the rule for all' do
    track = sitting
    track.do(odalys, 'class.rule', { right: 'draw', allow: false })
    track.do(odalys, 'class.rule', { right: 'draw', allow: true, person: 'farah' })
    expect(ask(:draw, :farah, track)).to be_allowed
    expect(ask(:draw, :jonas, track)).not_to be_allowed
  end

  it 'forgets exceptions when the rule for all is set again' do
    track = sitting
    track.do(odalys, 'class.rule', { right: 'draw', allow: false, person: 'farah' })
    expect(ask(:draw, :farah, track).says).to start_with('You may not')
    track.do(odalys, 'class.rule', { right: 'draw', allow: true })
    expect(ask(:draw, :farah, track)).to be_allowed
  end

  # Every right × role × situation, against what the design says of each.
  situations = {
    preparing: [nil, ->(role, _) { %w[instructor assistant].include?(role) }],
    waiting: [->(stage) { stage.sitting(open: false) }, ->(role, _) { %w[instructor assistant].include?(role) }],
    # Nobody changes what others drew, adds pages, brings, shares or captions anything until they are let.
    open: [lambda(&:sitting), ->(role, right) { %i[speak camera draw post threads props].include?(right) || %w[instructor assistant].include?(role) }],
    nothing_allowed: [lambda { |stage|
      stage.sitting.tap do |track|
        Veranda::Core::Rights::RIGHTS.each_key.map(&:to_s).each do |right|
          track.do(stage.person(:odalys), 'class.rule', { right: right, allow: false })
        end
      end
    }, ->(role, _) { %w[instructor assistant].include?(role) }],
    ended: [->(stage) { stage.sitting.tap { |track| track.do(stage.person(:odalys), 'class.end') } }, ->(_, _) { false }]
  }
  situations.each do |name, (make, expected)|
    Stage::PEOPLE.each do |who, (_, role)|
      Veranda::Core::Rights::RIGHTS.each_key do |right|
        it "#{right}: #{role} while #{name.to_s.tr('_', ' ')}" do
          expect(ask(right, who, make&.call(self)).allowed?).to eq(expected.call(role, right))
        end
      end
    end
  end

  # Every command × role in an open class: those for staff are for staff alone.
  staff_only = %w[board.clear board.set_page board.bring_back class.open class.end class.move class.extend class.show class.rule class.record class.cue
                  class.stop_timer class.lend_floor class.mute class.make_large class.invite class.set_clip
                  class.clear_signals class.let_in class.send_to_wait class.remove class.let_back class.set_doors
                  class.set_exchange class.keep_together class.hand_out class.end_pairs board.lock exchange.pin exchange.park]
  inputs = {
    'board.clear' => { page: 'p1' }, 'board.add_page' => { page: 'p2', after: 'p1' }, 'class.move' => { step: 'names' },
    'class.extend' => { minutes: 2 }, 'class.show' => { board: 'b1', page: 'p1' }, 'class.record' => { on: true },
    'class.let_in' => { people: ['oona'] }, 'class.send_to_wait' => { person: 'jonas', place: 'main' },
    'class.remove' => { person: 'jonas', place: 'main' }, 'class.let_back' => { person: 'jonas' }, 'class.set_doors' => { each: true },
    'class.cue' => { cue: 'fog' }, 'class.lend_floor' => { person: 'farah' }, 'class.mute' => {}, 'class.make_large' => { person: nil },
    'class.caption' => { id: 'c', words: 'Good evening', lang: 'en', took: 0 },
    'class.invite' => { person: 'jonas', device: 'camera' }, 'class.answer_invitation' => { yes: false },
    'class.share_screen' => { on: true }, 'class.pause_screen' => { on: true }, 'class.set_clip' => { material: 'm', playing: false }, 'class.signal' => { signal: 'clap' },
    'class.rule' => { right: 'draw', allow: false }, 'board.put' => { marks: [{ id: 'x', page: 'p1', kind: 'rectangle', x: 0, y: 0, w: 9, h: 9, width: 3, ink: 'slate' }] },
    'board.change' => { changes: [{ id: 'own', set: { x: 5 } }] }, 'board.remove' => { ids: ['own'] },
    'board.arrange' => { ids: ['own'], way: 'to_front' }, 'board.straighten' => { ids: ['own'] },
    'board.use_prop' => { id: 'die', action: 'roll' }, 'board.set_page' => { page: 'p1', grows: true },
    'board.bring_back' => { page: 'p1', seq: 0 },
    'board.point' => { page: 'p1', path: [0, 1, 1] }, 'exchange.post' => { id: 'new', text: 'hello' }, 'exchange.delete' => { id: 'own' },
    'exchange.react' => { id: 'own', sign: 'agree' }, 'exchange.pin' => { id: 'own', on: true }, 'exchange.park' => { id: 'own', parked: 'waiting' },
    'exchange.begin_thread' => { id: 'fresh', people: ['jonas'], staff: true, post: { id: 'first', text: 'psst' } }, 'thread.post' => { id: 'more', text: 'and' },
    'thread.delete' => { id: 'begun' }, 'thread.react' => { id: 'begun', sign: 'thanks' }, 'class.set_exchange' => { oversight: true }, 'class.keep_together' => { on: true },
    'class.hand_out' => { board: 'b1', on: true }, 'board.lock' => { on: true, page: 'p1' }
  }
  # Those on rooms and polls need rooms and polls, see command_table_spec; those on courses and plans those, see courses_spec and plan_spec.
  (Veranda::Core::Commands::ALL - Veranda::Core::Commands::INTERNAL).reject { |command| command.name.match?(/::(Rooms|Polls|Questions|Courses|Lessons)::/) }.each do |command|
    Stage::PEOPLE.each do |who, (_, role)|
      allowed = !staff_only.include?(command.wire_name) || %w[instructor assistant].include?(role)
      it "#{command.wire_name}: #{role} #{allowed ? 'may' : 'may not'}" do
        track = ready_for(command, person(who))
        act = -> { track.do(person(who), command.wire_name, inputs.fetch(command.wire_name, {})) }
        allowed ? expect(&act).not_to(raise_error) : expect(&act).to(refusing(:staff_only))
      end
    end
  end

  # A class, board or exchange on which the person could do anything that is theirs to do.
  def ready_for(command, by)
    hall = sitting
    hall.do(by, 'class.join')
    %w[add share caption].each { |right| hall.do(odalys, 'class.rule', { right: right, allow: true }) }
    hall.do(by, 'class.share_screen', { on: true }) if command.wire_name == 'class.pause_screen'
    hall.do(odalys, 'class.move', { step: 'crossing' }) if command.wire_name == 'class.extend'
    case command.stream_kind
    when :sitting then hall
    when :board
      board(sitting: hall).tap do |track|
        track.do(by, 'board.put', { marks: [stroke('own')] })
        track.do(by, 'board.put', { marks: [prop('die', 'dice', count: 1, faces: 6)] })
        track.do(by, 'board.put', { marks: [stroke('undone')] })
        track.do(by, 'board.undo')
      end
    when :thread
      Stage::Track.new('thread/s1.t', hall.world).tap do |track|
        track.do(by, 'exchange.begin_thread', { id: 't', people: ['jonas'], staff: true, post: { id: 'begun', text: 'psst' } })
      end
    else Stage::Track.new('exchange/s1.main', hall.world).tap { |track| track.do(by, 'exchange.post', { id: 'own', text: 'mine' }) }
    end
  end
end
