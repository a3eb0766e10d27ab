# frozen_string_literal: true

require_relative '../../core_helper'

# The plan of a lesson, on which several work at the same time.
RSpec.describe Core::Lessons::Plan do
  let(:world) { Stage::World.new }
  let(:plan) { world.state('plan/l') }
  let(:people) { { odalys: 'instructor', tomas: 'assistant', farah: 'student' }.to_h { |id, role| [id, Core::Person.new(id: id.to_s, name: id.to_s, role: role)] } }

  before do
    steps = %w[a b c].map { |id| { id: id, title: id.upcase, minutes: 10, shortest: 5, notes: '', board: nil } }
    facts = { course_id: 'nav', number: 1, title: 'Rules', starts_at: 0, minutes: 60, steps: steps, record_from: 'a' }
    world.append(Core::Streams::Draft.new('plan/l', 'plan_begun', facts), 'house', 0)
  end

  def give(who, wire_name, **input) = world.perform(people.fetch(who), wire_name, input, on: 'plan/l', at: 1_000)
  def seq = world.entries('plan/l').length
  def order = plan.steps.map { |step| step[:id] }.join

  it 'takes what different people change in different fields, also of the same step' do
    seen = seq
    give(:odalys, 'plan.set_step', step: 'a', seen: seen, set: { title: 'Warm-up' })
    give(:tomas, 'plan.set_step', step: 'a', seen: seen, set: { notes: 'Ask each for a trip' })
    give(:tomas, 'plan.set', seen: seen, set: { title: 'Rules of the road' })
    expect(plan.step('a')).to include(title: 'Warm-up', notes: 'Ask each for a trip')
    expect(plan[:title]).to eq('Rules of the road')
  end

  it 'keeps what somebody else has set since it was seen, and takes the rest' do
    seen = seq
    give(:tomas, 'plan.set_step', step: 'a', seen: seen, set: { title: 'Theirs' })
    told = give(:odalys, 'plan.set_step', step: 'a', seen: seen, set: { title: 'Mine', minutes: 12 })
    expect(told.map(&:body)).to eq([{ id: 'a', set: { minutes: 12 } }])
    expect(give(:odalys, 'plan.set_step', step: 'a', seen: seen, set: { title: 'Mine' })).to be_empty
    expect(plan.step('a')).to include(title: 'Theirs', minutes: 12)
    # Whoever has seen it changes it, and so does whoever set it.
    give(:odalys, 'plan.set_step', step: 'a', seen: seq, set: { title: 'Ours' })
    give(:odalys, 'plan.set_step', step: 'a', seen: seen, set: { title: 'Ours, again' })
    expect(plan.step('a')[:title]).to eq('Ours, again')
  end

  it 'keeps the order that somebody gave it, whatever is added and taken out meanwhile' do
    give(:odalys, 'plan.add_step', step: 'd', after: 'a', set: { title: 'D' })
    give(:tomas, 'plan.move_step', step: 'c', after: nil)
    expect(order).to eq('cadb')
    give(:tomas, 'plan.take_step', step: 'a', seen: seq)
    give(:odalys, 'plan.add_step', step: 'e', after: 'a', set: { title: 'E' })
    expect(order).to eq('cdbe')
    expect(give(:odalys, 'plan.move_step', step: 'b', after: 'd')).to be_empty
    expect { give(:odalys, 'plan.move_step', step: 'b', after: 'a') }.to refusing(:no_such_step)
    expect { give(:odalys, 'plan.set_step', step: 'a', seen: seq, set: { title: 'A' }) }.to refusing(:no_such_step)
    expect(plan.step('d')).to eq(id: 'd', **described_class::STEP, title: 'D')
  end

  it 'lets nobody take out what somebody else has just changed' do
    seen = seq
    give(:tomas, 'plan.set_step', step: 'b', seen: seen, set: { notes: 'Mind the tide' })
    expect { give(:odalys, 'plan.take_step', step: 'b', seen: seen) }.to refusing(:step_changed)
    give(:odalys, 'plan.take_step', step: 'b', seen: seq)
    expect(give(:odalys, 'plan.take_step', step: 'b', seen: seq)).to be_empty
    expect(order).to eq('ac')
  end

  it 'makes sense' do
    set = ->(**fields) { give(:odalys, 'plan.set_step', step: 'a', seen: seq, set: fields) }
    ['  ', "\u200E\u202E"].each { |title| expect { set.call(title: title) }.to refusing(:step_untitled) }
    expect { give(:odalys, 'plan.add_step', step: 'x', after: nil, set: {}) }.to refusing(:step_untitled)
    expect { set.call(shortest: 11) }.to refusing(:step_too_short)
    expect { set.call(minutes: 4) }.to refusing(:step_too_short)
    [{ minutes: -1 }, { minutes: '10' }, { colour: 'red' }, { cues: 5 }, { board: 'a/b' }].each { |odd| expect { set.call(**odd) }.to refusing(:bad_input) }
    expect { give(:odalys, 'plan.set', seen: seq, set: { title: "\u202E \n" }) }.to refusing(:title_missing)
    expect { give(:odalys, 'plan.set', seen: seq, set: { steps: [] }) }.to refusing(:bad_input)
    57.times { |i| give(:odalys, 'plan.add_step', step: "s#{i}", after: 'c', set: { title: 'S' }) }
    expect { give(:odalys, 'plan.add_step', step: 'more', after: 'c', set: { title: 'S' }) }.to refusing(:too_many_steps)
  end

  # Which may have been pasted from anywhere: with lines, and with letters that turn round whatever stands after them.
  it 'has titles of one line that read one way' do
    give(:odalys, 'plan.set_step', step: 'a', seen: seq, set: { title: " Names \n and\u202E places\u0007 " })
    give(:odalys, 'plan.set_step', step: 'b', seen: seq, set: { title: "می\u200Cخواهم" })
    give(:odalys, 'plan.set', seen: seq, set: { title: "\tRules\u2028of the road " })
    expect([plan.step('a')[:title], plan.step('b')[:title], plan[:title]]).to eq(['Names and places', "می\u200Cخواهم", 'Rules of the road'])
  end

  commands = (Core::Commands::ALL - Core::Commands::INTERNAL).select { |command| command.stream_kind == :plan }
  inputs = { 'plan.set' => { seen: 1, set: { title: 'X' } }, 'plan.add_step' => { step: 'x', after: nil, set: { title: 'X' } },
             'plan.set_step' => { step: 'a', seen: 1, set: { title: 'X' } }, 'plan.move_step' => { step: 'a', after: 'c' },
             'plan.take_step' => { step: 'a', seen: 1 } }

  it 'has a table that is told of every command on it' do
    expect(inputs.keys).to match_array(commands.map(&:wire_name))
  end

  inputs.each do |wire_name, input|
    it "#{wire_name}: students may not, those who teach may" do
      expect { give(:farah, wire_name, **input) }.to refusing(:staff_only)
      expect(give(:tomas, wire_name, **input).length).to eq(1)
    end
  end

  # Two people work from what each has seen, which may be old. Whatever one has set, and nobody who had seen it has changed, is there.
  it 'loses nothing that somebody set, whatever the others do' do
    20.times do |round|
      rng = Random.new(round)
      set = {}
      30.times do |i|
        who = %i[odalys tomas].sample(random: rng)
        seen = [seq - rng.rand(6), 1].max
        id, field = %w[a b c].sample(random: rng), %i[title notes].sample(random: rng)
        give(who, 'plan.set_step', step: id, seen: seen, set: { field => "#{who} #{round} #{i}" }).each do
          before, by = set[[id, field]]
          expect(before.nil? || before <= seen || by == who).to be(true)
          set[[id, field]] = [seq, who, "#{who} #{round} #{i}"]
        end
      end
      set.each { |(id, field), (_, _, value)| expect(plan.step(id)[field]).to eq(value) }
      expect(world.refolded('plan/l').to_h).to eq(plan.to_h)
      expect(described_class.from(JSON.parse(JSON.generate(plan.to_h), symbolize_names: true)).to_h).to eq(plan.to_h)
    end
  end

  it 'keeps its day once it was held, and can be called off before' do
    give(:odalys, 'plan.set', seen: 1, set: { cancelled: true, starts_at: 9_000 })
    expect([plan[:cancelled], plan[:starts_at]]).to eq([true, 9_000])
    world.append(Core::Streams::Draft.new('plan/l', 'plan_set', { held: true }), 'house', 0)
    %w[starts_at cancelled].zip([10_000, false]).each do |field, value|
      expect { give(:odalys, 'plan.set', seen: 9, set: { field => value }) }.to raise_error(Core::Refusal, /was held/)
    end
    give(:odalys, 'plan.set', seen: 9, set: { starts_at: 9_000, title: 'Another title' })
    expect(plan[:title]).to eq('Another title')
  end
end
