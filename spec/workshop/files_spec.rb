# frozen_string_literal: true

require_relative '../spec_helper'

# Files as people have them: what each becomes, what the instructor is told, and what is kept.
RSpec.describe 'Bringing files' do
  before(:all) { Veranda::Workshop::Work.open(ARCHIVE) }

  # Takes a file in and works on it at once.
  # @return [Hash] the material
  def bring(name, replaces: nil)
    path = Decks.path(name)
    upload = ARCHIVE.uploads.begin(course_id: 'navigation', person_id: 'odalys', name: File.basename(path), size: File.size(path), replaces: replaces)
    FileUtils.cp(path, ARCHIVE.files.upload_path(upload[:id]))
    type = Veranda::Workshop::Sniff.type(path, File.basename(path))
    # Worked on here, not by a worker, which therefore must never see it.
    id, version = ARCHIVE.db.transaction { ARCHIVE.materials.take(upload, type: type, kind: Core::Materials::Kinds.of(type)).tap { ARCHIVE.db[:que_jobs].delete } }
    Veranda::Workshop::MakeSlides.run(id, version)
    ARCHIVE.materials.fetch(id)
  end

  def slides(material) = ARCHIVE.materials.slides(material[:id], material[:version])
  def says(material) = material[:findings].map { |finding| finding['says'] || finding[:says] }
  def codes(material) = material[:findings].map { |finding| finding['code'] || finding[:code] }
  def kept?(material) = ARCHIVE.files.exist?(material[:original])

  it 'makes slides of a PPTX, with its words, and tells of a missing font, movement and an empty slide' do
    deck = bring(:deck)
    expect(deck).to include(state: 'ready', slide_count: 6, title: 'deck')
    expect(slides(deck).map { |slide| slide[:words].lines.first&.strip }).to start_with('Sound signals', 'Two columns', 'A table', 'A picture')
    expect(slides(deck).map { |slide| slide.values_at(:w, :h, :type) }.uniq).to eq([[960, 540, 'image/svg+xml']])
    expect(slides(deck)[2][:words]).to include('with, 0.8')
    expect(slides(deck)[4][:words]).to match(/\p{Arabic}/)
    expect(slides(deck).map { |slide| slide[:words] }.join).not_to include('Gethin')
    expect(says(deck)).to match_array([/font Nautilus Display is not here/, /Movement on slide 5/, 'Slide 6 shows nothing.'])
  end

  { odp: 6, pdf: 6, docx: 1, odt: 1 }.each do |name, count|
    it "makes slides of #{name.to_s.upcase}" do
      material = bring(name)
      expect(material).to include(state: 'ready', slide_count: count)
      expect(slides(material).first[:words]).to match(/Sound signals|Pell Light/)
    end
  end

  it 'takes a PDF of 210 pages with a word of warning' do
    long = bring(:long_pdf)
    expect(long).to include(state: 'ready', slide_count: 210)
    expect(slides(long).last[:words]).to eq('Page 210')
    expect(says(long)).to eq(['This file has 210 slides.'])
  end

  it 'says that a file is locked, and keeps it' do
    locked = bring(:locked_pdf)
    expect(locked).to include(state: 'failed', slide_count: 0)
    expect(says(locked)).to match([/locked with a password.*kept/])
    expect(kept?(locked)).to be(true)
  end

  it 'saves the pages that are left of a truncated PDF' do
    damaged = bring(:truncated_pdf)
    expect(damaged[:state]).to eq('ready')
    expect(damaged[:slide_count]).to be_between(5, 19)
    expect(slides(damaged).map { |slide| slide[:words] }).to eq((1..damaged[:slide_count]).map { |number| "Page #{number}" })
    expect(says(damaged)).to match([/damaged.*#{damaged[:slide_count]} slides that could be read are on the shelf/])
    expect(kept?(damaged)).to be(true)
  end

  it 'says so when nothing of a file can be read' do
    expect(bring(:rubbish_pdf)).to include(state: 'failed')
    expect(says(bring(:rubbish_pdf))).to match([/damaged and no slide could be read/])
  end

  it 'does not open a picture of 400 million points' do
    huge = bring(:huge_png)
    expect(huge[:state]).to eq('failed')
    expect(says(huge)).to eq(['This picture has 400 million points; up to 100 million can be shown. It is kept. Save it smaller and upload that.'])
    expect(kept?(huge)).to be(true)
  end

  it 'writes a picture anew, with its tones' do
    small = bring(:small_png)
    expect(slides(small)).to match([a_hash_including(w: 40, h: 30, type: 'image/png')])
    expect(slides(small).first[:tones].uniq).to eq(['#17665E'])
    expect(File.binread(ARCHIVE.files.path(slides(small).first[:picture]))).to start_with("\x89PNG".b)
  end

  it 'does not unpack a file that would become too much, and does not keep it' do
    bomb = bring(:bomb_pptx)
    expect(bomb[:state]).to eq('failed')
    expect(says(bomb)).to match([/unpacks to more than 1024 MB/])
    expect(kept?(bomb)).to be(false)
  end

  it 'cleans an SVG of scripts and links, tells so, and leaves its drawing' do
    svg = bring(:hostile_svg)
    text = File.read(ARCHIVE.files.path(slides(svg).first[:picture]))
    expect(text).not_to match(/script|alert|elsewhere|passwd|iframe|foreignObject|onclick|onload/)
    expect(text).to include('<circle', 'Harrow Sound')
    expect(slides(svg).first).to include(w: 200, h: 100, words: 'Harrow Sound')
    expect(says(svg).first).to match(/taken out for safety/)
  end

  it 'knows how long a sound is and how loud, and makes a picture of a clip' do
    tone, clip = bring(:tone), bring(:clip)
    expect(tone).to include(kind: 'sound', state: 'ready')
    expect(tone[:facts]).to include(seconds: be_within(0.1).of(2))
    expect(tone[:facts][:waveform].max).to be > 0.05
    expect(clip[:facts]).to include(seconds: be_within(0.2).of(2), w: 320, h: 180)
    expect(ARCHIVE.files.exist?(clip[:facts][:poster])).to be(true)
  end

  it 'goes by content, not by name' do
    expect { bring(:program) }.to refusing(:kind_unknown)
  end

  it 'lays a new version under the boards that show the old one, and leaves what was drawn' do
    long = bring(:pdf)
    lesson = fresh_lesson
    board = Veranda::Preparing::NewBoard.new(ARCHIVE, ARCHIVE.lessons.fetch(lesson[:lesson]), by: Demo::School.person('odalys')).call(name: 'Slides', material: long[:id])
    perform('odalys', 'board.put', "board/#{board[:id]}", marks: [stroke('m1')])
    bring(:locked_pdf, replaces: long[:id])
    expect(ARCHIVE.materials.fetch(long[:id])).to include(version: 1, newer: 'failed')

    bring(:deck, replaces: long[:id])
    state, = ARCHIVE.log.state("board/#{board[:id]}")
    expect(ARCHIVE.materials.fetch(long[:id])).to include(version: 3, newer: nil)
    expect(state.page_facts.values.map { |facts| facts[:ground].values_at(:version, :slide) }).to eq((1..6).map { |slide| [3, slide] })
    expect(state.marks.keys).to eq(['m1'])
    expect(ARCHIVE.materials.slides(long[:id], 1).length).to eq(6)
  end

  it 'tells plainly when the workshop stops in the middle, and a second run goes through' do
    path = Decks.path(:small_png)
    upload = ARCHIVE.uploads.begin(course_id: 'navigation', person_id: 'odalys', name: 'small.png', size: File.size(path))
    FileUtils.cp(path, ARCHIVE.files.upload_path(upload[:id]))
    id, = ARCHIVE.db.transaction { ARCHIVE.materials.take(upload, type: 'image/png', kind: 'picture').tap { ARCHIVE.db[:que_jobs].delete } }
    ARCHIVE.materials.report(id, 1, 'working')
    2.times { Veranda::Workshop::MakeSlides.run(id, 1) }
    expect(ARCHIVE.materials.fetch(id)).to include(state: 'ready', slide_count: 1)
  end
end
