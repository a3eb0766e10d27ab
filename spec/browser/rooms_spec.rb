# frozen_string_literal: true

require_relative '../spec_helper'

# Five people in five browsers, one of them on a phone and one who comes late, work in rooms and come back.
RSpec.describe 'A class in rooms', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  check = File.read(File.join(__dir__, '../support/layout.js'))

  def enter(who, phone: false)
    session = browser(who, server)
    token = Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret).token('personal', person_id: who.to_s)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: true) if phone
    session.visit("#{server.address}/enter/#{token}")
    expect(session).to have_css('h1')
    session.visit("#{server.address}/classes/#{sitting}")
    expect(session).to have_css('[aria-label=Bench]', wait: 15)
    session
  end

  define_method(:fits) do |what, session, width|
    settle(session)
    expect(session.evaluate_script("(#{check})(#{width}, #{width < 900})").map { |words| "#{what}: #{words}" }).to eq([])
    expect_accessible(session)
  end

  def activity = ARCHIVE.log.state("staff/#{sitting}").first.activities.to_a.last
  def room_of(who) = activity[:rooms].find { |room| room[:people].include?(who) }
  def give(verb, stream, **input) = perform('odalys', verb, stream, **input)

  after { close_browsers }

  it 'is dealt, moved, called from, warned, brought back, and shows what it made' do
    odalys, farah, jonas = enter(:odalys), enter(:farah), enter(:jonas)
    nils = enter(:nils, phone: true)
    odalys.click_button('Begin with One')
    deal(odalys)
    names = activity[:rooms].map { |room| room[:name] }
    odalys.click_button('Open 2 rooms', match: :first)
    [farah, jonas, nils].zip(%w[farah jonas nils]).each do |session, who|
      expect(session).to have_css("[aria-label='Room #{room_of(who)[:name]}']", wait: 15)
      expect(session).to have_text('Say what you see.')
    end
    fits('inside, on a phone', nils, 390)
    fits('inside', farah, 1280)
    expect(odalys).to have_css('[aria-label="Walk round"]')
    hana = enter(:hana)
    expect(hana).to have_css("[aria-label='Room #{room_of('hana')[:name]}']")
    work(odalys, farah, nils)
    back(odalys, farah, names)
    [odalys, farah, jonas, nils, hana].each { |session| expect(errors(session)).to eq([]) }
  end

  def deal(odalys)
    odalys.click_button('Split into rooms')
    expect(odalys).to have_text('3 people are here to be split')
    fits('splitting', odalys, 1280)
    perform('odalys', 'board.put', "board/#{made[:board]}", sitting: sitting, marks: [text('task', 'What do you see?')])
    odalys.fill_in('What to do there', with: 'Say what you see.')
    odalys.click_button('Deal the rooms')
    expect(odalys).to have_css('[aria-label="Who is where"]')
    odalys.within('[aria-label="Who is where"]') { odalys.click_button('Add a room') }
    expect(odalys).to have_css("[aria-label='Room 2']")
    odalys.within('[aria-label="Who is where"]') { odalys.click_button('Jonas Whitlock') }
    odalys.find('li', text: 'Move to Room 2').click
    odalys.within("[aria-label='Room 2']") { expect(odalys).to have_button('Jonas Whitlock') }
    fits('before opening', odalys, 1280)
  end

  def work(odalys, farah, nils)
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?')
    keys(farah, '1')
    draw(farah, [-100, 0], [120, 40], [60, -30])
    expect(nils).to have_css('[data-kind=stroke]')
    nils.click_button('Call the instructor')
    room = room_of('nils')[:name]
    expect(odalys).to have_text("#{room} calls")
    odalys.within("section[aria-label='#{room}']") { expect(odalys).to have_text('calls, just now') }
    fits('walk round', odalys, 1280)
    odalys.click_button('Go there')
    expect(odalys).to have_css("[aria-label='Room #{room}']")
    expect(nils).to have_button('Call the instructor')
    expect(nils).to have_text('Odalys is here')
    keys(odalys, 'w')
    expect(odalys).to have_css('[aria-label="Walk round"]')
    odalys.fill_in('Say to every room, until they have read it', with: "Two minutes more\n")
    expect(nils).to have_text('Odalys: Two minutes more')
    nils.click_button('I have read it')
    expect(nils).to have_no_text('Odalys: Two minutes more')
    give('rooms.time', "staff/#{sitting}", activity: activity[:id], rooms: activity[:rooms].map { |one| one[:id] }, left: 50, grace: 1)
    expect(nils).to have_text('One minute left.')
  end

  def back(odalys, farah, names)
    odalys.click_button('Bring everyone back')
    expect(farah).to have_no_css("[aria-label^='Room ']", wait: 15)
    expect(farah).to have_css('button', text: "(#{room_of('farah')[:name]})")
    expect(odalys).to have_text('everyone is back')
    odalys.click_button("#{names.first}’s board: put it before the class")
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?')
    odalys.click_button('Split into rooms')
    odalys.click_button('Take these again')
    expect(odalys).to have_css('[aria-label="Who is where"]')
    expect(activity[:rooms].map { |one| one[:from].to_a.length }).to all(eq(1))
  end
end
