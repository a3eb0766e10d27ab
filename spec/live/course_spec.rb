# frozen_string_literal: true

require_relative '../spec_helper'

# Two server processes, and pages that show one course.
RSpec.describe 'A course, live' do
  let(:servers) { [Server.shared, Server.new] }
  let(:course) { begin_course(odalys: 'instructor', tomas: 'assistant', farah: 'student') }
  let(:about) { "course/#{course}" }
  let(:people) { "people/#{course}" }

  def join(who, server = servers.first) = Wire.join(server, who, { course: course })
  def streams(wire) = wire.wait_for('welcome')['streams'].map { |part| part['stream'] }

  it 'is told to who belongs to it, on whichever process, as others change it' do
    odalys, tomas, farah = join('odalys'), join('tomas', servers.last), join('farah', servers.last)
    expect([odalys, tomas, farah].map { |wire| streams(wire).sort }).to eq([[about, people], [about, people], [about]])
    odalys.do('course.set', about, name: 'Tides', keep_recordings: 90)
    heard = [tomas, farah].map { |wire| wire.wait { |message| message['kind'] == 'course_set' }['body'] }
    expect(heard).to all(eq('name' => 'Tides', 'keep_recordings' => 90))
    expect(ARCHIVE.course(course)).to include(name: 'Tides', keep_recordings: 90)
    expect(farah.do('course.set', about, name: 'Mine')).to include('t' => 'refused', 'code' => 'staff_only')
    expect(farah.do('people.take_out', people, person: 'tomas')).to include('t' => 'refused', 'code' => 'no_access')
    # What both change at the same moment, both are right about.
    both = [join('odalys'), join('odalys', servers.last)].zip([{ name: 'Tides and streams' }, { language: 'de' }])
    both.each do |wire, with|
      wire.say(t: 'do', id: "both-#{with.keys.first}", do: 'course.set', stream: about, with: with)
      wire.wait { |message| message['id'] == "both-#{with.keys.first}" }
    end
    expect(ARCHIVE.log.state(about).first.facts).to include(name: 'Tides and streams', language: 'de', keep_recordings: 90)
  end

  it 'is nothing for strangers, and ends for those who are taken out: there, and in its lessons' do
    stranger = Wire.new(VisitorClient.new(servers.first, as: 'nils'))
    expect(stranger.hello({ course: course })).to include('t' => 'error', 'code' => 'not_invited')
    expect(stranger.do('course.set', about, name: 'Mine')).to include('code' => 'say_hello')

    lesson = ARCHIVE.lessons.create(course_id: course, title: 'A lesson', minutes: 30, starts_at: Time.now)
    here = servers.map { |server| [join('farah', server), Wire.join(server, 'farah', { lesson: lesson })] }.flatten
    others = servers.map { |server| Wire.join(server, 'tomas', { lesson: lesson }) }
    join('odalys').do('people.take_out', people, person: 'farah')
    until_true('her lines are cut') { here.all?(&:closed?) }
    expect(others.map(&:closed?)).to eq([false, false])
    again = Wire.new(VisitorClient.new(servers.last, as: 'farah'))
    expect(again.hello({ lesson: lesson })).to include('code' => 'not_invited')
    expect(VisitorClient.new(servers.first, as: 'farah').get("/api/lessons/#{lesson}").status).to eq(403)
  end

  it 'gives another part at once, also to who is in a class of it' do
    lesson = ARCHIVE.lessons.create(course_id: course, title: 'A lesson', minutes: 30, starts_at: Time.now)
    sitting = fresh_class(lesson: lesson)[:sitting]
    farah = Wire.join(servers.last, 'farah', { sitting: sitting })
    join('odalys').do('people.give_role', people, person: 'farah', role: 'assistant')
    until_true('she says hello anew') { farah.closed? }
    again = Wire.join(servers.last, 'farah', { sitting: sitting })
    expect(again.wait_for('welcome')['you']).to include('role' => 'assistant', 'staff' => true)
    expect(again.do('class.record', "sitting/#{sitting}", on: true)).to include('t' => 'done')
    # The others see her as one, too.
    expect(ARCHIVE.log.state("sitting/#{sitting}").first.seats['farah']).to have_attributes(role: 'assistant', presence: 'here')
  end

  it 'has its last instructor for good, whoever decides at the same moment on two processes' do
    perform('odalys', 'people.give_role', people, person: 'tomas', role: 'instructor')
    5.times do |turn|
      wires = %w[odalys tomas].zip(servers).map { |who, server| join(who, server) }
      wires.zip(%w[tomas odalys]) do |wire, other|
        wire.say(t: 'do', id: "gone-#{other}-#{turn}", do: 'people.give_role', stream: people, with: { person: other, role: 'student' })
      end
      until_true('one was heard') { ARCHIVE.log.state(people).first.of_role('instructor').length == 1 }
      sleep 0.1
      left = ARCHIVE.log.state(people).first.of_role('instructor').map { |person| person[:id] }
      expect(left.length).to eq(1)
      perform(left.first, 'people.give_role', people, person: (%w[odalys tomas] - left).first, role: 'instructor')
    end
  end
end
