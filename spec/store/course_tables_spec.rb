# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::CourseTables do
  let(:course) { begin_course(odalys: 'instructor', farah: 'student') }

  def tables = [ARCHIVE.course(course), ARCHIVE.db[:memberships].where(course_id: course).order(:person_id).all]

  # Random histories: the tables are what the streams say, and the same when they are made anew.
  it 'are kept as the streams say' do
    rng = Random.new(20_261_201)
    who = Demo::School::STUDENTS.keys.first(6)
    40.times do
      someone = who.sample(random: rng)
      case rng.rand(4)
      when 0 then Veranda::Deciding::Perform.call(ARCHIVE.log, 'people.enrol', { people: [{ id: someone, name: someone, role: 'student' }] }, stream: "people/#{course}")
      when 1 then perform('odalys', 'people.take_out', "people/#{course}", person: someone)
      when 2 then perform('odalys', 'people.give_role', "people/#{course}", person: someone, role: %w[student assistant].sample(random: rng))
      else perform('odalys', 'course.set', "course/#{course}", name: "Course #{rng.rand(3)}", keep_recordings: [nil, 30].sample(random: rng))
      end
    end
    facts, people = %w[course people].map { |kind| ARCHIVE.log.state("#{kind}/#{course}").first }
    kept = tables
    expect(kept.first).to include(facts.facts)
    expect(kept.last.to_h { |row| row.values_at(:person_id, :role) }).to eq(people.to_a.to_h { |person| person.values_at(:id, :role) })

    ARCHIVE.db[:memberships].where(course_id: course).update(role: 'assistant')
    ARCHIVE.db[:memberships].insert(course_id: course, person_id: 'ruth', role: 'student')
    ARCHIVE.db[:courses].where(id: course).update(name: 'Lost', add_missed: false)
    described_class.rebuild(ARCHIVE.db, course, facts, people)
    expect(tables).to eq(kept)
  end

  it 'are written with the entry, or neither is' do
    nobody = { people: [{ id: 'nobody-at-all', name: 'Nobody', role: 'student' }] }
    expect { Veranda::Deciding::Perform.call(ARCHIVE.log, 'people.enrol', nobody, stream: "people/#{course}") }.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect(ARCHIVE.log.state("people/#{course}").first['nobody-at-all']).to be_nil
  end
end
