# frozen_string_literal: true

require_relative '../spec_helper'

# Two thousand requests, well formed and not, from people of every role and from nobody: each gets an answer that says what is
# wrong, none a fault, and the log stays clean.
RSpec.describe 'Everything that can be asked over HTTP' do
  requests = Integer(ENV.fetch('FUZZ_HTTP', '2000'))

  let(:server) { Server.new }
  let(:rng) { Random.new(30) }
  let(:spoiler) { Spoiler.new(rng) }
  let(:visitors) { ['tomas', 'delphine', nil].map { |who| VisitorClient.new(server, as: who) } }

  ODD = ['%00', '%ff%fe', '%ed%b0%80', '..%2f..%2fetc%2fpasswd', '%', '-1', '9' * 40, 'nowhere', '%27%3B--', 'a%20b', '%E2%80%AE', '.zip'].freeze
  # Bodies are called what they are not, too.
  TYPES = [nil, 'text/plain', 'text/xml', 'application/x-www-form-urlencoded', 'multipart/form-data', "multipart/form-data; boundary=#{'b' * 300}",
           'multipart/form-data; boundary=""', 'multipart/mixed; boundary=x', 'application/octet-stream', 'application/json; charset=utf-16', '/', ';', 'é'].freeze
  QUERIES = ['t[]=', 'from[a]=1', 'search=%00', 'search=%ff', 'search=%25_%5C', 'lesson=%00', 't=-9999999999999999999', 't=1e9', 'from=9&to=1', 'kind=x&kind=y',
             'page=%00', '&&=', '%00=1', 'sort=evil'].freeze

  def addresses(made)
    lesson, board, sitting = made.values_at(:lesson, :board, :sitting)
    [['GET', '/api/desk'], ['GET', '/api/session'], ['GET', '/api/sticks'], ['PATCH', '/api/sticks', { sticks: [{ kind: 'stroke', ink: 'lake', width: 4 }] }],
     ['GET', "/api/lessons/#{lesson}"], ['GET', "/api/lessons/#{lesson}/news"], ['GET', "/api/lessons/#{lesson}/guests"],
     ['POST', '/api/lessons', { course: 'navigation', title: 'New', starts_at: 1_800_000_000_000 }],
     ['POST', "/api/lessons/#{lesson}/boards", { name: 'B', copy_of: board }], ['POST', "/api/lessons/#{lesson}/class", { again: false }],
     ['POST', "/api/lessons/#{lesson}/copies", { starts_at: 1_800_000_000_000 }], ['POST', "/api/lessons/#{lesson}/links", {}],
     ['DELETE', "/api/lessons/#{lesson}/guests/someone"], ['DELETE', "/api/lessons/#{lesson}/links/some"],
     ['POST', "/api/lessons/#{lesson}/rehearsals", { stand_ins: 99 }], ['GET', "/api/classes/#{sitting}"],
     ['GET', '/api/boards'], ['PATCH', "/api/boards/#{board}", { name: 'B', audience: 'everyone', outside: 'read', template: false, first_page: 'p1' }],
     ['GET', "/api/boards/#{board}/changes"], ['GET', "/api/boards/#{board}/at/1"], ['GET', "/api/boards/#{board}/small.svg"], ['GET', "/api/boards/#{board}/p1.svg"],
     ['POST', "/api/boards/#{board}/visits", {}], ['GET', '/api/courses'], ['GET', '/api/courses/navigation/materials'],
     ['POST', '/api/courses/navigation/links', { title: 'A film', link: 'https://films.example/1' }], ['GET', '/api/materials/nothing'],
     ['PATCH', '/api/materials/nothing', { title: 'T', labels: ['a'], first_slide: 1 }], ['GET', '/api/materials/nothing/1/slides/1'],
     ['GET', '/api/materials/nothing/1/original'], ['POST', '/api/uploads', { course: 'navigation', name: 'a.pdf', size: 10 }],
     ['GET', '/api/uploads/none'], ['PATCH', '/api/uploads/none', { a: 1 }], ['GET', '/api/recordings'], ['GET', '/api/recordings/tide-class'],
     ['GET', '/api/recordings/tide-class/at'], ['GET', '/api/recordings/tide-class/entries'], ['PATCH', "/api/recordings/#{sitting}", { shared: true }],
     ['POST', "/api/recordings/#{sitting}/links", { days: 3 }], ['POST', '/api/links/look', { token: 'x' }], ['POST', '/api/links/enter', { token: 'x', name: 'N' }],
     ['POST', '/auth/login', { email: 'nobody@tidewater.example', password: 'x' }]]
  end

  # @return [Array(String, String, String)] one thing about a request made odd, or nothing
  def request(made)
    method, path, body = addresses(made).sample(random: rng)
    text = body && JSON.generate(body)
    case rng.rand(6)
    when 0 then path = path.split('/').tap { |parts| parts[rng.rand(2...parts.length)] = ODD.sample(random: rng) }.join('/')
    when 1 then path += "?#{QUERIES.sample(random: rng)}"
    when 2, 3, 4 then text = spoiler.text(JSON.parse(text)) if text
    end
    [method, path, text]
  end

  it "answers #{requests} requests with no fault" do
    made = fresh_class
    statuses = Array.new(requests) do |i|
      method, path, body = request(made)
      # Limits on how often one may ask are another matter.
      answer = visitors[i % 3].raw(method, path, body, from: "127.0.1.#{i % 250}", type: rng.rand(4).zero? ? TYPES.sample(random: rng) : 'application/json')
      faulty = answer.status >= 500 || (answer.status >= 400 && path.start_with?('/api') && !answer.body.is_a?(Hash))
      raise "#{method} #{path} #{body.inspect[0, 300]}: #{answer.status} #{answer.body.inspect[0, 300]}" if faulty

      answer.status
    end
    expect(statuses.tally.keys).to include(200, 400, 403, 404, 422)
    expect(server.errors).to be_empty
    expect(visitors.first.get("/api/lessons/#{made[:lesson]}").status).to eq(200)
    expect(Wire.join(server, 'odalys', { sitting: made[:sitting] }).do('board.put', "board/#{made[:board]}", marks: [stroke('after')])).to include('t' => 'done')
  end
end
