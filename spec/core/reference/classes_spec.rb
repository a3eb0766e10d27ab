# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/invented'
require_relative '../../support/reference'

# Classes in which everyone tries everything, allowed or not.
RSpec.describe 'Classes, against how they went' do
  include Reference

  WHO = %i[odalys tomas farah jonas oona].freeze
  STREAMS = %w[sitting/s1 staff/s1 place/s1.main place/s1.waiting exchange/s1.main board/b1 own/s1.farah thread/s1.t0 thread/s1.t1].freeze

  it 'go the same way' do
    plan = Stage::PLAN.merge(places: [{ id: 'main', name: 'Main room' }, { id: 'annex', name: 'Annex' }])
    expect_reference('play', (0..11).flat_map { |seed| play(sitting(open: seed.even?, **plan), Invented.new(seed)) })
  end

  it 'remember as much' do
    posts = Stage::Track.new('exchange/s1.main', sitting.world)
    205.times { |i| posts.do(person(:farah), 'exchange.post', { id: "p#{i}", text: i.to_s }) }
    drawn = board
    104.times { |i| drawn.do(person(:odalys), 'board.put', { marks: [stroke("m#{i}")] }) }
    kept = posts.state.view[:posts]
    expect_reference('bounds_of_memory', [drawn.state.history.counts, drawn.state.size, kept.length, kept.first[:id], posts.state.size,
                                          digest(drawn.state.to_h), digest(posts.state.to_h)])
  end

  # @return [Array<String>] what came of each try
  def play(hall, dice)
    drawn = board(sitting: hall)
    lines = Array.new(140) do |i|
      hall.clock = drawn.clock = 1_000_000 + i * 37_000
      by = person(dice.one(*WHO))
      name, input = attempt(dice, i, by)
      try(name.start_with?('board') ? drawn : hall, by, name, input, outside: dice.one(*[nil] * 24, 'work', 'read', 'closed'))
    end
    lines << digest(sums(hall)) << digest(STREAMS.map { |stream| hall.world.state(stream).to_h })
  end

  def try(track, by, name, input, outside:)
    track.outside = outside if name.start_with?('board')
    entry = track.do(by, name, input, at: track.clock)
    [name, by.id, *(entry && [entry.kind, digest(entry.body)])].join(' ')
  rescue Core::Refusal => e
    "#{name} #{by.id} #{e.code} #{digest(e.says)}"
  ensure
    track.outside = nil if name.start_with?('board')
  end

  def sums(hall)
    timing = Core::Lessons::Timing.new(hall.state, hall.clock + 90_000, shortest: hall.staff.shortest)
    recording = Core::Recordings::Recording.new(hall.state, edits: Core::Recordings::Edits.cutting([[1_400_000, 1_900_000]])) if hall.state.ended? && hall.state.stretches.any?
    [timing.to_h, timing.drift, recording && [recording.chapters, recording.clock.length]]
  end

  # @return [Array(String, Hash)] a command
  def attempt(dice, index, by)
    last = by.staff? && index > 100 ? ['class.end', {}] : ['class.join', {}]
    dice.one(*[['board.put', { marks: [mark(dice, index)] }]] * 3, *on_marks(dice, index), *on_pages(dice, index), *running(dice), *people(dice), *talk(dice, index), last)
  end

  def mark(dice, index)
    id = "x#{index}"
    dice.one(stroke(id, x: dice.rng.rand(900.0).round(3), page: dice.one('p1', 'p2', 'p9')), note(id, y: dice.upto(900)), prop(id, 'dice', count: 1, faces: 6),
             stroke(id, x: 10.264, y: 20.478, points: dice.hand(:box, 100, 1)), text(id, "word #{index}", **{ locked: dice.one(nil, true) }.compact),
             stroke("x#{dice.upto(index + 1)}"), box(id, 5, 5).except(:w))
  end

  def on_marks(dice, index)
    ids = Array.new(1 + dice.upto(3)) { "x#{dice.upto(index + 1)}" }
    set = { x: dice.upto(500), ink: 'plum', locked: dice.one(nil, true, false), text: 'changed' }.compact
    [['board.change', { changes: ids.map { |id| { id: id, set: set } } }], ['board.put', { marks: [stroke('same'), stroke('same')] }],
     ['board.change', { changes: [{ id: ids.first, set: { x: 7, page: dice.one('p1', 'p7') } }] }], ['board.remove', { ids: ids }],
     ['board.arrange', { ids: ids, way: dice.one(*Core::Boards::Arrangement::WAYS) }], ['board.straighten', { ids: ids }],
     ['board.use_prop', { id: ids.first, action: dice.one('roll', 'pick') }]]
  end

  def on_pages(dice, index)
    [['board.clear', { page: dice.one('p1', 'p2'), by: dice.one(nil, 'farah') }.compact], ['board.undo', {}], ['board.redo', {}],
     ['board.add_page', { page: "p#{dice.upto(4)}", after: 'p1' }], ['board.set_page', { page: 'p1', grows: dice.one(true, false) }],
     ['board.bring_back', { page: 'p1', seq: dice.upto(index + 1) }], ['board.point', { page: 'p1', path: dice.one([0, 1, 2], [0, 1], [0, 1, 2, 3]) }],
     ['board.lay_slides', { material: 'deck', version: 1 + dice.upto(3), slides: [{ slide: 1, w: 4, h: 3 }, { slide: 1 + dice.upto(4), w: 4, h: 3 }] }]]
  end

  def running(dice)
    [['class.open', {}], ['class.move', { step: dice.one('names', 'crossing', 'sum-up', 'nowhere') }], ['class.extend', { minutes: dice.upto(3) }],
     ['class.show', { board: dice.one('b1', 'b2', 'b3', 'zz'), page: 'p1' }], ['class.record', { on: dice.one(true, false) }],
     ['class.cue', { cue: dice.one('fog', 'look', 'rec', 'zz') }], ['class.stop_timer', {}], ['class.plan', Stage::PLAN.merge(title: "Plan #{dice.upto(3)}")],
     ['class.set_boards', { boards: Stage::PLAN[:boards].map { |one| one.merge(audience: dice.one('everyone', 'staff')) } }]]
  end

  def people(dice)
    [['class.join', {}], ['class.drop', { since: dice.one(nil, 1) }.compact], ['class.leave', { place: 'main', since: dice.one(nil, 1) }.compact],
     ['class.let_in', { people: %w[farah oona], place: dice.one(nil, 'annex', 'zz') }.compact],
     ['class.rule', { right: dice.one(*Core::Rights::RIGHTS.keys), allow: dice.one(true, false), person: dice.one(nil, 'farah', 'nils') }.compact],
     ['class.raise_hand', {}], ['class.lower_hand', { person: dice.one(nil, 'farah') }.compact], *floor(dice)]
  end

  def floor(dice)
    [['class.lend_floor', { person: dice.one(nil, 'farah', 'odalys', 'nils'), seconds: dice.one(nil, 9, 10, 60) }.compact],
     ['class.take_floor', { since: dice.one(nil, 1) }.compact], ['class.signal', { signal: dice.one(nil, 'done', 'clap', 'bored') }.compact], ['class.clear_signals', {}],
     ['class.send_to_wait', { person: dice.one('farah', 'tomas', 'nils'), place: dice.one('main', 'annex') }], ['class.set_doors', { each: dice.one(true, false) }],
     ['class.remove', { person: dice.one('farah', 'oona'), place: 'main' }], ['class.let_back', { person: dice.one('farah', 'oona') }]]
  end

  def talk(dice, index)
    id = "p#{dice.upto(index + 1)}"
    [['exchange.post', { id: id, text: dice.one('Which of us?', '  ', 'x' * 2_001) }], ['exchange.delete', { id: id }],
     ['exchange.react', { id: id, sign: dice.one(nil, 'agree', 'thanks') }.compact], ['exchange.pin', { id: id, on: dice.one(true, false) }],
     ['exchange.park', { id: id, parked: dice.one(nil, 'waiting', 'done') }.compact], ['class.keep_together', { on: dice.one(true, false) }],
     ['class.set_exchange', { oversight: dice.one(true, false) }],
     ['exchange.begin_thread', { id: "t#{dice.upto(3)}", people: [dice.one('farah', 'jonas', 'odalys')], staff: dice.one(true, false),
                                 post: { id: id, text: dice.one('Yours?', ' ') } }]]
  end
end
