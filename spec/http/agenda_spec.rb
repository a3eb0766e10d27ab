# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../support/calendar/other_opinion'

# Files for other calendars, as a parser that is none of ours reads them.
RSpec.describe 'The agenda of somebody' do
  let(:course) { begin_course(odalys: 'instructor', farah: 'student') }
  let(:title) { 'Lights, buoys; and\\or “beacons”: what an überlong title in an agenda comes to when a line of it is folded' }
  let(:day) { Time.now.utc.then { |now| Time.utc(now.year, now.month, now.day, 20, 30) } + (30 * 86_400) }
  let!(:lesson) { ARCHIVE.lessons.create(course_id: course, title: title, starts_at: day, minutes: 90) }

  def visitor(who) = VisitorClient.new(Server.shared, as: who)
  def read(answer) = OtherOpinion.events(answer.body)
  def stranger = VisitorClient.new(Server.shared)

  it 'has each lesson of a course as an event of its own' do
    answer = visitor('farah').get("/api/courses/#{course}/agenda.ics")
    expect(answer.headers['content-type']).to eq('text/calendar; charset=utf-8')
    event = read(answer).first
    expect(event).to include('summary' => title, 'from' => day.to_i, 'to' => day.to_i + 5_400, 'status' => 'CONFIRMED', 'uid' => "#{lesson}@veranda",
                             'url' => "#{Server.shared.address}/lessons/#{lesson}")
    expect(answer.body.lines.map { |line| line.chomp.bytesize }.max).to be <= 75
    expect(answer.body.lines).to all(end_with("\r\n"))
    # Called off, the same event says so, and is newer than it was.
    visitor('odalys').patch("/api/lessons/#{lesson}", { version: 1, cancelled: true })
    later = read(visitor('farah').get("/api/lessons/#{lesson}/agenda.ics")).first
    expect([later['status'], later['uid'], later['sequence'] > event['sequence']]).to eq(['CANCELLED', event['uid'], true])
  end

  it 'has the lessons of a series, over the change of clocks' do
    part = { start: (day.to_date + 1).strftime('%Y-%m-%dT20:30'), zone: 'America/New_York', minutes: 60, rule: 'FREQ=WEEKLY;COUNT=30' }
    perform('odalys', 'course.plan_series', "course/#{course}", series: 's', title: 'Weekly', **part)
    Veranda::Preparing::LayingSeries.new(ARCHIVE, course, 's').call
    found = read(visitor('farah').get("/api/courses/#{course}/agenda.ics")).select { |event| event['summary'] == 'Weekly' }
    series = ARCHIVE.log.state("course/#{course}").first.series['s']
    expect(found.map { |event| event['from'] * 1000 }).to eq(series.slots.map(&:starts_at))
    expect(found.map { |event| Time.at(event['from']).utc.hour }.uniq.length).to eq(2)
  end

  it 'is read by whoever has its address, until that is taken back' do
    made = visitor('farah').post('/api/agenda')
    expect(made.status).to eq(201)
    path = made.body['address'].delete_prefix(Server.shared.address)
    expect(read(stranger.get(path)).map { |event| event['uid'] }).to include("#{lesson}@veranda")
    # Nobody but who made it knows of it, or takes it back.
    expect(visitor('odalys').get('/api/agenda').body['links'].map { |link| link['id'] }).not_to include(made.body['id'])
    visitor('odalys').delete("/api/agenda/#{made.body['id']}")
    expect(stranger.get(path).status).to eq(200)
    visitor('farah').delete("/api/agenda/#{made.body['id']}")
    expect([stranger.get(path).code, stranger.get('/api/agenda/x.ics').code]).to eq(%w[link_revoked link_unknown])
    # It lets nobody in.
    expect(stranger.post('/api/links/look', { token: File.basename(visitor('farah').post('/api/agenda').body['address'], '.ics') }).code).to eq('link_unknown')
  end

  it 'is given to those alone who belong there' do
    expect([visitor('ruth').get("/api/courses/#{course}/agenda.ics").code, stranger.get('/api/agenda.ics').code, stranger.post('/api/agenda').code])
      .to eq(%w[not_invited sign_in sign_in])
    expect(visitor('ruth').get("/api/lessons/#{lesson}/agenda.ics").code).to eq('not_invited')
    20.times { visitor('nils').post('/api/agenda') }
    expect(visitor('nils').get('/api/agenda').body['links'].length).to eq(10)
  end

  it 'has one lesson whenever it is, also for a guest, who belongs to no course' do
    far = ARCHIVE.lessons.create(course_id: course, title: 'Far ahead', starts_at: day + (900 * 86_400), minutes: 60)
    expect(read(visitor('farah').get("/api/lessons/#{far}/agenda.ics")).map { |event| event['summary'] }).to eq(['Far ahead'])
    ARCHIVE.people.admit(far, 'nils')
    expect(read(visitor('nils').get("/api/lessons/#{far}/agenda.ics")).map { |event| event['uid'] }).to eq(["#{far}@veranda"])
    expect(read(visitor('farah').get("/api/courses/#{course}/agenda.ics")).map { |event| event['summary'] }).to eq([title])
  end
end
