# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'
require 'zip'

RSpec.describe 'Preparing over HTTP' do
  let(:server) { Server.shared }
  let(:odalys) { VisitorClient.new(server, as: 'odalys') }
  let(:farah) { VisitorClient.new(server, as: 'farah') }
  let(:ruth) { VisitorClient.new(server, as: 'ruth') }

  before(:all) { Veranda::Workshop::Work.open(ARCHIVE) }

  # A material that has been worked on.
  def material(name = :pdf)
    @brought ||= {}
    @brought[name] ||= begin
      id = odalys.upload(Decks.path(name)).body.fetch('material')
      ARCHIVE.db[:que_jobs].delete # worked on here, not by a worker
      Veranda::Workshop::MakeSlides.run(id, 1)
      id
    end
  end

  def saved(bytes, ending) = File.join(Decks::FOLDER, "saved-#{rand(10**9)}.#{ending}").tap { |path| File.binwrite(path, bytes) }

  describe 'uploads' do
    it 'come in pieces, go on after a break where they stopped, and end as a material that waits for work' do
      path = Decks.path(:pdf)
      begun = odalys.post('/api/uploads', { course: 'navigation', name: 'tide tables.pdf', size: File.size(path) }).body
      bytes = File.binread(path)
      expect(odalys.send_piece(begun['id'], 0, bytes[0, 1000]).body).to include('offset' => 1000)
      expect(odalys.send_piece(begun['id'], 0, bytes[0, 1000]).code).to eq('wrong_offset')
      expect(odalys.get("/api/uploads/#{begun['id']}").body).to include('offset' => 1000)
      done = odalys.send_piece(begun['id'], 1000, bytes[1000..]).body
      made = odalys.get("/api/materials/#{done['material']}").body
      expect(made).to include('title' => 'tide tables', 'kind' => 'document')
      # A worker that other specs have started may have taken the job up already.
      queued = ARCHIVE.db[:que_jobs].where(Sequel.lit('args->>0 = ?', done['material'])).any?
      expect(queued || %w[working ready].include?(odalys.get("/api/materials/#{done['material']}").body['state'])).to be(true)
      expect(odalys.get("/api/uploads/#{begun['id']}").code).to eq('no_such_upload')
    end

    # What is written there has nowhere to go, see full(4).
    it 'say so when the disk is full, and go on once there is room' do
      begun = odalys.post('/api/uploads', { course: 'navigation', name: 'chart.pdf', size: 20 }).body
      path = ARCHIVE.files.upload_path(begun['id'])
      File.rename(path, "#{path}.kept")
      File.symlink('/dev/full', path)
      answer = odalys.send_piece(begun['id'], 0, 'x' * 10)
      expect([answer.status, answer.code, answer.body['says']]).to match([507, 'no_room', /no room left/])
      File.delete(path)
      File.rename("#{path}.kept", path)
      expect(odalys.send_piece(begun['id'], 0, 'x' * 10).body).to include('offset' => 10)
    end

    it 'are cancelled without a trace' do
      begun = odalys.post('/api/uploads', { course: 'navigation', name: 'a.pdf', size: 10 }).body
      odalys.send_piece(begun['id'], 0, 'abc')
      odalys.delete("/api/uploads/#{begun['id']}")
      expect(odalys.get("/api/uploads/#{begun['id']}").code).to eq('no_such_upload')
      expect(File.exist?(ARCHIVE.files.upload_path(begun['id']))).to be(false)
    end

    it 'are refused when they are empty, too large, of a kind that cannot be shown, or somebody else’s' do
      begin_one = ->(**facts) { odalys.post('/api/uploads', { course: 'navigation', name: 'a.pdf', size: 10, **facts }) }
      expect(begin_one.call(size: 0).code).to eq('file_empty')
      expect(begin_one.call(size: 10**10).code).to eq('file_too_large')
      expect(odalys.upload(Decks.path(:program)).code).to eq('kind_unknown')
      expect(farah.post('/api/uploads', { course: 'navigation', name: 'a.pdf', size: 10 }).code).to eq('staff_only')
      expect(ruth.post('/api/uploads', { course: 'navigation', name: 'a.pdf', size: 10 }).code).to eq('staff_only')
      mine = begin_one.call.body['id']
      expect(farah.send_piece(mine, 0, 'abc').code).to eq('no_such_upload')
      expect(odalys.send_piece(mine, 0, 'a' * 11).code).to eq('file_too_large')
    end
  end

  describe 'the shelf' do
    it 'is searched by title, label and the words inside, and sorted' do
      id = material
      odalys.patch("/api/materials/#{id}", { title: 'Signals of ships', labels: ['horns', ' ', 'horns'], first_slide: 2 })
      find = ->(words) { odalys.get("/api/courses/navigation/materials?search=#{URI.encode_www_form_component(words)}").body.map { |row| row['id'] } }
      expect(find.call('ships signals')).to include(id)
      expect(find.call('horns')).to include(id)
      expect(find.call('across, 1.2')).to include(id)
      expect(find.call('100%_nothing')).to be_empty
      expect(odalys.get("/api/materials/#{id}").body).to include('labels' => ['horns'], 'first_slide' => 2)
      expect(odalys.get('/api/courses/navigation/materials?sort=size').body.map { |row| row['size'] }.each_cons(2)).to all(satisfy { |one, other| one >= other })
    end

    it 'gives slides out with a policy under which they can do nothing, and only to those who may see them' do
      id = material
      slide = odalys.get("/api/materials/#{id}/1/slides/1")
      expect(slide.status).to eq(200)
      expect(slide.headers['content-type']).to start_with('image/svg+xml')
      expect(slide.headers['content-security-policy']).to include("default-src 'none'", 'sandbox')
      expect(slide.headers['x-content-type-options']).to eq('nosniff')
      expect(farah.get("/api/materials/#{id}/1/slides/1").code).to eq('no_access')
      expect(VisitorClient.new(server).get("/api/materials/#{id}/1/slides/1").code).to eq('sign_in')
      expect(odalys.get("/api/materials/#{id}/1/slides/99").code).to eq('no_such_slide')

      lesson = fresh_lesson
      board = odalys.post("/api/lessons/#{lesson[:lesson]}/boards", { name: 'Slides', material: id }).body
      expect(farah.get("/api/materials/#{id}/1/slides/1").status).to eq(200)
      odalys.patch("/api/boards/#{board['id']}", { audience: 'staff' })
      expect(farah.get("/api/materials/#{id}/1/slides/1").code).to eq('no_access')
    end

    it 'tells where a material is used, keeps it there when it is taken off, and keeps links' do
      id = material(:small_png)
      lesson = fresh_lesson('With a picture')
      perform('odalys', 'board.put', "board/#{lesson[:board]}",
              marks: [{ id: 'i', page: 'p1', kind: 'image', x: 0, y: 0, w: 40, h: 30, ink: 'slate', material: id, version: 1, slide: 1, alt: 'A point' }])
      expect(odalys.get("/api/materials/#{id}").body['uses']).to match([a_hash_including('lesson' => 'With a picture', 'board' => lesson[:board])])
      odalys.delete("/api/materials/#{id}")
      expect(odalys.get('/api/courses/navigation/materials').body.map { |row| row['id'] }).not_to include(id)
      expect(farah.get("/api/materials/#{id}/1/slides/1").status).to eq(200)
      expect(odalys.post('/api/courses/navigation/links', { title: 'Lights', link: 'javascript:alert(1)' }).code).to eq('bad_input')
      expect(odalys.post('/api/courses/navigation/links', { title: 'Lights', link: 'https://video.tidewater.example/lights' }).status).to eq(201)
    end
  end

  describe 'boards' do
    it 'that are made in a rehearsal are there, and nowhere else' do
      made = fresh_class
      rehearsal = odalys.post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 1 }).body['sitting']
      facts = { name: 'A moment', material: material, sitting: rehearsal }
      board = odalys.post("/api/lessons/#{made[:lesson]}/boards", facts).body['id']
      names = ->(sitting) { ARCHIVE.log.state("staff/#{sitting}").first.boards.map { |row| row[:id] } }
      expect(names.call(rehearsal)).to include(board)
      expect(names.call(made[:sitting])).not_to include(board)
      expect(odalys.post("/api/lessons/#{made[:lesson]}/boards", { **facts, sitting: made[:sitting] }).status).to eq(201)
    end

    it 'are drawn on slides, beginning with the page chosen' do
      odalys.patch("/api/materials/#{material}", { first_slide: 3 })
      lesson = fresh_lesson
      board = odalys.post("/api/lessons/#{lesson[:lesson]}/boards", { name: 'Slides', material: material }).body
      state, = ARCHIVE.log.state("board/#{board['id']}")
      expect(state.pages.length).to eq(6)
      expect(board['first_page']).to eq(state.pages[2])
      expect(odalys.post("/api/lessons/#{lesson[:lesson]}/boards", { name: 'x', material: 'nothing' }).code).to eq('no_such_material')
    end

    it 'are found by what is on them, and copied as templates with all marks' do
      lesson = fresh_lesson
      perform('odalys', 'board.put', "board/#{lesson[:board]}", marks: [note('n1', 'Quernmore Light')])
      odalys.patch("/api/boards/#{lesson[:board]}", { template: true, name: 'Lights table' })
      found = odalys.get('/api/boards?kind=templates&search=quernmore').body
      expect(found.map { |row| row.values_at('id', 'name', 'marks', 'authors') }).to eq([[lesson[:board], 'Lights table', 1, 'Odalys Brandt']])
      copy = odalys.post("/api/lessons/#{fresh_lesson[:lesson]}/boards", { name: 'Mine', copy_of: lesson[:board] }).body
      expect(ARCHIVE.log.state("board/#{copy['id']}").first.marks.keys).to eq(['n1'])
      own = ARCHIVE.lessons.add_board(lesson[:lesson], name: 'Of a room', audience: 'room', room_id: 'r1')
      taken = odalys.post("/api/lessons/#{fresh_lesson[:lesson]}/boards", { name: 'Mine', copy_of: own }).body
      expect(ARCHIVE.lessons.board(taken['id'])).to include(audience: 'staff')
      expect(ruth.get('/api/boards?search=quernmore').body).to be_empty
      expect(farah.patch("/api/boards/#{lesson[:board]}", { name: 'Ours' }).code).to eq('staff_only')
    end

    it 'are saved as PDF with text that can be selected, as SVG that is read back, and as PNG' do
      lesson = fresh_lesson
      perform('odalys', 'board.put', "board/#{lesson[:board]}", marks: [note('n1', 'Marram Bar dries'), stroke('s1', press: [0.2, 0.9, 0.4])])
      pdf = odalys.get("/api/boards/#{lesson[:board]}.pdf")
      expect(pdf.headers['content-disposition']).to eq('attachment; filename="open-board.pdf"')
      path = saved(pdf.body, 'pdf')
      expect(Open3.capture2('pdftotext', path, '-').first).to include('Marram Bar dries')
      expect(Open3.capture2('pdffonts', path).first).to include('AtkinsonHyperlegible')
      svg = odalys.get("/api/boards/#{lesson[:board]}/p1.svg").body
      expect(Core::Boards::SvgReader.new(svg.dup.force_encoding('UTF-8')).call.marks).to eq(ARCHIVE.log.state("board/#{lesson[:board]}").first.on_page('p1'))
      expect(odalys.get("/api/boards/#{lesson[:board]}/p1.png").body.b).to start_with("\x89PNG".b)
      expect(odalys.get("/api/boards/#{lesson[:board]}/small.svg").body).to include('Marram Bar dries')
      expect(farah.get("/api/boards/#{lesson[:staff_board]}.pdf").code).to eq('no_access')
      expect(farah.get("/api/boards/#{lesson[:staff_board]}/small.svg").code).to eq('no_access')
    end

    it 'are saved as PDF with the words of the slides beneath, for a PDF as for an office file, however they are turned' do
      lesson = fresh_lesson
      [material, material(:deck)].each do |id|
        board = odalys.post("/api/lessons/#{lesson[:lesson]}/boards", { name: 'Slides', material: id }).body['id']
        perform('odalys', 'board.put', "board/#{board}", marks: [note('n1', 'Written on it')])
        path = saved(odalys.get("/api/boards/#{board}.pdf").body.b, 'pdf')
        expect(Open3.capture2('pdftotext', '-l', '1', path, '-').first.split.join(' ')).to include('One short blast', 'Written on it')
        expect(Open3.capture2('pdfinfo', path).first).to match(/Pages:\s+6\n.*Page size:\s+1200 x 675/m)
      end
    end

    it 'tell what is new since somebody last looked, by person' do
      lesson = fresh_lesson
      perform('farah', 'board.put', "board/#{lesson[:board]}", marks: [stroke('m1'), stroke('m2')]) && ARCHIVE.lessons.update_board(lesson[:board], outside: 'work')
      perform('tomas', 'board.put', "board/#{lesson[:board]}", marks: [stroke('t1')])
      news = -> { odalys.get("/api/lessons/#{lesson[:lesson]}/news").body.map { |row| row.values_at('name', 'count') } }
      expect(news.call).to eq([['Tomas Ferrand', 1]])
      odalys.post("/api/boards/#{lesson[:board]}/visits")
      expect(news.call).to be_empty
    end
  end

  describe 'a lesson as a zip' do
    # A lesson with a board on slides, a picture, marks by two people, a lock, cues and rules.
    def full_lesson
      lesson = fresh_lesson('Whole lesson')
      slides = odalys.post("/api/lessons/#{lesson[:lesson]}/boards", { name: 'Slides', material: material }).body['id']
      perform('odalys', 'board.put', "board/#{slides}", marks: [stroke('m1')])
      perform('tomas', 'board.put', "board/#{lesson[:board]}", marks: [note('n1', 'Locked words', locked: true), prop('d', 'dice', count: 2, faces: 6)])
      perform('odalys', 'board.use_prop', "board/#{lesson[:board]}", id: 'd', action: 'roll')
      laid = { cues: [{ id: 'c', kind: 'show', board: slides, page: 'p1' }], rules: { draw: false, post: true, props: true } }
      %w[one two].each { |step| perform('odalys', 'plan.set_step', "plan/#{lesson[:lesson]}", step: step, seen: 1, set: laid) }
      lesson.merge(slides: slides)
    end

    def zip_of(lesson) = saved(odalys.get("/api/lessons/#{lesson}.zip").body.b, 'zip')

    it 'comes back with run sheet, boards, authors, locks, results and materials' do
      lesson = full_lesson
      zip = zip_of(lesson[:lesson])
      names = Zip::File.open(zip) { |file| file.map(&:name) }
      expect(names).to include('manifest.json', 'boards/1-open-board/1.svg', 'boards/3-slides/6.svg', a_string_matching(%r{\Amaterials/.+\.pdf\z}))

      answer = odalys.upload(zip, purpose: 'lesson').body
      taken = odalys.get("/api/lessons/#{answer['lesson']}").body
      expect(taken['steps'].map { |step| step.values_at('title', 'minutes', 'notes', 'rules') }).to eq(odalys.get("/api/lessons/#{lesson[:lesson]}").body['steps'].map { |step|
        step.values_at('title', 'minutes', 'notes', 'rules')
      })
      boards = taken['boards'].to_h { |board| [board['name'], board['id']] }
      expect(taken['steps'].first['cues'].first['board']).to eq(boards['Slides'])
      before, = ARCHIVE.log.state("board/#{lesson[:board]}")
      after, = ARCHIVE.log.state("board/#{boards['Open board']}")
      expect(after.on_page('p1')).to eq(before.on_page('p1'))
      expect(after.authors).to include('tomas' => 'Tomas Ferrand')
      ground = ARCHIVE.log.state("board/#{boards['Slides']}").first.page_facts['p1'][:ground]
      expect(ground).to include(version: 1, slide: 1)
      expect(ground[:material]).not_to eq(material)
    end

    it 'is refused with reasons when it is damaged, foreign, incomplete, newer or a bomb, and nothing is taken in' do
      good = zip_of(full_lesson[:lesson])
      lessons = -> { ARCHIVE.db[:lessons].count + ARCHIVE.db[:materials].count }
      before = lessons.call
      send_zip = lambda do |path|
        answer = odalys.upload(path, purpose: 'lesson')
        expect(answer.body['says']).to match(/Nothing was taken in|not written by Veranda/)
        answer.code
      end
      cut = saved(File.binread(good)[0, 3000], 'zip')
      foreign = saved(Zip::OutputStream.write_buffer { |zip| zip.put_next_entry('hello.txt') && zip.write('hi') }.string, 'zip')
      expect(send_zip.call(cut)).to eq('zip_damaged')
      expect(send_zip.call(saved('not a zip at all', 'zip'))).to eq('zip_damaged')
      expect(send_zip.call(foreign)).to eq('zip_foreign')
      expect(send_zip.call(edited(good) { |facts| facts.merge('version' => 9) })).to eq('zip_newer')
      expect(send_zip.call(edited(good) do |facts|
        facts.merge('boards' => [facts['boards'][0].merge('pages' => ['../../etc/passwd'])])
      end)).to eq('no_such_board').or eq('zip_incomplete')
      expect(send_zip.call(Decks.path(:bomb_zip))).to eq('zip_too_large')
      expect(lessons.call).to eq(before)
    end

    # The same zip with another manifest.
    def edited(path)
      copy = saved(File.binread(path), 'zip')
      Zip::File.open(copy) do |zip|
        facts = yield JSON.parse(zip.read('manifest.json'))
        facts['steps'] = facts['steps'].map { |step| step.merge('board' => nil, 'cues' => []) }
        zip.get_output_stream('manifest.json') { |out| out.write(JSON.generate(facts)) }
      end
      copy
    end
  end

  it 'keeps nothing of a file that does not fit on the disk, and says why' do
    allow(Veranda::Complaint).to receive(:of)
    board = fresh_lesson[:board]
    before = Dir.children(ARCHIVE.files.scratch)
    allow(File).to receive(:binwrite) do |path, _|
      File.write(path, 'half')
      raise Errno::ENOSPC
    end
    told = Veranda::Aside::Tasks.new(ARCHIVE).call(:board_svg, { board: board, page: 'p1' })
    expect(told.first(2)).to eq(%i[refused no_room])
    expect(Dir.children(ARCHIVE.files.scratch) - before).to eq([])
  end

  it 'shows nobody a material of another course by naming it on a board, in a poll or in a cue' do
    theirs = material
    weather = ARCHIVE.lessons.create(course_id: ARCHIVE.people.courses('ruth').key('instructor'), title: 'Fronts', minutes: 30, starts_at: Time.now + 600)
    board = ARCHIVE.lessons.add_board(weather, name: 'Fronts')
    picture = { material: theirs, version: 1, slide: 1 }
    question = { kind: 'one', text: 'Which?', options: [{ id: 'a', text: 'This' }, { id: 'b', text: 'That', picture: picture }] }
    mark = { id: 'pic', page: 'p1', kind: 'image', x: 1, y: 1, w: 9, h: 9, ink: 'slate', alt: '', **picture }
    wire = Wire.new(ruth).tap { |one| one.hello({ lesson: weather }) }
    expect(wire.do('board.put', "board/#{board}", marks: [mark])).to include('code' => 'no_such_material')
    course = ARCHIVE.lessons.fetch(weather)[:course_id]
    expect(ruth.post("/api/courses/#{course}/polls", { question: question }).code).to eq('no_such_material')
    add = ->(**set) { wire.do('plan.add_step', "plan/#{weather}", step: 'one', after: nil, set: { title: 'One', **set }) }
    expect(add.call(cues: [{ id: 'c', kind: 'poll', question: question }])).to include('code' => 'no_such_material')
    expect(add.call(material: theirs)).to include('code' => 'no_such_material')
    expect(add.call(board: fresh_lesson[:board])).to include('code' => 'no_such_board')
    expect(wire.do('plan.set', "plan/#{weather}", seen: 1, set: { welcome_picture: theirs })).to include('code' => 'no_such_material')
    sitting = fresh_class(lesson: weather)[:sitting]
    live = Wire.new(ruth).tap { |one| one.hello({ sitting: sitting }) }
    expect(live.do('poll.stage', "staff/#{sitting}", poll: 'p', question: question)).to include('code' => 'no_such_material')
    expect(ruth.get("/api/materials/#{theirs}/1/slides/1").status).to eq(403)
  end

  it 'opens a lesson also when a step names a material that is not there' do
    lesson = fresh_lesson
    ARCHIVE.lessons.lay(lesson[:lesson], steps: ARCHIVE.lessons.fetch(lesson[:lesson])[:steps].map { |step| step.merge(material: 'nowhere') })
    expect(odalys.get("/api/lessons/#{lesson[:lesson]}").status).to eq(200)
    expect(odalys.get("/api/lessons/#{lesson[:lesson]}.zip").status).to eq(200)
  end

  it 'copies a lesson to another course only for those who teach it' do
    lesson = fresh_lesson
    copy = ->(course) { odalys.post("/api/lessons/#{lesson[:lesson]}/copies", { starts_at: 1_900_000_000_000, course: course }) }
    expect(copy.call('weather').code).to eq('staff_only')
    expect(copy.call('navigation').status).to eq(201)
    expect(farah.post("/api/lessons/#{lesson[:lesson]}/copies", { starts_at: 1 }).code).to eq('staff_only')
  end

  it 'keeps a person’s own sticks' do
    expect(farah.get('/api/sticks').body).to eq('sticks' => nil)
    sticks = [{ 'kind' => 'stroke', 'ink' => 'plum', 'width' => 8 }]
    farah.patch('/api/sticks', { sticks: sticks })
    expect(VisitorClient.new(server, as: 'farah').get('/api/sticks').body).to eq('sticks' => sticks)
    expect(farah.patch('/api/sticks', { sticks: [{ kind: 'stroke', ink: 'pink', width: 8 }] }).code).to eq('bad_input')
  end
end
