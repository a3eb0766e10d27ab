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
  table = { 'course.set' => { name: 'Tides' }, 'people.give_role' => { person: 'farah', role: 'assistant' }, 'people.take_out' => { person: 'farah' } }

  it 'have a table that is told of every command on them' do
    kinds = Core::Streams::Kinds.belonging_to(:course).map(&:kind)
    given = (Core::Commands::ALL - Core::Commands::INTERNAL).select { |command| kinds.include?(command.stream_kind) }
    expect(table.keys).to match_array(given.map(&:wire_name))
  end

  table.each do |wire_name, input|
    { 'odalys' => nil, 'tomas' => :staff_only, 'farah' => :staff_only, 'nobody' => :staff_only }.each do |who, code|
      it("#{wire_name}: #{who} #{code ? 'may not' : 'may'}") { expect(refused(who, wire_name, input)).to eq(code) }
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
    expect(course.facts).to eq(name: 'Navigation', private_in_transcripts: false, keep_recordings: 30, add_missed: true, language: 'en')
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
end
