# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../support/decks'

# Files in the exchange of a class: brought by whoever may, looked through as all files are, read by whoever reads the post.
RSpec.describe 'A file that is posted' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:visitors) { Hash.new { |all, who| all[who] = VisitorClient.new(server, as: who) } }
  let(:words) { "exchange/#{made[:sitting]}.main" }
  let(:wires) { %w[odalys farah jonas nils].to_h { |who| [who, Wire.new(visitors[who]).tap { |wire| wire.hello({ sitting: made[:sitting] }) }] } }

  before do
    Worker.shared
    wires['odalys'].do('class.rule', "place/#{made[:sitting]}.main", right: 'bring', allow: true)
  end

  def bring(who, path = Decks.small_png, **more) = visitors[who].upload(path, course: nil, sitting: made[:sitting], **more)
  def post(who, file, id: 'p1', **more) = wires[who].give('exchange.post', words, { id: id, text: '', file: file, **more })
  def sees(who, file) = visitors[who].get("/api/posted/#{file}").status

  def ready(file)
    until_true('it is read') { %w[ready failed].include?(ARCHIVE.materials.fetch(file)[:state]) }
    ARCHIVE.materials.fetch(file)
  end

  it 'is seen by those who read it, saved by them, and by nobody before it is posted' do
    file = bring('farah').body['material']
    expect(ready(file)).to include(state: 'ready', kind: 'picture')
    expect(%w[farah jonas odalys].map { |who| sees(who, file) }).to eq([200, 403, 403])
    expect(post('farah', file)['t']).to eq('done')
    expect(%w[jonas odalys ruth].map { |who| sees(who, file) }).to eq([200, 200, 403])
    addresses = %W[/api/materials/#{file}/1/slides/1 /api/materials/#{file}/1/original]
    expect(addresses.map { |address| visitors['jonas'].get(address).status }).to eq([200, 200])
    expect(addresses.map { |address| visitors['ruth'].get(address).status }).to eq([403, 403])
    expect(visitors['odalys'].get('/api/courses/navigation/materials').body.map { |row| row['id'] }).not_to include(file)
    wires['farah'].give('exchange.delete', words, { id: 'p1' })
    expect(%w[farah jonas odalys].map { |who| sees(who, file) }).to eq([200, 403, 403])
  end

  it 'stays between those to whom it was written, also from staff' do
    file = bring('farah').body['material']
    begun = { id: 't1', people: ['jonas'], staff: false, post: { id: 'p1', text: 'look', file: file } }
    expect(wires['farah'].give('exchange.begin_thread', words, begun)['t']).to eq('done')
    expect(%w[jonas nils odalys].map { |who| sees(who, file) }).to eq([200, 403, 403])
    expect(visitors['odalys'].post("/api/posted/#{file}/shelf").status).to eq(403)
    expect(%w[patch delete].map { |verb| visitors['odalys'].public_send(verb, "/api/materials/#{file}", *([{ title: 'x' }] if verb == 'patch')).status }).to eq([404, 404])
  end

  it 'goes with the recording, unless whoever posted it was left out, or the link shows another stretch' do
    file = bring('farah').body['material']
    ready(file)
    wires['odalys'].do('class.record', "sitting/#{made[:sitting]}", on: true)
    post('farah', file)
    sleep 1.2
    wires['odalys'].do('class.end', "sitting/#{made[:sitting]}")
    path = "/api/recordings/#{made[:sitting]}"
    link = visitors['odalys'].post("#{path}/links", {}).body
    stranger = VisitorClient.new(server)
    stranger.post('/api/links/enter', { token: link['token'] })
    sees = -> { stranger.get("/api/materials/#{file}/1/slides/1").status }
    expect(sees.call).to eq(200)
    visitors['odalys'].post("#{path}/edits/leave_out", { person: 'farah', on: true })
    expect(sees.call).to eq(401)
    visitors['odalys'].post("#{path}/edits/leave_out", { person: 'farah', on: false })
    expect(sees.call).to eq(200)
    posted = ARCHIVE.log.state(words).first.posts['p1'][:at]
    later = visitors['odalys'].post("#{path}/links", { from: posted + 50 }).body
    other = VisitorClient.new(server)
    other.post('/api/links/enter', { token: later['token'] })
    expect([other.get(path).status, other.get("/api/materials/#{file}/1/slides/1").status]).to eq([200, 401])
  end

  it 'is put on the shelf by staff, and on a board by those who see it' do
    file = bring('farah').body['material']
    post('farah', file)
    ready(file)
    mark = { id: 'pic', page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', material: file, version: 1, slide: 1, alt: '' }
    expect(wires['jonas'].do('board.put', "board/#{made[:board]}", marks: [mark])['t']).to eq('done')
    expect(visitors['jonas'].post("/api/posted/#{file}/shelf").status).to eq(403)
    expect(visitors['odalys'].post("/api/posted/#{file}/shelf").status).to eq(200)
    expect(visitors['odalys'].get('/api/courses/navigation/materials').body.map { |row| row['id'] }).to include(file)
    # A version that staff bring later was posted nowhere.
    visitors['odalys'].upload(Decks.small_png, replaces: file)
    until_true('it is read') { ARCHIVE.materials.version(file, 2)[:state] == 'ready' }
    originals = [1, 2].map { |version| visitors['jonas'].get("/api/materials/#{file}/#{version}/original").status }
    expect(originals).to eq([200, 403])
  end

  it 'is one that its author brought to this very class' do
    mine = bring('farah').body['material']
    expect(post('jonas', mine)).to include('code' => 'no_such_material')
    expect(post('farah', 'nothing')).to include('code' => 'no_such_material')
    other = fresh_class
    elsewhere = Wire.new(visitors['farah']).tap { |wire| wire.hello({ sitting: other[:sitting] }) }
    expect(elsewhere.give('exchange.post', "exchange/#{other[:sitting]}.main", { id: 'p', text: '', file: mine })).to include('code' => 'no_such_material')
    expect(wires['farah'].give('exchange.post', words, { id: 'p9', text: '  ' })).to include('code' => 'post_empty')
  end

  it 'is brought by those who may, in the class, and within bounds' do
    expect(visitors['ruth'].post('/api/uploads', { sitting: made[:sitting], name: 'a.png', size: 9 }).status).to eq(403)
    expect(visitors['farah'].post('/api/uploads', { name: 'a.png', size: 9 }).body).to include('code' => 'bad_input')
    expect(visitors['farah'].post('/api/uploads', { sitting: made[:sitting], name: 'a.png', size: 26 * 1024 * 1024 }).body).to include('code' => 'file_too_large')
    expect(visitors['farah'].post('/api/uploads', { course: 'navigation', name: 'a.png', size: 9 }).status).to eq(403)
    # Eight of 25 MB are all for a day, also while they are under way; Nils has brought nothing else.
    begun = Array.new(9) { visitors['nils'].post('/api/uploads', { sitting: made[:sitting], name: 'a.png', size: 25 * 1024 * 1024 }) }
    expect(begun.map(&:status)).to eq(([201] * 8) + [422])
    expect(begun.last.body['code']).to eq('too_much_today')
    begun.first(8).each { |answer| visitors['nils'].delete("/api/uploads/#{answer.body['id']}") }
    wires['odalys'].do('class.rule', "place/#{made[:sitting]}.main", right: 'bring', allow: false)
    expect(bring('farah').body).to include('code' => 'may_not_bring')
    file = bring('odalys').body['material']
    expect(post('odalys', file)['t']).to eq('done')
  end
end
