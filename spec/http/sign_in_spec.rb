# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Signing in' do
  before(:all) { @server = Server.new }
  after(:all) { @server.stop }

  let(:server) { @server }
  let(:password) { Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret).password }

  def try(email, password, visitor: VisitorClient.new(server)) = visitor.post('/auth/login', { email: email, password: password })

  # An account of its own, so that nobody else is locked out.
  def account
    email = "teacher-#{Veranda::Store::Ids.call.downcase}@tidewater.example"
    id = ARCHIVE.db[:accounts].insert(email: email, password_hash: Argon2::Password.create('harbour light'))
    ARCHIVE.people.add('A teacher', account_id: id)
    email
  end

  it 'lets in who knows the password' do
    visitor = VisitorClient.new(server)
    expect(try('odalys@tidewater.example', password, visitor: visitor).status).to eq(200)
    expect(visitor.get('/api/session').body['person']).to include('name' => 'Odalys Brandt')
    expect(visitor.get('/api/desk').status).to eq(200)
  end

  it 'lets an account rest after eight wrong tries, also for the right password, and says the same all along' do
    email = account
    tries = Array.new(10) { try(email, 'wrong') }
    expect(tries.map { |answer| [answer.status, answer.body] }.uniq.length).to eq(1)
    expect(try(email, 'harbour light').status).to eq(401)
    expect(ARCHIVE.db[:account_lockouts].exclude(deadline: nil).count).to be >= 1
    ARCHIVE.db[:account_lockouts].update(deadline: Time.now - 1)
    expect(try(email, 'harbour light').status).to eq(200)
  end

  it 'does not tell whether there is such an account' do
    answers = [try(account, 'wrong'), try("nobody-#{rand(10**9)}@tidewater.example", 'wrong')]
    expect(answers.map { |answer| [answer.status, answer.body] }.uniq.length).to eq(1)
    expect(JSON.generate(answers.first.body)).not_to match(/rror.*Sequel|PG::|\.rb/)
  end

  it 'takes no more than a form of words' do
    visitor = VisitorClient.new(server)
    ['5', '"x"', '[]', '{"email":5}', '{"email":{"a":"b"},"password":"x"}', 'null', '{', '{"email":"\\u0000","password":"x"}'].each do |body|
      answer = visitor.raw('POST', '/auth/login', body)
      expect([answer.status, answer.code]).to eq([400, 'bad_input'])
    end
  end

  it 'lets a whole school in from one address, and holds up who tries one account over and over' do
    now = 0.0
    app = ->(_) { [200, {}, []] }
    throttle = Veranda::Http::Throttle.new(app, clock: -> { now })
    env = ->(email, from = '10.0.0.1') { { 'PATH_INFO' => '/auth/login', 'REQUEST_METHOD' => 'POST', 'REMOTE_ADDR' => from, 'veranda.form' => { 'email' => email } } }
    expect(Array.new(60) { |i| throttle.call(env.call("teacher-#{i}@school.example")).first }.uniq).to eq([200])
    one = Array.new(30) { throttle.call(env.call('Odalys@tidewater.example ', '10.0.0.2')).first }
    expect(one.tally).to eq(200 => 12, 429 => 18)
    # From elsewhere its owner still gets in; a crowd of strangers does not go on for ever.
    expect(throttle.call(env.call('odalys@tidewater.example', '10.0.0.3')).first).to eq(200)
    # Nor do they stand in the way of somebody who comes from where nobody has tried.
    crowd = Array.new(200) { |i| Array.new(5) { throttle.call(env.call('odalys@tidewater.example', "10.0.1.#{i}")).first } }.flatten
    expect(crowd.count(200)).to be < (200 * Veranda::Http::Tries::OWN) + 60
    expect(throttle.call(env.call('odalys@tidewater.example', '10.0.4.4')).first).to eq(200)
    expect(Array.new(20) { |i| throttle.call(env.call('odalys@tidewater.example', "2001:db8::#{i}")).first }.count(200)).to be < 12
    now = 60.0
    expect(throttle.call(env.call('odalys@tidewater.example', '10.0.0.2')).first).to eq(200)
  end

  it 'lets three hundred guests behind one address come, load what they need and be counted each by themselves' do
    throttle = Veranda::Http::Throttle.new(->(_) { [200, {}, []] }, clock: -> { 0.0 })
    ask = lambda do |method, path, person|
      throttle.call({ 'PATH_INFO' => path, 'REQUEST_METHOD' => method, 'REMOTE_ADDR' => '10.0.0.1', 'rack.session' => { 'person_id' => person } }).first
    end
    guests = Array.new(300) { |i| "guest-#{i}" }
    answers = guests.flat_map do |guest|
      [ask.call('POST', '/api/links/look', nil), ask.call('POST', '/api/links/enter', nil)] + Array.new(20) { ask.call('GET', '/api/session', guest) }
    end
    expect(answers.uniq).to eq([200])
    # One who asks on and on is held up, and nobody else with them.
    expect(Array.new(1_000) { ask.call('GET', '/api/session', 'guest-0') }.count(200)).to be <= 400
    expect(ask.call('GET', '/api/session', 'guest-1')).to eq(200)
    # By a link even sooner: its password can be guessed there.
    expect(Array.new(200) { ask.call('POST', '/api/links/look', 'guest-2') }.count(200)).to be <= 60
    expect(ask.call('POST', '/api/links/look', 'guest-3')).to eq(200)
  end

  it 'lets a school in by one link, and no endless crowd of names' do
    own = Server.new
    link = VisitorClient.new(own, as: 'odalys').post("/api/lessons/#{fresh_lesson[:lesson]}/links").body
    nobody = VisitorClient.new(own)
    # What is let in again while one asks, on a machine that is slow, puts off when that is refused, and does not keep it from being so.
    answers = Enumerator.produce { nobody.enter(link['token'], name: ' ') }.lazy.take(3_000)
    codes = answers.map(&:code).slice_after('too_fast').first
    expect(codes.first(600).uniq).to eq(['name_missing'])
    expect(codes.last).to eq('too_fast')
    expect(nobody.enter(link['token'], name: ' ').body['says']).to start_with('Very many came by this link')
  ensure
    own&.stop
  end

  it 'stays signed in when a class link of another course is opened' do
    made = fresh_lesson
    link = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links").body
    ruth = VisitorClient.new(server, as: 'ruth')
    expect(ruth.post('/api/links/look', { token: link['token'] }).body['lesson']).to include('known' => true)
    expect(ruth.enter(link['token']).body).to eq('to' => "/lessons/#{made[:lesson]}/class")
    expect(ruth.get('/api/session').body['person']['name']).to eq('Ruth Adeyemi-Voss')
    expect(ruth.post("/api/lessons/#{made[:lesson]}/class").status).to eq(200)
  end

  it 'ends with signing out, for every copy of the cookie' do
    visitor = VisitorClient.new(server, as: 'farah')
    cookie = visitor.cookie
    visitor.delete('/api/session')
    copy = VisitorClient.new(server)
    copy.instance_variable_set(:@cookie, cookie)
    expect(copy.get('/api/desk').code).to eq('sign_in')
  end

  it 'asks again for whatever only reads when the database let go of every connection' do
    visitors = Array.new(8) { VisitorClient.new(server, as: 'odalys') }
    visitors.map { |visitor| Thread.new { visitor.get('/api/desk') } }.each(&:join)
    3.times do
      expect(server.let_go).to be_positive
      statuses = visitors.map { |visitor| Thread.new { visitor.get('/api/courses').status } }.map(&:value)
      expect(statuses.uniq).to eq([200])
    end
  end
end
