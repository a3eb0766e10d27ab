# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Who waits at the doors' do
  it 'is told to staff, with who comes to the course for the first time' do
    server = Server.shared
    course = "course-#{Veranda::Store::Ids.call}"
    begin_course(course, odalys: 'instructor', farah: 'student', jonas: 'student')
    lessons = Array.new(2) { ARCHIVE.lessons.create(course_id: course, title: 'A lesson', minutes: 30, starts_at: Time.now) }
    first, second = lessons.map { |lesson| fresh_class(open: false, lesson: lesson)[:sitting] }
    perform('odalys', 'class.open', "sitting/#{first}")
    perform('farah', 'class.join', "sitting/#{first}")
    %w[farah jonas].each { |who| perform(who, 'class.join', "sitting/#{second}") }
    ask = ->(who) { VisitorClient.new(server, as: who).get("/api/classes/#{second}/newcomers") }
    expect(ask.call('odalys').body).to eq('people' => ['jonas'])
    expect(ask.call('farah').status).to eq(403)
  end
end

RSpec.describe 'Looking into a class unseen' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:scope) { { sitting: made[:sitting] } }
  let(:sitting) { "sitting/#{made[:sitting]}" }

  it 'is for staff: they read all, take no seat and nobody is told, until they do something' do
    farah = Wire.join(server, 'farah', scope)
    tomas = Wire.join(server, 'tomas', scope.merge(unseen: true))
    expect(tomas.part(sitting)['view']['seats'].map { |seat| seat['id'] }).to eq(['farah'])
    farah.give('exchange.post', "exchange/#{made[:sitting]}.main", { id: 'p', text: 'hello' })
    tomas.wait { |message| message['kind'] == 'posted' }
    tomas.cut
    odalys = Wire.join(server, 'odalys', scope)
    expect(odalys.part(sitting)['view']['seats'].map { |seat| seat['id'] }).to eq(%w[farah odalys])
    expect(ARCHIVE.log.entries(sitting).map(&:actor)).not_to include('tomas')
  end

  it 'is nothing for others: they are seen as ever, or wait' do
    odalys = Wire.join(server, 'odalys', scope)
    Wire.join(server, 'farah', scope.merge(unseen: true))
    odalys.wait { |message| message['kind'] == 'joined' && message['by'] == 'farah' }
    expect(Wire.join(server, 'farah', scope.merge(unseen: 'yes')).heard.last).to include('t' => 'error', 'code' => 'bad_input')
  end
end
