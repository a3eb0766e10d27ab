# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'The calendar over HTTP' do
  let(:hour) { 3_600_000 }
  # Each example has a year of its own, since people are busy in what others have made.
  years = (2031..).each
  let(:year) { years.next }
  let(:evening) { (Time.utc(year, 3, 7, 18).to_f * 1000).round }
  let(:course) { begin_course(odalys: 'instructor', tomas: 'assistant', farah: 'student', jonas: 'student') }
  let(:other) { begin_course(ruth: 'instructor', farah: 'student') }

  def visitor(who) = VisitorClient.new(Server.shared, as: who)
  def add(to, at, title: 'A lesson', minutes: 90) = ARCHIVE.lessons.create(course_id: to, title: title, starts_at: Time.at(at / 1000), minutes: minutes)
  def calendar(who, from = evening - hour, to = evening + (10 * hour)) = visitor(who).get("/api/calendar?from=#{from}&to=#{to}")
  def clashes(who, at: evening, lesson: nil) = visitor(who).get("/api/courses/#{course}/clashes?from=#{at}&minutes=60#{"&lesson=#{lesson}" if lesson}")

  it 'shows everyone the lessons of their own courses, with the part they play in each' do
    add(course, evening, title: 'Signals')
    add(other, evening + hour, title: 'Fronts')
    seen = ->(who) { calendar(who).body['lessons'].map { |lesson| lesson.values_at('title', 'role', 'number', 'of') } }
    expect(seen.call('farah')).to eq([['Signals', 'student', 1, 1], ['Fronts', 'student', 1, 1]])
    expect(seen.call('odalys')).to eq([['Signals', 'instructor', 1, 1]])
    expect(seen.call('ruth')).to eq([['Fronts', 'instructor', 1, 1]])
    expect(calendar('nils').body['lessons']).to eq([])
    expect([calendar('farah', 5, 5).status, calendar('farah', 0, 1 << 45).status, calendar('farah', 'x', "1'").status].uniq).to eq([422])
    expect(VisitorClient.new(Server.shared).get('/api/calendar?from=0&to=9').status).to eq(401)
  end

  it 'asks the database as often however many lessons there are' do
    queries = lambda do
      counted = 0
      logger = Logger.new(IO::NULL).tap { |log| log.define_singleton_method(:add) { |*, &_| counted += 1 } }
      ARCHIVE.db.loggers << logger
      Veranda::Preparing::LessonsBetween.new(ARCHIVE, 'odalys').call(evening - hour, evening + (10 * hour))
      counted
    ensure
      ARCHIVE.db.loggers.delete(logger)
    end
    add(course, evening)
    few = queries.call
    20.times { add(course, evening) }
    expect(few).to be_between(1, 8)
    expect(queries.call).to eq(few)
  end

  it 'tells those who teach who would be elsewhere, and what the other lesson is only where they belong to its course' do
    mine = add(course, evening)
    add(other, evening + (90 * 60_000), title: 'Fronts')
    expect(clashes('odalys').body).to include('count' => 4) # all of them are in the lesson itself
    expect(clashes('odalys', lesson: mine).body).to eq('clashes' => [], 'count' => 0, 'free' => nil)
    found = clashes('odalys', at: evening + hour, lesson: mine).body
    expect(found['clashes']).to eq([{ 'person' => { 'id' => 'farah', 'name' => 'Farah Lindqvist' }, 'role' => 'student', 'lesson' => nil }])
    expect(found['free']).to eq(evening + hour + (24 * hour))
    Veranda::Deciding::Perform.call(ARCHIVE.log, 'people.enrol', { people: [{ id: 'odalys', name: 'Odalys Brandt', role: 'student' }] }, stream: "people/#{other}")
    found = clashes('odalys', at: evening + hour, lesson: mine).body
    expect(found['clashes'].map { |clash| [clash['person']['id'], clash['lesson']['title']] }).to eq([%w[odalys Fronts], %w[farah Fronts]])
    expect([clashes('farah').code, clashes('ruth').code]).to eq(%w[staff_only staff_only])
    expect(visitor('odalys').get("/api/courses/#{course}/clashes?from=1&minutes=x").status).to eq(422)
  end

  it 'puts a lesson elsewhere and calls it off, by those who teach it, unless somebody did so meanwhile or it was held' do
    id = add(course, evening)
    move = ->(who, **facts) { visitor(who).patch("/api/lessons/#{id}", facts) }
    expect(move.call('farah', version: 1, starts_at: 5).code).to eq('staff_only')
    expect(move.call('tomas', version: 1, starts_at: evening + hour, minutes: 45).body).to include('starts_at' => evening + hour, 'minutes' => 45)
    expect(move.call('odalys', version: 1, starts_at: evening)).to have_attributes(status: 409, code: 'outdated')
    expect(move.call('odalys', version: 2, cancelled: true).body).to include('cancelled' => true)
    expect(calendar('farah').body['lessons'].first).to include('cancelled' => true, 'number' => 1, 'of' => 0)
    expect([move.call('odalys', version: 3, starts_at: -4).status, move.call('odalys', starts_at: evening).status]).to eq([422, 422])
    made = fresh_class
    until_true('it was held') { ARCHIVE.lessons.fetch(made[:lesson])[:held] }
    version = ARCHIVE.lessons.fetch(made[:lesson])[:version]
    expect(visitor('odalys').patch("/api/lessons/#{made[:lesson]}", { version: version, starts_at: evening }).code).to eq('was_held')
  end

  it 'tells what a series would come to' do
    add(other, evening + (7 * 24 * hour), title: 'Fronts')
    part = { start: "#{year}-03-07T18:00", zone: 'Etc/UTC', minutes: 60, rule: 'FREQ=WEEKLY;COUNT=3' }
    ahead = ->(who, **more) { visitor(who).post("/api/courses/#{course}/series/ahead", { **part, **more }) }
    found = ahead.call('tomas').body
    expect(found.slice('words', 'count', 'ends', 'past'))
      .to eq('words' => "#{Date.new(year, 3, 7).strftime('%A')}s at 18:00, three times from 7 March #{year}", 'count' => 3, 'ends' => true, 'past' => 0)
    expect(found['clashing'].map { |one| [one['of'], one['count'], one['clashes'].first['person']['name']] }).to eq([["#{year}-03-14T18:00", 1, 'Farah Lindqvist']])
    without = ahead.call('tomas', except: ["#{year}-03-14T18:00"]).body
    expect([without['count'], without['lessons'].length, without['clashing']]).to eq([2, 3, []])
    expect(ahead.call('tomas', rule: 'FREQ=WEEKLY').body).to include('ends' => false, 'count' => 530)
    expect([ahead.call('farah').code, ahead.call('tomas', rule: 'FREQ=NEVER').code, ahead.call('tomas', zone: 'Mars/North').code])
      .to eq(%w[staff_only bad_rule no_such_zone])
  end

  it 'plans and changes series, whose lessons are there by the time that it answers' do
    part = { title: 'Signals', start: "#{year}-03-07T18:00", zone: 'Etc/UTC', minutes: 60, rule: 'FREQ=WEEKLY;COUNT=3' }
    plan = ->(who, **more) { visitor(who).post("/api/courses/#{course}/series", { **part, **more }) }
    expect([plan.call('farah').code, plan.call('ruth').code, plan.call('odalys', rule: 'FREQ=WEEKLY').code]).to eq(%w[staff_only staff_only no_end])
    made = plan.call('tomas')
    expect(made.status).to eq(201)
    at = "/api/courses/#{course}/series/#{made.body['id']}"
    days = -> { calendar('farah', evening - hour, evening + (60 * 24 * hour)).body['lessons'].reject { |one| one['cancelled'] }.map { |one| one['said'][5..] } }
    expect(days.call).to eq(%w[03-07T18:00 03-14T18:00 03-21T18:00])
    # A series that is changed clashes with nothing of its own.
    ahead = part.except(:title).merge(series: made.body['id'])
    expect(visitor('odalys').post("/api/courses/#{course}/series/ahead", ahead).body['clashing']).to eq([])
    changed = visitor('odalys').patch(at, { from: "#{year}-03-14T18:00", set: { start: "#{year}-03-15T10:00", rule: 'FREQ=WEEKLY;COUNT=2' } })
    expect(changed.body['parts'].map { |one| one['from'] }).to eq([nil, "#{year}-03-14T18:00"])
    expect(days.call).to eq(%w[03-07T18:00 03-15T10:00 03-22T10:00])
    expect([visitor('farah').get(at).code, visitor('odalys').get("#{at}x").code]).to eq(%w[staff_only no_such_series])
    expect(visitor('farah').patch(at, { set: { minutes: 5 } }).code).to eq('staff_only')
  end

  it 'lets nobody into a lesson that was called off, tells those who wait already, and opens no doors to it' do
    id = add(course, evening)
    sitting = visitor('odalys').post("/api/lessons/#{id}/class").body['sitting']
    farah = Wire.join(Server.shared, 'farah', { sitting: sitting })
    visitor('odalys').patch("/api/lessons/#{id}", { version: 1, cancelled: true })
    farah.wait { |message| message['kind'] == 'welcomed' && message['body']['cancelled'] }
    expect(visitor('jonas').post("/api/lessons/#{id}/class").code).to eq('called_off')
    odalys = Wire.join(Server.shared, 'odalys', { sitting: sitting })
    expect(odalys.do('class.open', "sitting/#{sitting}")).to include('code' => 'called_off')
    visitor('tomas').patch("/api/lessons/#{id}", { version: 2, cancelled: false })
    farah.wait { |message| message['kind'] == 'welcomed' && !message['body']['cancelled'] }
    expect(odalys.do('class.open', "sitting/#{sitting}")['t']).to eq('done')
  end

  it 'knows of a lesson that was held that it took place, though somebody called it off at that moment' do
    made = fresh_class(open: false)
    CarriedErrands.without do
      perform('odalys', 'class.open', "sitting/#{made[:sitting]}")
      perform('odalys', 'plan.set', "plan/#{made[:lesson]}", seen: 9, set: { cancelled: true })
    end
    until_true('it was held') { ARCHIVE.lessons.fetch(made[:lesson]).slice(:held, :cancelled) == { held: true, cancelled: false } }
  end
end
