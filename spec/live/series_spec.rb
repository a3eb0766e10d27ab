# frozen_string_literal: true

require_relative '../spec_helper'

# Lessons that recur, from a rule to lessons of their own.
RSpec.describe 'A series of lessons' do
  let(:server) { Server.shared }
  let(:course) { begin_course(odalys: 'instructor', tomas: 'assistant', farah: 'student') }
  let(:stream) { "course/#{course}" }
  let(:fridays) { { series: 'f', title: 'Evening', start: '2027-10-15T20:30', zone: 'Europe/London', minutes: 90, rule: 'FREQ=WEEKLY;COUNT=4' } }

  def at(who, on = server) = Wire.join(on, who, { course: course })
  def rows = ARCHIVE.lessons.of_series(course, 'f').reject { |row| row[:cancelled] }
  def days = rows.map { |row| Time.at(row[:starts_at] / 1000).utc.strftime('%d %H:%M') }

  it 'is planned by those who teach, told to all of the course, and made into lessons' do
    farah, odalys = at('farah'), at('odalys')
    expect(farah.do('course.plan_series', stream, **fridays)).to include('code' => 'staff_only')
    expect(odalys.do('course.plan_series', stream, **fridays)['t']).to eq('done')
    farah.wait { |message| message['kind'] == 'series_set' }
    until_true('there are its lessons') { rows.length == 4 }
    # The clocks are put back on 31 October 2027.
    expect(days).to eq(['15 19:30', '22 19:30', '29 19:30', '05 20:30'])
    expect(rows.map { |row| row[:title] }.uniq).to eq(['Evening'])
    expect(ARCHIVE.lessons.of_courses([course]).map { |row| row[:number] }).to eq([1, 2, 3, 4])
  end

  it 'begins each lesson with the sheet and the boards of another' do
    sheet = fresh_lesson('Sheet')
    perform('odalys', 'course.plan_series', 'course/navigation', **fridays, series: 'sheets', sheet: sheet[:lesson])
    made = -> { ARCHIVE.lessons.of_series('navigation', 'sheets') }
    until_true('there are its lessons') { made.call.length == 4 }
    lessons = made.call.map { |row| ARCHIVE.lessons.fetch(row[:id]) }
    expect(lessons.map { |lesson| lesson[:steps].map { |step| step[:title] } }.uniq).to eq([%w[One Two]])
    boards = lessons.map { |lesson| lesson[:steps].first[:board] }
    expect(boards.uniq.length).to eq(4)
    expect(boards).not_to include(sheet[:board])
    # Of another course nobody takes a sheet.
    perform('odalys', 'course.plan_series', stream, **fridays, sheet: sheet[:lesson])
    until_true('there are its lessons') { rows.length == 4 }
    expect(ARCHIVE.lessons.fetch(rows.first[:id])[:steps]).to eq([])
  end

  it 'is changed from one lesson on, by two at once on two processes, and holds what both wish' do
    other = Server.new
    odalys, tomas = at('odalys'), at('tomas', other)
    odalys.do('course.plan_series', stream, **fridays)
    until_true('there are its lessons') { rows.length == 4 }
    [Thread.new { odalys.do('course.change_series', stream, series: 'f', from: '2027-10-29T20:30', set: { start: '2027-10-30T10:00', rule: 'FREQ=WEEKLY;COUNT=2' }) },
     Thread.new { tomas.do('course.change_series', stream, series: 'f', set: { title: 'Fog' }) }].each(&:join)
    until_true('all are where they belong') { days == ['15 19:30', '22 19:30', '30 09:00', '06 10:00'] && rows.all? { |row| row[:title] == 'Fog' } }
  ensure
    other&.stop
  end

  it 'is laid once, though two are at it at the same moment, and goes on where one died' do
    CarriedErrands.without do
      perform('odalys', 'course.plan_series', stream, **fridays, rule: 'FREQ=DAILY;COUNT=30')
      laying = -> { Veranda::Preparing::LayingSeries.new(ARCHIVE, course, 'f').call }
      Array.new(3) { Thread.new(&laying) }.each(&:join)
      expect(rows.length).to eq(30)
      ARCHIVE.db[:lessons].where(course_id: course).where { number > 12 }.update(series: nil)
      laying.call
      expect(rows.length).to eq(30)
    end
  end

  it 'is in the table of lessons as the plans have it' do
    perform('odalys', 'course.plan_series', stream, **fridays)
    until_true('there are its lessons') { rows.length == 4 }
    id = rows.first[:id]
    perform('odalys', 'plan.set', "plan/#{id}", seen: 1, set: { cancelled: true })
    expect(Veranda::Store::PlanTables.facts(ARCHIVE.db[:lessons].first(id: id))).to eq(ARCHIVE.log.state("plan/#{id}").first.facts)
    expect(days.first).to eq('22 19:30')
  end
end
