# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Preparing::Desk do
  # People of its own: the desks of the demo school's are full of what other specs left, and a desk shows only so much.
  let(:people) { { odalys: 'assistant', teacher: 'instructor', learner: 'student' }.to_h { |who, role| [who, { role: role, **someone(who) }] } }
  let(:course) do
    "course-#{Veranda::Store::Ids.call}".tap do |id|
      Veranda::Deciding::Perform.call(ARCHIVE.log, 'course.begin', { name: 'A course', people: people.values }, stream: "course/#{id}")
    end
  end
  let(:now) { Time.now }

  def someone(who) = { name: who.to_s.capitalize, id: who == :odalys ? 'odalys' : ARCHIVE.people.add(who.to_s.capitalize) }

  def lesson(title, at, minutes: 60) = ARCHIVE.lessons.create(course_id: course, title: title, minutes: minutes, starts_at: now + (at * 86_400))

  def held(title, at, shared: false)
    fresh_class(lesson: lesson(title, at)).tap do |made|
      perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
      sleep 0.01
      perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
      ARCHIVE.recordings.update(made[:sitting], shared: true) if shared
    end
  end

  def desk(who)
    facts = described_class.new(ARCHIVE, people.dig(who, :id), now: (now.to_f * 1000).round).call
    waiting = facts[:waiting].transform_values { |rows| rows.map { |row| row[:title] } }
    [facts[:lessons].map { |one| one[:title] }, waiting]
  end

  def queries
    seen = []
    logger = Logger.new(IO::NULL).tap { |one| one.define_singleton_method(:info) { |text| seen << text } }
    ARCHIVE.db.loggers << logger
    desk(:teacher)
    seen.grep(/SELECT/).length
  ensure
    ARCHIVE.db.loggers.delete(logger)
  end

  it 'has what is near, what was held last, and what waits' do
    held('Long ago', -40, shared: true)
    held('Of late', -3)
    lesson('Never held', -2)
    lesson('Today', 0.01)
    lesson('Next month', 30)
    titles, waiting = desk(:teacher)
    expect(titles).to eq(['Of late', 'Today', 'Next month'])
    expect(waiting[:recordings]).to eq(['Of late'])
    expect(waiting[:lessons]).to include('Today')
    expect(waiting[:lessons]).not_to include('Next month', 'Never held')
    # Whoever learns there sees what was shared, and has nothing to mend.
    titles, waiting = desk(:learner)
    expect(titles).to eq(['Long ago', 'Today', 'Next month'])
    expect(waiting.values.flatten & ['Of late', 'Today']).to be_empty
  end

  it 'asks no more of the database for a school with years behind it' do
    lesson('Today', 0.01)
    held('First', -100)
    few = queries
    expect(few).to be > 5
    40.times { |i| lesson("Past #{i}", -50 - i) }
    expect(queries).to be <= few
  end
end
