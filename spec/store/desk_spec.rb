# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Preparing::Desk do
  let(:course) { begin_course(odalys: 'instructor', farah: 'student') }
  let(:now) { Time.now }

  def lesson(title, at, minutes: 60) = ARCHIVE.lessons.create(course_id: course, title: title, minutes: minutes, starts_at: now + (at * 86_400))

  def held(title, at, shared: false)
    fresh_class(lesson: lesson(title, at)).tap do |made|
      perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
      sleep 0.01
      perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
      ARCHIVE.recordings.update(made[:sitting], shared: true) if shared
    end
  end

  # Of this course alone: others of the demo school are on the same desk.
  def desk(who)
    facts = described_class.new(ARCHIVE, who, now: (now.to_f * 1000).round).call
    waiting = facts[:waiting].transform_values { |rows| rows.map { |row| row[:title] } }
    [facts[:lessons].select { |one| one[:course_id] == course }.map { |one| one[:title] }, waiting]
  end

  def queries
    seen = []
    logger = Logger.new(IO::NULL).tap { |one| one.define_singleton_method(:info) { |text| seen << text } }
    ARCHIVE.db.loggers << logger
    desk('odalys')
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
    titles, waiting = desk('odalys')
    expect(titles).to eq(['Of late', 'Today', 'Next month'])
    expect(waiting[:recordings]).to include('Of late')
    expect(waiting[:recordings]).not_to include('Long ago')
    expect(waiting[:lessons]).to include('Today')
    expect(waiting[:lessons]).not_to include('Next month', 'Never held')
    # Whoever learns there sees what was shared, and has nothing to mend.
    titles, waiting = desk('farah')
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
