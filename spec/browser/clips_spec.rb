# frozen_string_literal: true

require_relative '../spec_helper'

# What plays at the same moment for everyone, in real browsers.
RSpec.describe 'A clip for everyone', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:place) { "place/#{sitting}.main" }
  let(:clip) { ready_clip }

  before { Worker.shared }
  after { close_browsers }

  # That of the demo school's shelf, once the workshop has looked at it.
  def ready_clip
    found = nil
    until_true('a clip is ready') do
      found = ARCHIVE.materials.of_course('navigation').find { |row| row[:kind] == 'clip' && row[:state] == 'ready' }
    end
    found
  end

  def enter(who)
    session = browser(who, server)
    sign_in(session, who)
    session.visit("#{server.address}/classes/#{sitting}")
    expect(session).to have_css('[aria-label=Bench]')
    session.find('h1').click
    session
  end

  def state = ARCHIVE.log.state(place).first.clip

  # ms by which a page is off from where the class is, as both have it at one instant.
  def off(session)
    Array.new(5) do
      at, now = session.evaluate_script("[document.querySelector('[data-testid=clip]').currentTime * 1000, Date.now()]")
      sleep 0.1
      at - Veranda::Core::Sittings::Clip.position(state, now)
    end.map(&:abs).min
  end

  it 'plays, is held, moved and repeated for all at once; whoever comes late is where the others are' do
    title = clip[:title]
    odalys, farah = enter(:odalys), enter(:farah)
    odalys.click_button('Play a clip for everyone')
    odalys.find('[role=dialog] button', text: title).click
    [odalys, farah].each { |session| expect(session).to have_css("[data-testid=clip][aria-label='#{title}']") }
    odalys.find('input[type=range]', visible: :all)
    expect_accessible(odalys)
    expect(farah).to have_no_button('Hold')
    perform('odalys', 'class.set_clip', place, material: clip[:id], at: 0, playing: true, loop: [0, (clip[:facts].to_h.transform_keys(&:to_s)['seconds'] * 1000).floor])
    nils = enter(:nils)
    [odalys, farah, nils].each { |session| until_true('it plays in step') { off(session) < 300 } }
    # Focus is on no button, which would take the key for itself.
    odalys.find('h1').click
    keys(odalys, 'p')
    [farah, nils].each { |session| until_true('it is held') { session.evaluate_script("document.querySelector('[data-testid=clip]').paused") } }
    perform('odalys', 'class.set_clip', place, material: clip[:id], at: 500, playing: false)
    until_true('it was moved') { (farah.evaluate_script("document.querySelector('[data-testid=clip]').currentTime") - 0.5).abs < 0.1 }
    # A moment of it becomes a board, on which all may draw; the clip waits behind.
    odalys.click_button('Draw on this moment')
    [odalys, farah].each { |session| expect(session).to have_css('[data-testid=paper] image, [data-testid=paper] img').and have_no_css('[data-testid=clip]') }
    odalys.click_button('Play')
    expect(farah).to have_css('[data-testid=clip]')
    # A board that comes on show lies in front.
    perform('odalys', 'class.show', place, board: made[:board], page: 'p1')
    expect(farah).to have_css('[data-testid=paper]').and have_no_css('[data-testid=clip]')
    odalys.click_button('End it')
    [odalys, farah, nils].each do |session|
      expect(session).to have_no_css('[data-testid=clip]', visible: :all)
      expect(errors(session)).to eq([])
    end
  end

  it 'is put on by a cue of the run sheet, in the demo lesson too' do
    cue = ARCHIVE.lessons.fetch('rules')[:steps].flat_map { |step| step[:cues] || [] }.find { |one| one[:kind] == 'clip' }
    sitting = fresh_class(lesson: 'rules')[:sitting]
    odalys = Wire.join(server, 'odalys', { sitting: sitting })
    odalys.do('class.cue', "staff/#{sitting}", cue: cue[:id])
    until_true('it plays') { ARCHIVE.log.state("place/#{sitting}.main").first.clip&.fetch(:material) == cue[:material] }
  end

  it 'is a file for those alone who are there while it plays, and of the shelf it is on' do
    odalys, farah = %w[odalys farah].map { |who| VisitorClient.new(server, as: who) }
    nobody = VisitorClient.new(server)
    path = "/api/classes/#{sitting}/places/main/clip"
    at = "#{path}/#{clip[:id]}/#{clip[:version]}"
    perform('farah', 'class.join', "sitting/#{sitting}")
    expect(farah.get(at).status).to eq(404)
    expect([farah, nobody].map { |visitor| visitor.post(path, { material: clip[:id] }).status }).to eq([403, 401])
    expect([{ material: 'none' }, {}, { material: { a: 1 } }].map { |wish| odalys.post(path, wish).status }).to eq([404, 422, 422])
    slides = ARCHIVE.materials.of_course('navigation').find { |row| row[:kind] == 'document' && row[:state] == 'ready' }
    expect(odalys.post(path, { material: slides[:id] }).body).to include('code' => 'no_clip') if slides
    expect(odalys.post(path, { material: clip[:id] }).status).to eq(201)
    expect(farah.get(at, Range: 'bytes=0-99').status).to eq(206)
    expect(nobody.get(at).status).to eq(401)
    expect(["#{path}/#{clip[:id]}/99", "#{path}/other/1", "/api/classes/#{sitting}/places/none/clip/#{clip[:id]}/1"].map { |one| farah.get(one).status }).to all(eq(404))
  end
end
