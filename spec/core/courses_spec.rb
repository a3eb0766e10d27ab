# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Core::Courses do
  let(:world) { Stage::World.new }
  let(:course) { world.state('course/nav') }
  let(:people) { world.state('people/nav') }

  before { give(nil, 'course.begin', { name: '  Coastal   navigation ', people: [row('odalys', 'instructor'), row('tomas', 'assistant'), row('farah', 'student')] }) }

  def row(id, role) = { id: id, name: id.capitalize, role: role }

  # What somebody is, the course says and not what they call themselves.
  def give(who, wire_name, input, claims: 'instructor')
    by = Core::Person.new(id: who || 'house', name: 'Somebody', role: claims)
    on = Core::Commands.fetch(wire_name).stream_kind == :course ? 'course/nav' : 'people/nav'
    world.perform(by, wire_name, input, on: on, at: 1_000)
  end

  def refused(who, wire_name, input)
    give(who, wire_name, input)
    nil
  rescue Core::Refusal => e
    e.code
  end

  def roles = people.to_a.to_h { |person| person.values_at(:id, :role) }

  # Every command on a course that a client may give, × who gives it: those who decide, and nobody else.
  fridays = { title: 'Evening', start: '2026-11-06T20:30', zone: 'Europe/London', minutes: 90, rule: 'FREQ=WEEKLY;COUNT=3' }
  table = { 'course.set' => { name: 'Tides' }, 'people.give_role' => { person: 'farah', role: 'assistant' }, 'people.take_out' => { person: 'farah' },
            'course.plan_series' => { series: 's', **fridays }, 'course.change_series' => { series: 'known', set: { minutes: 60 } } }
  # Those that assistants may give as well.
  shared = %w[course.plan_series course.change_series]

  it 'have a table that is told of every command on them' do
    kinds = Core::Streams::Kinds.belonging_to(:course).map(&:kind)
    given = (Core::Commands::ALL - Core::Commands::INTERNAL).select { |command| kinds.include?(command.stream_kind) }
    expect(table.keys).to match_array(given.map(&:wire_name))
  end

  table.each do |wire_name, input|
    { 'odalys' => nil, 'tomas' => (:staff_only unless shared.include?(wire_name)), 'farah' => :staff_only, 'nobody' => :staff_only }.each do |who, code|
      it("#{wire_name}: #{who} #{code ? 'may not' : 'may'}") do
        give('odalys', 'course.plan_series', { series: 'known', **fridays })
        expect(refused(who, wire_name, input)).to eq(code)
      end
    end
  end

  it 'begin once, with a name and their people' do
    expect(course.name).to eq('Coastal navigation')
    expect(roles).to eq('odalys' => 'instructor', 'tomas' => 'assistant', 'farah' => 'student')
    expect(give(nil, 'course.begin', { name: 'Again', people: [row('jonas', 'instructor')] })).to be_empty
    expect(refused(nil, 'course.begin', { name: 'A', people: [] })).to eq(:bad_input)
  end

  it 'are set by instructors, and say only what is other than before' do
    told = give('odalys', 'course.set', { name: 'Navigation', keep_recordings: 30, add_missed: true })
    expect(told.map(&:body)).to eq([{ name: 'Navigation', keep_recordings: 30 }])
    expect(give('odalys', 'course.set', { name: ' Navigation' })).to be_empty
    expect(course.facts).to eq(name: 'Navigation', private_in_transcripts: false, keep_recordings: 30, add_missed: true, language: 'en',
                               zone: 'Etc/UTC')
    expect(refused('odalys', 'course.set', { zone: 'Europe/Atlantis' })).to eq(:no_such_zone)
    expect(give('odalys', 'course.set', { keep_recordings: nil }).first.body).to eq(keep_recordings: nil)
    expect(refused('odalys', 'course.set', { name: " \u202E " })).to eq(:title_missing)
    expect(%w[tomas farah nobody].map { |who| refused(who, 'course.set', { language: 'de' }) }.uniq).to eq([:staff_only])
  end

  it 'keep at least one instructor' do
    expect(refused('odalys', 'people.give_role', { person: 'odalys', role: 'student' })).to eq(:last_instructor)
    expect(refused('odalys', 'people.take_out', { person: 'odalys' })).to eq(:last_instructor)
    give('odalys', 'people.give_role', { person: 'tomas', role: 'instructor' })
    give('tomas', 'people.give_role', { person: 'odalys', role: 'assistant' })
    expect(roles).to include('odalys' => 'assistant', 'tomas' => 'instructor')
    # What they were when they came counts no more.
    expect(refused('odalys', 'people.take_out', { person: 'farah' })).to eq(:staff_only)
  end

  it 'take people in and out, once each' do
    told = give(nil, 'people.enrol', { people: [row('farah', 'student'), row('jonas', 'student'), row('jonas', 'assistant')] })
    expect(told.first.body[:people].map { |one| one[:id] }).to eq(['jonas'])
    expect(give(nil, 'people.enrol', { people: [row('jonas', 'student')] })).to be_empty
    give('odalys', 'people.take_out', { person: 'jonas' })
    expect(roles).not_to include('jonas')
    expect(give('odalys', 'people.take_out', { person: 'jonas' })).to be_empty
    expect(refused('odalys', 'people.give_role', { person: 'jonas', role: 'student' })).to eq(:not_in_course)
    expect(refused('odalys', 'people.give_role', { person: 'farah', role: 'guest' })).to eq(:bad_input)
  end

  it 'have no more people than can be told of' do
    more = Array.new(Core::Courses::People::MOST - 3) { |i| row("s#{i}", 'student') }
    give(nil, 'people.enrol', { people: more })
    expect(refused(nil, 'people.enrol', { people: [row('late', 'student')] })).to eq(:too_many_people)
  end

  it 'are read by who belongs to them, and their people by who teaches' do
    reads = lambda do |who|
      reader = Core::Access::InCourse.new(Core::Person.new(id: who, name: who, role: 'instructor'), 'nav', people)
      expect(%w[course/nav people/nav course/other people/other sitting/nav board/nav staff/nav].select { |name| reader.reads?(name) }).to match_array(reader.streams)
      reader.streams
    end
    expect(%w[odalys tomas farah nobody].to_h { |who| [who, reads.call(who).sort] })
      .to eq('odalys' => %w[course/nav people/nav], 'tomas' => %w[course/nav people/nav], 'farah' => %w[course/nav], 'nobody' => [])
  end

  it 'are the same after a snapshot, and folded afresh' do
    give('odalys', 'course.set', { keep_recordings: 30 })
    give('odalys', 'people.give_role', { person: 'tomas', role: 'instructor' })
    give('odalys', 'people.take_out', { person: 'farah' })
    %w[course/nav people/nav].each do |name|
      expect([world.restored(name), world.refolded(name)].map(&:to_h)).to all(eq(world.state(name).to_h))
    end
  end

  it 'have streams of which classes know nothing' do
    hall = sitting
    readers = %i[odalys farah].map { |who| Core::Access::InClass.new(person(who), hall.state, hall.staff, hall.own(who.to_s)) }
    expect(readers.flat_map(&:streams).grep(/course|people/)).to be_empty
    expect(readers.flat_map { |reader| %w[course/s1 people/s1].map { |name| reader.reads?(name) } }.uniq).to eq([false])
  end

  it 'have lessons that recur, each series once and with an end' do
    give('tomas', 'course.plan_series', { series: 'f', **fridays, title: ' Friday  evenings ' })
    expect(course.series['f'].title).to eq('Friday evenings')
    expect(course.series['f'].slots.map(&:of)).to eq(%w[2026-11-06T20:30 2026-11-13T20:30 2026-11-20T20:30])
    expect(give('tomas', 'course.plan_series', { series: 'f', **fridays, minutes: 5 })).to be_empty
    expect(refused('odalys', 'course.plan_series', { series: 'g', **fridays, rule: 'FREQ=WEEKLY' })).to eq(:no_end)
    expect(refused('odalys', 'course.plan_series', { series: 'g', **fridays, rule: 'FREQ=HOURLY;COUNT=3' })).to eq(:too_often)
    { rule: ['FREQ=DAILY;COUNT=531', :too_many_lessons], start: ['2026-02-30T20:30', :bad_input], zone: ['Mars/North', :no_such_zone],
      except: [%w[2026-11-06T20:30 2026-11-13T20:30 2026-11-20T20:30], :no_lesson], minutes: [0, :bad_input] }.each do |field, (value, code)|
      expect(refused('odalys', 'course.plan_series', { series: 'g', **fridays, field => value })).to eq(code)
    end
    expect(refused('odalys', 'course.plan_series', { series: 'g', **fridays, rule: 'FREQ=YEARLY;COUNT=3;BYMONTH=2;BYMONTHDAY=30' })).to eq(:no_lesson)
  end

  it 'have series that two people change at once, each what they wish' do
    give('odalys', 'course.plan_series', { series: 'f', **fridays })
    give('odalys', 'course.change_series', { series: 'f', from: '2026-11-13T20:30', set: { start: '2026-11-14T10:00', rule: 'FREQ=WEEKLY;COUNT=2' } })
    give('tomas', 'course.change_series', { series: 'f', set: { minutes: 45 } })
    slots = course.series['f'].slots
    expect(slots.map(&:of)).to eq(%w[2026-11-06T20:30 2026-11-14T10:00 2026-11-21T10:00])
    expect(slots.map(&:minutes)).to eq([45, 45, 45])
    expect(give('tomas', 'course.change_series', { series: 'f', set: { minutes: 45 } })).to be_empty
    # From one lesson on it has to be said how many are left: else those between it and a later rule would be gone.
    expect(refused('tomas', 'course.change_series', { series: 'f', from: '2026-11-06T20:30', set: { minutes: 60 } })).to eq(:no_rule)
    expect(refused('tomas', 'course.change_series', { series: 'gone', set: { minutes: 45 } })).to eq(:no_such_series)
    expect(refused('tomas', 'course.change_series', { series: 'f', set: { rule: 'FREQ=WEEKLY' } })).to eq(:no_end)
    expect(Core::Courses::Course.from(JSON.parse(JSON.generate(course.to_h), symbolize_names: true)).to_h).to eq(course.to_h)
  end
end
