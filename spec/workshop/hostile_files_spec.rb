# frozen_string_literal: true

require_relative '../spec_helper'

# Files made elsewhere, by people who know how they are read.
RSpec.describe 'Files that mean harm' do
  let(:scratch) { Dir.mktmpdir }

  after { FileUtils.rm_rf(scratch) }

  def limited(name, **arguments) = Veranda::Workshop::Limited.call(name, dir: scratch, **arguments)

  # A zip as bytes: entries of name, local offset or nil for a place of their own, and what is in them.
  def zip(name, entries)
    body = +''.b
    central = +''.b
    entries.each do |entry, offset, text|
      data = Zlib::Deflate.new(9, -15).deflate(text, Zlib::FINISH)
      about = [20, 0, 8, 0, 0x21, Zlib.crc32(text), data.bytesize, text.bytesize, entry.bytesize, 0].pack('v5V3v2')
      offset ||= body.bytesize.tap { body << "PK\x03\x04".b << about << entry.b << data }
      central << "PK\x01\x02".b << [20].pack('v') << about << [0, 0, 0, 0, offset].pack('v3VV') << entry.b
    end
    finish = "PK\x05\x06".b + [0, 0, entries.length, entries.length, central.bytesize, body.bytesize, 0].pack('v4V2v')
    File.join(scratch, name).tap { |path| File.binwrite(path, body + central + finish) }
  end

  it 'cannot unpack one entry a thousand times' do
    sound = zip('sound.zip', [['a', nil, 'one'], ['b', nil, 'two']])
    expect(limited(:check_zip, path: sound)).to eq(names: %w[a b])
    overlapping = zip('overlapping.zip', [['a', nil, 'x' * 1000], *Array.new(200) { |i| ["a#{i}", 0, 'x' * 1000] }])
    expect { limited(:check_zip, path: overlapping) }.to raise_error(Veranda::Workshop::ZipGuard::Damaged)
    same = zip('same.zip', [['a', nil, 'one'], ['a', nil, 'two']])
    expect { limited(:check_zip, path: same) }.to raise_error(Veranda::Workshop::ZipGuard::Damaged)
  end

  describe 'a lesson' do
    let(:page) do
      state = Core::Boards::Board.new(marks: { 'm' => stroke('m').merge(z: 1, by: 'farah', at: 1) }, authors: { 'farah' => 'Farah' })
      Core::Boards::SvgWriter.new(state, 'p1', title: 'Names').call
    end
    let(:manifest) do
      { format: 'veranda-lesson', version: 1, title: 'Fog', minutes: 60, record_from: nil, materials: [],
        steps: [{ id: 'a', title: 'A', minutes: 5, shortest: 1, notes: '', board: 'b' }],
        boards: [{ id: 'b', name: 'Names', audience: 'everyone', outside: 'read', first_page: 'p1', pages: ['1.svg'] }] }
    end

    def take(manifest, pages)
      path = zip('lesson.zip', [['manifest.json', nil, manifest], *pages.map { |name, text| [name, nil, text] }])
      Veranda::Workshop::LessonFromZip.new(ARCHIVE, path, course_id: 'navigation', by: 'odalys').call
    end

    it 'is taken in when it is sound' do
      id = take(JSON.generate(manifest), { '1.svg' => page })
      board = ARCHIVE.lessons.boards(id).first
      expect(ARCHIVE.log.state("board/#{board[:id]}").first.marks.keys).to eq(['m'])
    end

    odd_manifests = { 'a lone surrogate' => ['"Fog"', '"\\udc00"'], 'U+0000' => ['"Fog"', '"a\\u0000b"'], 'no text for a title' => ['"Fog"', '[]'],
                      'a number beyond all' => ['"minutes":60', '"minutes":1e400'], 'nothing of the kind' => ['{"format"', '[{"format"'],
                      'deep nesting' => ['"Fog"', "#{'[' * 60}#{']' * 60}"] }
    odd_manifests.each do |what, (from, to)|
      it "is refused with a reason when its manifest has #{what}" do
        before = ARCHIVE.db[:lessons].count
        expect { take(JSON.generate(manifest).sub(from, to), { '1.svg' => page }) }
          .to(raise_error(Core::Refusal) { |refusal| expect(%i[zip_foreign bad_input]).to include(refusal.code) })
        expect(ARCHIVE.db[:lessons].count).to eq(before)
      end
    end

    odd_pages = { 'facts that are a list' => ["v:page='p1'", "v:page='p1' v:facts='[1]'"], 'ground that is none' => ["v:page='p1'", %q(v:page='p1' v:facts='{"ground":7}')],
                  'facts of no kind we know' => ["v:page='p1'", %q(v:page='p1' v:facts='{"ground":{"material":"x"}}')], 'an id that is none' => ["v:id='m'", "v:id='no id'"],
                  'a mark of a kind we do not know' => ["v:kind='stroke'", "v:kind='parrot'"], 'points that are words' => [/v:points='[^']*'/, "v:points='a b c'"],
                  'a page that was never there' => ["v:page='p1'", "v:page='p 1'"], 'no author at all' => ["v:by='farah'", ''],
                  'a pressure that is a name' => ["v:id='m'", %q(v:id='m' v:press='{"a":1}')] }
    odd_pages.each do |what, (from, to)|
      it "is refused with a reason when a page has #{what}" do
        odd = page.sub(from, to)
        expect(odd).not_to eq(page)
        before = ARCHIVE.db[:lessons].count
        expect { take(JSON.generate(manifest), { '1.svg' => odd }) }.to raise_error(Core::Refusal)
        expect(ARCHIVE.db[:lessons].count).to eq(before)
      end
    end

    it 'is refused over HTTP with the reason, whatever is wrong with it' do
      path = zip('odd.zip', [['manifest.json', nil, JSON.generate(manifest).sub('"Fog"', '"\\ud800"')], ['1.svg', nil, page]])
      answer = VisitorClient.new(Server.shared, as: 'odalys').upload(path, purpose: 'lesson')
      expect([answer.status, answer.code]).to eq([422, 'zip_foreign'])
    end
  end

  describe 'an SVG' do
    def cleaned(inside, style: '')
      path = File.join(scratch, 'in.svg')
      File.write(path, %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><style>#{style}</style>#{inside}<circle r="3"/></svg>))
      to = File.join(scratch, 'out.svg')
      limited(:clean_svg, path: path, to: to)
      File.read(to)
    end

    reaching = ['url(http://elsewhere.example/a)', 'url( "http://elsewhere.example/a")', "url( 'https://elsewhere.example/a')", 'u\\72l(http://elsewhere.example/a)',
                'ur/**/l(http://elsewhere.example/a)', 'URL(//elsewhere.example/a)', 'image-set("http://elsewhere.example/a" 1x)', '@im\\port "http://elsewhere.example/a"']
    reaching.each do |way|
      it "reaches out to nowhere by #{way}" do
        expect(cleaned(%(<rect style='fill:#{way.tr("'", '"')}'/>))).not_to include('elsewhere')
        expect(cleaned('', style: "rect { fill: #{way} }")).not_to include('elsewhere')
        expect(cleaned('', style: "<![CDATA[ rect { fill: #{way} } ]]>")).not_to include('elsewhere')
        expect(cleaned(%(<rect fill='#{way.tr("'", '"')}'/>))).not_to include('elsewhere')
      end
    end

    it 'keeps gradients, and hides no script in a marked section' do
      kept = cleaned('<defs><linearGradient id="g"/></defs><rect fill="url(#g)"/><text><![CDATA[<script>alert(1)</script>]]></text>')
      expect(kept).to include('url(#g)', '<circle')
      expect(Nokogiri::XML(kept).xpath('//*[local-name()="script"]')).to be_empty
      expect(kept).not_to include('CDATA')
    end

    it 'is none when entities would unfold' do
      File.write(File.join(scratch, 'bomb.svg'), '<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>')
      expect { limited(:clean_svg, path: File.join(scratch, 'bomb.svg'), to: 'x') }.to raise_error(Veranda::Workshop::CleanSvg::NotSvg)
    end
  end

  # Ids of processes that run a program with these arguments.
  def running(*command)
    Dir['/proc/[0-9]*/cmdline'].select { |file| File.read(file).split("\0") == command }.map { |file| Integer(file[/\d+/]) }
  rescue SystemCallError
    retry
  end

  it 'are let go of with all that was started for them when whoever asked is killed, and when their time is over' do
    seconds = rand(7000..7999).to_s
    command = ['sh', '-c', "sleep #{seconds} & sleep #{seconds}; true"]
    run = "require '#{Veranda::ROOT}/config/environment'; Veranda::Workshop::Tool.run(*#{command.inspect}, dir: #{scratch.inspect}, seconds: 500)"
    asking = Process.spawn(RbConfig.ruby, '-e', run)
    until_true('both are under way') { running('sleep', seconds).length == 2 }
    Process.kill(:KILL, asking)
    Process.wait(asking)
    until_true('nothing is left of it') { running('sleep', seconds).empty? }
    expect { Veranda::Workshop::Tool.run(*command, dir: scratch, seconds: 1) }.to raise_error(Veranda::Workshop::Tool::TooLong)
    until_true('nothing is left of it') { running('sleep', seconds).empty? }
  end

  it 'are opened without our secrets, in a folder of their own, for a limited time' do
    said = Veranda::Workshop::Tool.run('env', dir: scratch)
    expect(said).not_to match(/DATABASE_URL|VERANDA/)
    expect { Veranda::Workshop::Tool.run('sleep', '20', dir: scratch, seconds: 0.2) }.to raise_error(Veranda::Workshop::Tool::TooLong)
    File.write(File.join(scratch, 'in.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>')
    expect { limited(:clean_svg, path: File.join(scratch, 'in.svg'), to: File.join(scratch, 'out.svg'), memory: 20 * 1024 * 1024) }
      .to raise_error(Veranda::Workshop::Tool::Failed)
  end

  it 'are drawn by the fonts that come with our packages and no others, whatever the machine has' do
    folders = File.read(Veranda::Workshop::Fonts::PACKAGED).scan(%r{<dir>(.*)</dir>}).flatten
    found = Veranda::Workshop::Tool.run('fc-list', ':', 'file', dir: scratch).lines.map { |line| File.dirname(line.strip.chomp(':')) }
    expect(found.uniq).to match_array(folders)
  end

  it 'are opened in our own processes by no library: those are named in limited programs alone' do
    root = File.join(Veranda::ROOT, 'lib/veranda')
    openers = Dir[File.join(root, '**/*.rb')].select { |file| File.read(file).lines.any? { |line| !line.strip.start_with?('#') && line.match?(/\b(HexaPDF|Nokogiri|REXML|Zip::File)\b/) } }
    expect(openers.map { |file| File.basename(file) })
      .to match_array(%w[clean_svg.rb lesson_parts.rb office_facts.rb recording_parts.rb save_pages.rb slides_beneath.rb zip_guard.rb])
  end

  it 'do not end the work of a new version when a board is full' do
    board = fresh_lesson[:board]
    perform('odalys', 'board.put', "board/#{board}", marks: [stroke('m')])
    pages = Array.new(Core::Boards::Board::MAX_PAGES) { |i| { page: "p#{i + 1}", ground: { material: 'deck', version: 1, slide: i + 1, w: 4, h: 3 } } }
    ARCHIVE.log.append(["board/#{board}"]) do |heads|
      [Core::Streams::Entry.new(stream: "board/#{board}", seq: heads.values.first + 1, at: 9_999_999_999_999, actor: 'house', kind: 'laid', body: { pages: pages })]
    end
    slides = Array.new(310) { |i| { slide: i + 1, w: 16, h: 9 } }
    expect { Veranda::Preparing::Slides.lay(ARCHIVE.log, board, 'deck', 2, slides.first(300)) }.not_to raise_error
    allow(ARCHIVE.materials).to receive_messages(slides: Array.new(5) { |i| { slide: 400 + i, w: 4, h: 3 } }, boards: [{ id: board, lesson_id: 'rules' }])
    expect(Veranda::Workshop::NewVersion.call(ARCHIVE, 'deck', 3)).to eq([])
  end
end
