# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Editing a recording over HTTP' do
  let(:server) { Server.shared }
  let(:odalys) { VisitorClient.new(server, as: 'odalys') }
  let(:farah) { VisitorClient.new(server, as: 'farah') }
  let(:began) { @began ||= Lessons::NOW.call }
  let(:made) { @made ||= held }
  before { made }

  let(:path) { "/api/recordings/#{made[:sitting]}" }

  # A class of a minute in which two write and draw.
  def held
    fresh_class.tap do |klass|
      klass[:list] = list_of(klass)
      sitting, exchange, board = "sitting/#{klass[:sitting]}", "exchange/#{klass[:sitting]}.main", "board/#{klass[:board]}"
      act(klass, 'odalys', 'class.record', sitting, began, on: true)
      act(klass, 'odalys', 'class.move', sitting, began, step: 'one')
      %w[odalys farah jonas].each { |who| act(klass, who, 'class.join', sitting, began) }
      act(klass, 'odalys', 'class.rule', "place/#{klass[:sitting]}.main", began, right: 'draw', allow: true)
      { 5_000 => klass[:list], 7_000 => klass[:board] }.each do |after, shown|
        act(klass, 'odalys', 'class.show', "place/#{klass[:sitting]}.main", began + after, board: shown, page: 'p1')
        act(klass, 'odalys', 'board.put', "board/#{shown}", began + after, marks: [note("n#{after}", 'Who has paid')]) if shown == klass[:list]
      end
      act(klass, 'farah', 'exchange.post', exchange, began + 10_000, id: 'p1', text: 'Jonas, is it low water?')
      act(klass, 'jonas', 'exchange.post', exchange, began + 20_000, id: 'p2', text: 'A secret word')
      act(klass, 'jonas', 'board.put', board, began + 30_000, marks: [note('note_of_his', 'Written by Jonas')])
      act(klass, 'odalys', 'class.show', "place/#{klass[:sitting]}.main", began + 31_000, board: klass[:board], page: 'p1')
      act(klass, 'odalys', 'class.end', sitting, began + 60_000)
      ARCHIVE.recordings.update(klass[:sitting], shared: true)
    end
  end

  # A board that is on show for a moment near its beginning.
  def list_of(klass)
    ARCHIVE.lessons.add_board(klass[:lesson], name: 'A list of names').tap do |list|
      Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(klass[:lesson])
      act(klass, 'odalys', 'board.put', "board/#{list}", began - 1_000, marks: [note('n0', 'Prepared at home')])
    end
  end

  # A material of so many slides.
  def deck_of(count)
    Veranda::Store::Ids.call.tap do |id|
      ARCHIVE.db[:materials].insert(id: id, course_id: 'navigation', title: 'A deck')
      ARCHIVE.db[:material_versions].insert(material_id: id, version: 1, name: 'deck', type: 'application/pdf', kind: 'document', size: 9, state: 'ready', slide_count: count)
      picture = ARCHIVE.files.put(StringIO.new('<svg xmlns="http://www.w3.org/2000/svg"/>'), "materials/#{id}/1/slides/1")
      slides = (1..count).map { |slide| { material_id: id, version: 1, slide: slide, w: 4, h: 3, picture: picture, type: 'image/svg+xml', thumbnail: picture } }
      ARCHIVE.db[:material_slides].multi_insert(slides)
    end
  end

  # When the class went to its step, which is a chapter.
  def moved = ARCHIVE.sittings.state(made[:sitting]).moves.first[:at]

  def act(klass, who, name, stream, at, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: at, sitting: klass[:sitting])
  end

  def edit(name, as: odalys, **with) = as.post("#{path}/edits/#{name}", with)

  # Every byte that a player may ask for.
  def traffic
    [path, "#{path}/at?t=0", "#{path}/at?t=60000", "#{path}/entries?from=0&to=60000"].map { |one| JSON.generate(farah.get(one).body) }.join
  end

  it 'is for staff, and for classes that are over' do
    expect(edit('hide_names', as: farah, on: true).code).to eq('staff_only')
    expect(farah.get("#{path}/edits").code).to eq('staff_only')
    expect(VisitorClient.new(server).get("#{path}/edits").code).to eq('sign_in')
    going = fresh_class[:sitting]
    expect(odalys.post("/api/recordings/#{going}/edits/hide_names", { on: true }).code).to eq('not_recorded')
    expect(odalys.get("/api/recordings/#{going}/edits").code).to eq('not_recorded')
    expect(edit('record', on: true).code).to eq('unknown_command')
    expect(edit('cut', id: 'x', from: 'never', to: []).code).to eq('bad_input')
    expect(edit('cut').code).to eq('bad_input')
  end

  it 'hides names everywhere, the same number for one person throughout' do
    expect(traffic).to include('Farah', 'Jonas')
    edit('hide_names', on: true)
    all = traffic
    expect(all).not_to match(/farah|jonas|Lindqvist|Whitlock/i)
    expect(all).to include('Student 2, is it low water?', 'Written by Student 2', 'Odalys Brandt')
    expect(farah.get(path).body['you']).to eq('student-1')
    edit('hide_names', on: false)
    expect(traffic).to include('Jonas, is it low water?')
  end

  it 'leaves somebody out wholly, and blanks what was written for a while' do
    edit('leave_out', person: 'jonas', on: true)
    expect(traffic).not_to match(/jonas|Whitlock|secret|Written by|note_of_his/i)
    expect(traffic).to include('Somebody, is it low water?')
    expect(edit('leave_out', person: 'odalys', on: true).code).to eq('staff_stay')
    edit('blank', id: 'b', from: began + 9_000, to: began + 11_000)
    expect(traffic).not_to include('low water')
    edit('take_back', id: 'b')
    expect(traffic).to include('low water')
  end

  it 'cuts, and says why where it cannot' do
    expect(edit('cut', id: 'a', from: began + 5_000, to: began + 25_000).body['parts'].length).to eq(1)
    expect(farah.get(path).body).to include('length' => 40_000, 'cuts' => 1)
    expect(traffic).not_to include('secret')
    expect(edit('cut', id: 'b', from: began + 20_000, to: began + 30_000).status).to eq(200)
    expect(farah.get(path).body['length']).to eq(35_000)
    expect(edit('cut', id: 'c', from: began - 90_000_000, to: began + 90_000_000).code).to eq('nothing_left')
    expect(edit('cut', id: 'd', from: began + 9, to: began + 3).code).to eq('wrong_way_round')
    expect(edit('cut', id: 'e', from: began + 90_000_000, to: began + 99_000_000).code).to eq('outside')
    expect(edit('cut', id: 'a', from: began + 1, to: began + 2).code).to eq('part_exists')
  end

  it 'names chapters, begins others and takes them away' do
    edit('chapter', at: moved, title: 'Low water')
    edit('chapter', at: began + 30_000, title: '  On   paper ')
    expect(farah.get(path).body['chapters'].map { |one| one.values_at('title', 'from', 'to') }).to eq([['Low water', 0, 30_000], ['On paper', 30_000, 60_000]])
    edit('chapter', at: began + 30_000, title: nil)
    edit('chapter', at: moved, as_it_was: true)
    expect(farah.get(path).body['chapters'].map { |one| one['title'] }).to eq(['One'])
    expect(edit('chapter', at: moved, title: " \u200b").code).to eq('title_missing')
  end

  describe 'captions' do
    def captions = farah.get("#{path}/captions").body['languages']
    def lines(lang = 'en') = captions.find { |one| one['lang'] == lang }&.fetch('lines')&.map { |line| line.values_at('from', 'to', 'words') }

    # Two take turns while the class goes on.
    def held
      super.tap do |klass|
        place = "place/#{klass[:sitting]}.main"
        # Before the class ends it is told what is said; entries are placed by their time.
        { 12_000 => ['odalys', 'Jonas, look at the tide'], 14_000 => ['odalys', 'It turns at low water'] }.each do |after, (who, words)|
          ARCHIVE.db[:entries].insert(stream: place, seq: ARCHIVE.log.heads([place])[place] + after, at: began + after, actor: who, kind: 'captioned',
                                      command_id: "c#{after}", body: Sequel.pg_jsonb({ id: "c#{after}", words: words, lang: 'en', took: 1_000 }))
        end
      end
    end

    it 'are those that were typed, each until the next, and what was put right since' do
      expect(lines).to eq([[11_000, 13_000, 'Jonas, look at the tide'], [13_000, 16_000, 'It turns at low water']])
      edit('captions', lang: 'en', lines: [{ id: 'c14000', from: began + 13_000, to: began + 15_000, words: 'It turns at high water' }], gone: ['c12000'])
      expect(lines).to eq([[13_000, 15_000, 'It turns at high water']])
      expect(edit('captions', lang: 'en', lines: [{ id: 'x', from: 5, to: 5, words: 'x' }], gone: []).code).to eq('wrong_way_round')
      expect(edit('captions', lang: 'no such language', lines: [], gone: []).code).to eq('bad_input')
    end

    it 'end where it is cut, and name nobody whose name is hidden' do
      edit('hide_names', on: true)
      edit('cut', id: 'a', from: began + 12_000, to: began + 13_500)
      expect(lines).to eq([[11_000, 12_000, 'Student 2, look at the tide'], [12_000, 14_500, 'It turns at low water']])
      edit('cut', id: 'b', from: began + 9_000, to: began + 20_000)
      expect(captions).to eq([])
      expect(farah.get("#{path}/captions/en.vtt").code).to eq('no_captions')
    end

    it 'come from a file and go into one, in several languages' do
      put = ->(text, lang: 'de', as: odalys) { as.put_bytes("#{path}/captions/#{lang}", text) }
      expect(put.call("WEBVTT\n\n00:02.000 --> 00:03.000\nGuten Abend\n\n00:04.000 --> 00:03.000\nRückwärts").body['problems']).to eq([{ 'line' => 6,
                                                                                                                                         'says' => 'It ends before it begins.' }])
      expect(lines('de')).to eq([[2_000, 3_000, 'Guten Abend']])
      expect(farah.get("#{path}/captions/de.vtt").text).to eq("WEBVTT\n\n00:00:02.000 --> 00:00:03.000\nGuten Abend\n")
      expect(farah.get("#{path}/captions/de.srt").text).to eq("1\n00:00:02,000 --> 00:00:03,000\nGuten Abend\n")
      expect(put.call('WEBVTT', as: farah).code).to eq('staff_only')
      expect(put.call('no captions').code).to eq('no_captions')
      expect(put.call('x' * 4_000_000).code).to eq('too_big')
      expect(put.call("WEBVTT\n\n10:00:00.000 --> 10:00:03.000\nLater").code).to eq('no_captions')
      expect(farah.get("#{path}/captions/de.exe").code).to eq('no_captions')
      expect(farah.get("#{path}/captions/..%2Fx.vtt").code).to eq('no_captions')
    end
  end

  describe 'links' do
    def link(**wish) = odalys.post("#{path}/links", { days: 3, **wish }).body
    def enter(client, made, **more) = client.post('/api/links/enter', { token: made['token'], **more })
    def stranger = VisitorClient.new(server)

    it 'ask for a password, which nobody can guess, and nobody is let in without' do
      made = link(password: 'low water')
      someone = stranger
      expect(someone.post('/api/links/look', { token: made['token'] }).body).to include('password' => true)
      expect(enter(someone, made).code).to eq('password_needed')
      expect(someone.get(path).code).to eq('no_such_recording')
      codes = Array.new(30) { |i| enter(someone, made, password: "guess #{i}").code }
      expect(codes.uniq).to eq(%w[wrong_password too_fast])
      expect(someone.get(path).code).to eq('no_such_recording')
      # Where one says that one comes from elsewhere it is not believed.
      forged = Array.new(5) { |i| someone.post('/api/links/enter', { token: made['token'], password: 'guess' }, { 'X-Forwarded-For' => "10.1.2.#{i}" }).code }
      expect(forged.uniq).to eq(['too_fast'])
      # Whoever knows it is not kept out by somebody else who guesses, neither at another address nor as somebody who is known.
      expect(enter(VisitorClient.new(server, as: 'nils'), made, password: 'low water').status).to eq(200)
      expect(someone.raw('POST', '/api/links/enter', JSON.generate(token: made['token'], password: 'low water'), from: '127.0.0.9').status).to eq(200)
      expect(ARCHIVE.db[:links].where(id: made['id']).get(:password)).to start_with('$argon2')
      expect(odalys.get("#{path}/links").body['links'].map { |one| one.values_at('id', 'password') }).to eq([[made['id'], true]])
    end

    it 'show a stretch and nothing else, until they are taken back' do
      klass = self.made
      made = link(from: began + 15_000, to: began + 35_000)
      someone = stranger
      enter(someone, made)
      facts = someone.get(path).body
      expect(facts).to include('length' => 20_000, 'stretches' => [[began + 15_000, began + 35_000]])
      all = [facts, someone.get("#{path}/at?t=0").body, someone.get("#{path}/entries?from=0&to=20000").body, someone.get("#{path}/at?t=20000").body]
      expect(JSON.generate(all)).not_to include('low water')
      expect(JSON.generate(all)).to include('A secret word', 'Written by Jonas')
      expect(JSON.generate([*all, someone.get("#{path}/at?t=20000&board=#{klass[:list]}").body])).not_to match(%r{has paid|board/#{klass[:list]}})
      expect([someone, farah].map { |who| who.get(path).body['boards'].map { |board| board['id'] } }).to eq([[klass[:board]], klass.values_at(:board, :list)])
      expect(farah.get(path).body['length']).to eq(60_000)
      odalys.delete("#{path}/links/#{made['id']}")
      expect(someone.get("#{path}/entries?from=0&to=20000").code).to eq('no_such_recording')
    end

    it 'find no words of boards that come on show after the stretch is over' do
      klass = self.made
      found = ->(who) { who.get("#{path}/places?search=prepared").body['places'].map { |place| place['board'] } }
      someone = stranger
      enter(someone, link(from: began, to: began + 4_000))
      expect([someone, farah].map(&found)).to eq([[], [klass[:list]]])
    end

    it 'find no words that came to a mark after the stretch, nor any that were cut' do
      klass = self.made
      change = lambda do |after, words|
        set = { changes: [{ id: 'note_of_his', set: { text: words } }] }
        Veranda::Deciding::Perform.call(ARCHIVE.log, 'board.change', set, by: Demo::School.person('odalys'), stream: "board/#{klass[:board]}", at: began + after)
      end
      change.call(40_000, 'Bearings of Pell Light')
      change.call(50_000, 'Soundings off Marram Bar')
      someone = stranger
      enter(someone, link(from: began + 25_000, to: began + 45_000))
      found = ->(who, words) { who.get("#{path}/places?search=#{words}").body['places'].map { |place| place['words'] } }
      expect([found[someone, 'Bearings'], found[someone, 'Soundings'], found[farah, 'Soundings']]).to eq([['Bearings of Pell Light'], [], ['Soundings off Marram Bar']])
      edit('cut', id: 'c', from: began + 40_000, to: began + 45_000)
      # What it came to is seen where the recording goes on; in its first millisecond a cut shows nothing.
      expect(traffic.scan('Bearings of Pell Light').length).to be <= 1
      expect(JSON.generate(farah.get("#{path}/entries?from=0&to=39999").body)).not_to include('Bearings')
    end

    it 'find what was said in the stretch, however often it was said before' do
      klass = fresh_class
      recording = "/api/recordings/#{klass[:sitting]}"
      # Once its doors are open, however long that took.
      began = Lessons::NOW.call
      act(klass, 'odalys', 'class.record', "sitting/#{klass[:sitting]}", began, on: true)
      act(klass, 'farah', 'class.join', "sitting/#{klass[:sitting]}", began)
      [*(1..12), 30].each do |second|
        act(klass, 'farah', 'exchange.post', "exchange/#{klass[:sitting]}.main", began + second * 1_000, id: "b#{second}", text: "Bearing at #{second}")
      end
      act(klass, 'odalys', 'class.end', "sitting/#{klass[:sitting]}", began + 60_000)
      someone = stranger
      enter(someone, odalys.post("#{recording}/links", { days: 3, from: began + 25_000, to: began + 35_000 }).body)
      found = [someone, odalys].map { |who| who.get("#{recording}/places?search=bearing").body['places'].map { |place| place['words'] } }
      expect(found).to eq([['Bearing at 30'], [*(1..12), 30].map { |second| "Bearing at #{second}" }])
    end

    it 'opens the slides that are seen in its stretch, and no others of theirs by their number' do
      klass = self.made
      deck = deck_of(3)
      # Through the lesson's door, at a time while the class went on.
      picture = lambda do |slide, after|
        mark = { id: "slide#{slide}", page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', material: deck, version: 1, slide: slide, alt: '' }
        Veranda::Deciding::Perform.call(ARCHIVE.log, 'board.put', { marks: [mark] }, stream: "board/#{klass[:board]}", by: Demo::School.person('odalys'),
                                                                                     at: began + after)
      end
      picture.call(1, 40_000)
      picture.call(2, 50_000)
      someone = stranger
      enter(someone, link(from: began + 35_000, to: began + 45_000))
      opens = ->(who) { [1, 2, 3].map { |slide| who.get("/api/materials/#{deck}/1/slides/#{slide}").status } }
      expect(opens[someone]).to eq([200, 401, 401])
    end

    it 'may be for people with an account alone' do
      made = link(accounts_only: true)
      expect(enter(stranger, made).code).to eq('sign_in')
      nadia = VisitorClient.new(server, as: ARCHIVE.people.add('Somebody else'))
      expect(enter(nadia, made).status).to eq(200)
      expect(nadia.get(path).status).to eq(200)
    end

    it 'are refused where there is nothing to show' do
      expect(link(from: began + 90_000_000)['code']).to eq('nothing_left')
      expect(link(password: 'x')['code']).to eq('bad_input')
      expect(farah.post("#{path}/links", {}).code).to eq('staff_only')
    end
  end

  describe 'watching' do
    it 'goes on where one stopped, on another device too, and is told to staff' do
      opened = ARCHIVE.sittings.state(made[:sitting]).opened_at
      expect(farah.get(path).body['stopped']).to be_nil
      expect(farah.post("#{path}/watched", { at: began + 30_000, minutes: [0, 0, 1, 900] }).status).to eq(200)
      farah.post("#{path}/watched", { at: began + 40_000, minutes: [0] })
      expect(VisitorClient.new(server, as: 'farah').get(path).body['stopped']).to eq(began + 40_000)
      someone = VisitorClient.new(server)
      someone.post('/api/links/enter', { token: odalys.post("#{path}/links", {}).body['token'] })
      someone.post("#{path}/watched", { at: began, minutes: [0] })
      told = odalys.get("#{path}/watching").body
      expect(told['people'].map { |row| row.values_at('name', 'minutes') }).to eq([['Farah Lindqvist', 2]])
      expect(told).to include('by_link' => 1, 'minutes' => [2, 1], 'from' => opened)
      expect(farah.get("#{path}/watching").code).to eq('staff_only')
      expect(odalys.get("/api/recordings/#{fresh_class[:sitting]}/watching").code).to eq('no_such_recording')
      expect(VisitorClient.new(server).post("#{path}/watched", { at: 1, minutes: [] }).code).to eq('no_such_recording')
      expect(farah.post("#{path}/watched", { at: 1, minutes: (0..99).to_a }).code).to eq('bad_input')
    end
  end

  describe 'searching' do
    def found(text, who: farah)
      who.get("/api/recordings?search=#{URI.encode_www_form_component(text)}").body['recordings'].find { |row| row['id'] == made[:sitting] }&.fetch('places')
    end

    it 'finds what was written, drawn and said, at its moment, by stems and by parts of words' do
      expect(found('low waters')).to eq([{ 'at' => began + 10_000, 'kind' => 'post', 'words' => 'Jonas, is it low water?', 'board' => nil, 'page' => nil }])
      expect(found('itten by')).to eq([{ 'at' => began + 30_000, 'kind' => 'board', 'words' => 'Written by Jonas', 'board' => made[:board], 'page' => 'p1' }])
      expect(found('nothing of the kind')).to be_nil
      expect(farah.get("#{path}/places?search=secret").body['places'].map { |one| one['at'] }).to eq([began + 20_000])
      expect(VisitorClient.new(server).get("#{path}/places?search=secret").code).to eq('no_such_recording')
    end

    it 'finds nothing that was hidden since' do
      expect(found('secret')).not_to be_nil
      edit('leave_out', person: 'jonas', on: true)
      expect(found('secret')).to be_nil
      expect(found('Written')).to be_nil
      edit('leave_out', person: 'jonas', on: false)
      edit('hide_names', on: true)
      expect(found('Jonas')).to be_nil
      expect(found('secret')).not_to be_nil
      edit('cut', id: 'c', from: began + 19_000, to: began + 21_000)
      expect(found('secret')).to be_nil
    end

    it 'finds the same words on each page that they stand on, once' do
      klass = fresh_class
      sitting, board = "sitting/#{klass[:sitting]}", "board/#{klass[:board]}"
      act(klass, 'odalys', 'class.record', sitting, began, on: true)
      act(klass, 'odalys', 'board.add_page', board, began + 1_000, page: 'p2', after: 'p1')
      { 'one' => 'p1', 'two' => 'p2' }.each do |id, page|
        act(klass, 'odalys', 'board.put', board, began + 2_000, marks: [note(id, 'Low tide at nine', page: page)])
        act(klass, 'odalys', 'board.change', board, began + 3_000, changes: [{ id: id, set: { text: 'Low tide at nine' } }])
      end
      act(klass, 'odalys', 'class.end', sitting, began + 60_000)
      places = odalys.get("/api/recordings/#{klass[:sitting]}/places?search=tide").body['places']
      expect(places.map { |one| one.values_at('board', 'page') }).to contain_exactly([klass[:board], 'p1'], [klass[:board], 'p2'])
    end

    it 'goes to the board that words stand on, whatever was on show, and to none that is not in the recording' do
      boards = ->(board, who = farah) { who.get("#{path}/at?t=9000&board=#{board}").body['streams']&.keys&.grep(/board/) }
      expect(boards.call(made[:board])).to include("board/#{made[:board]}")
      other = fresh_class
      hostile = [made[:staff_board], other[:board], "#{made[:board]}%00", '', '..%2F', 'x' * 5_000, '%ff']
      # Those that are no text at all are refused before anybody looks.
      expect(hostile.map(&boards) - [boards.call('none'), nil]).to eq([])
      expect(VisitorClient.new(server).get("#{path}/at?t=9000&board=#{made[:board]}").code).to eq('no_such_recording')
    end

    it 'takes whatever is looked for' do
      ['%', '_', '"', "'); DROP TABLE x", '\\', 'a' * 5_000, '& | !', "\u0000x"].each do |text|
        expect(farah.get("#{path}/places?search=#{URI.encode_www_form_component(text)}").status).to eq(200).or eq(400)
      end
      expect(farah.get("#{path}/places?search=%25").body['places']).to eq([])
    end
  end

  it 'adds what was not recorded' do
    before = ARCHIVE.sittings.state(made[:sitting]).opened_at
    expect(edit('add_stretch', id: 's', from: before, to: began).status).to eq(200)
    expect(farah.get(path).body['length']).to eq(60_000 + began - before)
  end
end
