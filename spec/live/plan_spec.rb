# frozen_string_literal: true

require_relative '../spec_helper'

# A plan on which two people work at the same time, on one process and on two.
RSpec.describe 'The plan of a lesson' do
  let(:server) { Server.shared }
  let(:made) { fresh_lesson }
  let(:stream) { "plan/#{made[:lesson]}" }

  def at(who, server = self.server) = Wire.join(server, who, { lesson: made[:lesson] })
  def plan = ARCHIVE.log.state(stream).first

  it 'is told to those who teach it, as others change it, and to nobody else' do
    odalys, tomas, farah = at('odalys'), at('tomas'), at('farah')
    expect(odalys.part(stream)['view']['steps'].map { |step| step['title'] }).to eq(%w[One Two])
    expect(farah.part(stream)).to be_nil
    expect(odalys.do('plan.set_step', stream, step: 'one', seen: 1, set: { notes: 'Mind the tide' })['t']).to eq('done')
    told = tomas.wait_for('entry')
    expect(told.values_at('stream', 'kind', 'body')).to eq([stream, 'step_set', { 'id' => 'one', 'set' => { 'notes' => 'Mind the tide' } }])
    expect(farah.do('plan.set_step', stream, step: 'one', seen: 1, set: { notes: '' })).to include('code' => 'no_access')
    expect(farah.heard.map { |message| message['stream'] }).not_to include(stream)
  end

  it 'keeps what two on two processes do at the same moment, each field by itself, and table and stream agree' do
    other = Server.new
    odalys, tomas = at('odalys'), at('tomas', other)
    fields = { odalys: %i[title minutes], tomas: %i[notes shortest] }
    threads = { odalys: odalys, tomas: tomas }.map do |who, wire|
      Thread.new do
        12.times do |i|
          first, second = fields[who]
          wire.do('plan.set_step', stream, step: 'one', seen: 1, set: { first => "#{who} #{i}", second => (who == :odalys ? 20 + i : 1 + (i % 5)) })
          wire.do('plan.add_step', stream, step: "#{who}#{i}", after: 'one', set: { title: "#{who} #{i}" })
        end
      end
    end
    threads.each(&:join)
    expect(plan.step('one')).to include(title: 'odalys 11', minutes: 31, notes: 'tomas 11', shortest: 2)
    expect(plan.steps.length).to eq(26)
    expect(Veranda::Store::PlanTables.facts(ARCHIVE.db[:lessons].first(id: made[:lesson]))).to eq(plan.facts)
    late = at('tomas')
    expect(late.part(stream)['view']).to eq(JSON.parse(JSON.generate(plan.view)))
  ensure
    other&.stop
  end

  it 'is what a class is set up by, and what the page of the lesson tells' do
    odalys = at('odalys')
    odalys.do('plan.set', stream, seen: 1, set: { title: 'Fog', minutes: 45 })
    odalys.do('plan.move_step', stream, step: 'two', after: nil)
    facts = VisitorClient.new(server, as: 'odalys').get("/api/lessons/#{made[:lesson]}").body
    expect(facts.values_at('title', 'minutes', 'version')).to eq(['Fog', 45, 3])
    expect(facts['sheet']['rows'].map { |row| row['id'] }).to eq(%w[two one])
    sitting = ARCHIVE.sittings.state(fresh_class(**made)[:sitting])
    expect([sitting.title, sitting.steps.map { |step| step[:id] }]).to eq(['Fog', %w[two one]])
  end

  it 'is told to those who wait for its class: where that is moved, they know at once' do
    waiting = fresh_class(open: false, **made)
    doors = "place/#{waiting[:sitting]}.waiting"
    farah = Wire.join(server, 'farah', { sitting: waiting[:sitting] })
    later = (Time.now.to_i + 3 * 86_400) * 1000
    at('odalys').do('plan.set', stream, seen: 1, set: { starts_at: later, minutes: 60 })
    farah.wait { |message| message['kind'] == 'welcomed' && message['stream'] == doors }
    welcome = ARCHIVE.log.state(doors).first.welcome
    expect(welcome.values_at(:starts_at, :minutes)).to eq([later, 60])
    # Once it has begun it keeps the plan that it has.
    perform('odalys', 'class.open', "sitting/#{waiting[:sitting]}")
    at('odalys').do('plan.set', stream, seen: 2, set: { title: 'Too late' })
    until_true('nothing is left to be told') { ARCHIVE.errands.waiting("tell_plan #{made[:lesson]}").nil? }
    expect(ARCHIVE.log.state("sitting/#{waiting[:sitting]}").first.title).to eq('A lesson')
  end

  # A page that was away, or whose answer was lost, says it once more.
  it 'does once what is asked twice' do
    odalys = at('odalys')
    2.times { odalys.say(t: 'do', id: 'twice', do: 'plan.add_step', stream: stream, with: { step: 'x', after: nil, set: { title: 'X' } }, again: true) }
    odalys.do('plan.set', stream, seen: 1, set: { title: 'After' })
    expect(plan.steps.map { |step| step[:id] }).to eq(%w[x one two])
  end

  # Most of it makes no sense, some of it does by chance.
  it 'stays whole whatever is said to it' do
    rng = Random.new(20_261_203)
    odd = [nil, 5, -1, 1e308, 'x' * 5_000, " \u202E ", [], { a: 1 }, 'one', 'two', true]
    fields = %i[title minutes shortest notes board material leads rules cues welcome starts_at record_from]
    own = Server.new
    odalys = at('odalys', own)
    codes = Array.new(200) do |i|
      input = { step: ['one', 'two', "s#{i % 7}", odd.sample(random: rng)].sample(random: rng), after: [nil, 'one', odd.sample(random: rng)].sample(random: rng),
                seen: [1, 2, odd.sample(random: rng)].sample(random: rng),
                set: { title: "T #{i}", fields.sample(random: rng) => odd.sample(random: rng) }.to_a.sample(1 + rng.rand(2), random: rng).to_h }
      name = %w[set add_step set_step move_step take_step].sample(random: rng)
      taken = { 'set' => %i[seen set], 'add_step' => %i[step after set], 'set_step' => %i[step seen set], 'move_step' => %i[step after], 'take_step' => %i[step seen] }
      odalys.do("plan.#{name}", stream, **input.slice(*taken[name])).then { |told| told['code'] || told['t'] }
    end
    expect(codes.tally.keys).to include('done', 'bad_input', 'no_such_step')
    expect(Veranda::Store::PlanTables.facts(ARCHIVE.db[:lessons].first(id: made[:lesson]))).to eq(plan.facts)
    expect(VisitorClient.new(server, as: 'odalys').get("/api/lessons/#{made[:lesson]}").status).to eq(200)
    expect(own.errors).to be_empty
  ensure
    own&.stop
  end
end
