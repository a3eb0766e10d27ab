# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'The web server' do
  let(:server) { Server.shared }
  let(:nobody) { VisitorClient.new(server) }
  let(:odalys) { VisitorClient.new(server, as: 'odalys') }
  let(:farah) { VisitorClient.new(server, as: 'farah') }
  let(:password) { Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret).password }

  describe 'signing in' do
    it 'takes address and password, and tells nothing more about wrong ones' do
      wrong = nobody.post('/auth/login', { email: 'odalys@tidewater.example', password: 'wrong' })
      unknown = nobody.post('/auth/login', { email: 'nobody@tidewater.example', password: 'wrong' })
      expect([wrong.status, unknown.status]).to eq([401, 401])
      expect(wrong.body['field-error'].last).to eq(unknown.body['field-error'].last)

      expect(nobody.post('/auth/login', { email: 'ODALYS@tidewater.example ', password: password }).status).to eq(200)
      expect(nobody.get('/api/session').body['person']['name']).to eq('Odalys Brandt')
      nobody.delete('/api/session')
      expect(nobody.get('/api/session').body['person']).to be_nil
    end

    it 'sets cookies that scripts and other sites cannot use' do
      cookie = nobody.get('/api/session').headers['set-cookie']
      expect(cookie.downcase).to include('httponly').and include('samesite=lax')
    end

    it 'turns away what another site asks for' do
      token = ARCHIVE.links.make('personal', person_id: 'farah')[:token]
      expect(nobody.forged_post('/api/links/enter', { token: token }).status).to eq(403)
      expect(nobody.forged_post('/auth/login', { email: 'x', password: 'y' }).status).to eq(403)
      foreign = nobody.forged_post('/api/links/enter', { token: token }, origin: 'https://elsewhere.example')
      expect(foreign.status).to eq(403)
      expect(nobody.get('/api/session').body['person']).to be_nil
    end

    it 'slows down guessing' do
      throttle = Veranda::Http::Throttle.new(->(_) { [200, {}, []] }, limits: [[%r{\A/auth/login\z}, [0.1, 3], [0.1, 3]], [/none/, [1, 1], [1, 1]]])
      env = { 'PATH_INFO' => '/auth/login', 'REQUEST_METHOD' => 'POST', 'REMOTE_ADDR' => '127.0.0.2' }
      expect(Array.new(4) { throttle.call(env).first }).to eq([200, 200, 200, 429])
      expect(throttle.call(env.merge('REMOTE_ADDR' => '127.0.0.3')).first).to eq(200)
    end
  end

  describe 'links' do
    it 'let a guest in by name, once the name is one' do
      made = fresh_lesson
      token = odalys.post("/api/lessons/#{made[:lesson]}/links").body['token']
      expect(nobody.post('/api/links/look', { token: token }).body).to include('kind' => 'class')
      expect(nobody.enter(token, name: '   ').code).to eq('name_missing')
      expect(nobody.enter(token, name: 'x' * 300).code).to eq('name_too_long')
      expect(nobody.enter(token, name: 'Oona Teague').body).to eq('to' => "/lessons/#{made[:lesson]}/class")
      sitting = nobody.post("/api/lessons/#{made[:lesson]}/class").body['sitting']
      expect(nobody.get("/api/classes/#{sitting}").body).to include('recording' => 'none')
      expect(nobody.post("/api/lessons/#{fresh_lesson[:lesson]}/class").code).to eq('not_invited')
    end

    it 'let no stranger in where only those who were invited come, and keep those who have come before' do
      made = fresh_lesson
      path = "/api/lessons/#{made[:lesson]}"
      token = odalys.post("#{path}/links").body['token']
      before = VisitorClient.new(server)
      expect(before.enter(token, name: 'Ruth Tallis').status).to eq(200)
      ARCHIVE.lessons.lay(made[:lesson], invited_only: true)
      expect(nobody.enter(token, name: 'Oona Teague').code).to eq('invited_only')
      expect(nobody.post("#{path}/class").status).not_to eq(200)
      expect(before.enter(token).status).to eq(200)
      expect(before.post("#{path}/class").status).to eq(200)
      expect(VisitorClient.new(server, as: 'farah').enter(token).status).to eq(200)
    end

    it 'bring people to a waiting room with a welcome, as it was last written, and in no other form' do
      made = fresh_lesson
      path = "/api/lessons/#{made[:lesson]}"
      set = ->(**fields) { perform('odalys', 'plan.set', "plan/#{made[:lesson]}", seen: 1, set: fields) }
      expect { set.call(welcome: 'x' * 601) }.to refusing(:bad_input)
      expect { set.call(welcome_ink: 'red; url(x)') }.to refusing(:bad_input)
      set.call(welcome: '<b>Bring</b> a chart', welcome_ink: 'lake')
      sitting = odalys.post("#{path}/class").body['sitting']
      welcome = ARCHIVE.log.state("place/#{sitting}.waiting").first.welcome
      expect(welcome).to include(words: '<b>Bring</b> a chart', ink: 'lake')
      copy = odalys.post("#{path}/copies", { starts_at: 1_800_000_000_000 }).body['id']
      expect(odalys.get("/api/lessons/#{copy}").body).to include('welcome' => '<b>Bring</b> a chart', 'welcome_ink' => 'lake')
    end

    it 'tell staff who may be expected, and nobody else' do
      made = fresh_lesson
      names = odalys.get("/api/lessons/#{made[:lesson]}/expected").body['people'].map { |person| person['name'] }
      expect(names).to include('Farah Lindqvist')
      expect(names).not_to include('Odalys Brandt', 'Tomas Ferrand')
      expect(VisitorClient.new(server, as: 'farah').get("/api/lessons/#{made[:lesson]}/expected").code).to eq('staff_only')
    end

    it 'say so when they are wrong, taken back or expired' do
      made = fresh_lesson
      expect(nobody.enter('nonsense').code).to eq('link_unknown')
      old = ARCHIVE.links.make('class', lesson_id: made[:lesson], expires_at: Time.now - 60)
      expect(nobody.enter(old[:token], name: 'Oona').status).to eq(410)
    end
  end

  describe 'a lesson' do
    it 'is closed to students and strangers' do
      made = fresh_lesson
      seen = farah.get("/api/lessons/#{made[:lesson]}").body
      expect(seen['boards'].map { |board| board['id'] }).to eq([made[:board]])
      expect(seen).not_to include('steps', 'to_mend')
      expect(nobody.get("/api/lessons/#{made[:lesson]}").code).to eq('sign_in')
      expect(odalys.get('/api/lessons/nowhere').code).to eq('no_such_lesson')
    end
  end

  describe 'boards' do
    it 'come as SVG, for those who may read them' do
      made = fresh_lesson
      perform('odalys', 'board.put', "board/#{made[:board]}", marks: [note('n', 'Steady bearing')])
      svg = farah.get("/api/boards/#{made[:board]}/p1.svg")
      expect(svg.body).to include('Steady bearing')
      expect(svg.headers['content-disposition']).to start_with('attachment')
      expect(svg.headers['x-content-type-options']).to eq('nosniff')
      expect(farah.get("/api/boards/#{made[:staff_board]}/p1.svg").code).to eq('no_access')
      expect(odalys.get("/api/boards/#{made[:board]}/p9.svg").code).to eq('no_such_board')
    end
  end

  describe 'a recording' do
    # The demo's second evening: 88 min, of which 83:36 is left after two cuts.
    it 'plays the same class: state at any moment, and what follows' do
      facts = farah.get('/api/recordings/tide-class').body
      expect(facts['chapters'].map do |chapter|
        chapter['title']
      end).to eq(['Your port', 'Why tides differ', 'Rule of twelfths', 'Own sums', 'Sum up'])
      expect(facts['length']).to eq(83.6 * 60_000)

      at = 40 * 60_000
      state = farah.get("/api/recordings/tide-class/at?t=#{at}").body['streams']
      later = farah.get("/api/recordings/tide-class/entries?from=#{at}&to=#{at + 600_000}").body['entries']
      expect(state['place/tide-class.main']['shown']).to eq('board' => 'tide-curve', 'page' => 'p1')
      expect(state['board/tide-curve']['marks'].map { |mark| mark['by'] }.tally['keiko']).to be_between(1, 3)
      expect(later.map { |entry| entry['t'] }).to eq(later.map { |entry| entry['t'] }.sort)
      expect(later.map { |entry| entry['t'] }).to all(be > at)
      expect(JSON.generate(state)).not_to include('Draw the curve slowly')
    end

    it 'is watched by link while the link is good, signed out, and by nobody else' do
      made = fresh_class
      perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
      perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
      path = "/api/recordings/#{made[:sitting]}"
      expect(farah.get(path).code).to eq('no_such_recording')
      link = odalys.post("#{path}/links", { days: 3 }).body
      expect(nobody.get(path).code).to eq('no_such_recording')
      expect(nobody.enter(link['token']).body).to eq('to' => "/recordings/#{made[:sitting]}")
      expect(nobody.get(path).body['staff']).to be(false)
      expect(nobody.patch(path, { shared: true }).code).to eq('sign_in')
      odalys.delete("#{path}/links/#{link['id']}")
      expect(nobody.get(path).code).to eq('no_such_recording')
      odalys.patch(path, { shared: true })
      expect(farah.get(path).status).to eq(200)
    end

    it 'does not show posts that were deleted' do
      made = fresh_class
      exchange, sitting = "exchange/#{made[:sitting]}.main", "sitting/#{made[:sitting]}"
      perform('odalys', 'class.record', sitting, on: true)
      perform('odalys', 'exchange.post', exchange, id: 'a', text: 'regretted')
      perform('odalys', 'exchange.post', exchange, id: 'b', text: 'meant')
      sleep 0.05
      perform('odalys', 'exchange.delete', exchange, id: 'a')
      perform('odalys', 'class.end', sitting)
      path = "/api/recordings/#{made[:sitting]}"
      told = [odalys.get("#{path}/at?t=1"), odalys.get("#{path}/at?t=30"),
              odalys.get("#{path}/entries?from=0&to=99999")].map do |response|
        JSON.generate(response.body)
      end
      expect(told.join).to include('meant')
      expect(told.join).not_to include('regretted')
    end
  end

  it 'sends pages with a strict policy and nothing of the file system' do
    page = nobody.get('/lessons/anything')
    expect(page.headers['content-security-policy']).to include("default-src 'self'", "frame-ancestors 'none'")
    ['/assets/../../Gemfile', '/assets/%2e%2e/%2e%2e/Gemfile', '/api/../Gemfile'].each do |path|
      expect(nobody.get(path).body.to_s).not_to include('rubygems')
    end
  end

  it 'names with the page of a class all that it needs, and nothing that is not there' do
    named = nobody.get('/classes/anything').headers['link'].scan(/<([^>]+)>; rel=(\w+)/)
    expect(named.map(&:last).uniq).to contain_exactly('modulepreload', 'preload')
    expect(named.map { |path, _| nobody.get(path).headers['cache-control'] }.uniq).to eq(['public, max-age=31536000, immutable'])
    expect(nobody.get('/lessons/anything').headers['link']).to be_nil
  end

  it 'answers nonsense in JSON, with a sentence' do
    expect(nobody.get('/api/nothing').body).to include('says')
    expect(odalys.post('/api/lessons', { course: 'navigation' }).body['says']).to include('title is missing')
    expect(odalys.post('/api/lessons', { course: 'weather', title: 'x', starts_at: 1 }).code).to eq('staff_only')
  end
end
