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
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: true) if phone
    sign_in(session, who)
    session.visit("#{server.address}/classes/#{sitting}")
    expect(session).to have_css('[aria-label=Bench]')
    session
  end

  define_method(:fits) do |what, session, width|
    settle(session)
    expect(session.evaluate_script("(#{check})(#{width}, #{width < 900})").map { |words| "#{what}: #{words}" }).to eq([])
    expect_accessible(session)
  end

  def activity = ARCHIVE.log.state("staff/#{sitting}").first.activities.to_a.last
  def first_rooms = ARCHIVE.log.state("staff/#{sitting}").first.activities.to_a.first[:rooms]
  def room_of(who) = activity[:rooms].find { |room| room[:people].include?(who) }
  def give(verb, stream, **input) = perform('odalys', verb, stream, **input)

  after { close_browsers }

  it 'is dealt, moved, called from, warned, brought back, and shows what it made' do
    odalys, farah, jonas = enter(:odalys), enter(:farah), enter(:jonas)
    nils = enter(:nils, phone: true)
    odalys.click_button('Begin with One')
    give('class.record', "sitting/#{sitting}", on: true)
    deal(odalys)
    names = activity[:rooms].map { |room| room[:name] }
    odalys.click_button('Open 2 rooms', match: :first)
    [farah, jonas, nils].zip(%w[farah jonas nils]).each do |session, who|
      expect(session).to have_css("[aria-label='Room #{room_of(who)[:name]}']")
      expect(session).to have_text('Say what you see.')
    end
    fits('inside, on a phone', nils, 390)
    fits('inside', farah, 1280)
    expect(odalys).to have_css('[aria-label="Walk round"]')
    hana = enter(:hana)
    expect(hana).to have_css("[aria-label='Room #{room_of('hana')[:name]}']")
    work(odalys, farah, nils)
    back(odalys, farah)
    before_the_class(odalys, farah, jonas)
    again(odalys, farah)
    recorded(odalys, farah, jonas, names)
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
    keys(odalys, 'o')
    expect(odalys).to have_css('[aria-label="Walk round"]')
    odalys.fill_in('Say to every room, until they have read it', with: "Two minutes more\n")
    expect(nils).to have_text('Odalys: Two minutes more')
    nils.click_button('I have read it')
    expect(nils).to have_no_text('Odalys: Two minutes more')
    give('rooms.time', "staff/#{sitting}", activity: activity[:id], rooms: activity[:rooms].map { |one| one[:id] }, left: 50, grace: 1)
    expect(nils).to have_text('One minute left.')
  end

  def back(odalys, farah)
    odalys.click_button('Bring everyone back')
    expect(farah).to have_no_css("[aria-label^='Room ']")
    expect(farah).to have_css('button', text: "(#{room_of('farah')[:name]})")
    expect(odalys).to have_text('everyone is back')
  end

  # Both rooms' pages side by side, and those who made them draw there whatever the rules are; then one room's board alone.
  def before_the_class(odalys, farah, jonas)
    give('class.rule', "place/#{sitting}.main", right: 'draw', allow: false)
    expect(odalys).to have_css('[aria-label="What the rooms made"]')
    expect(odalys).to have_css('[aria-label="What the rooms made"] [data-kind=stroke], [aria-label="What the rooms made"] svg path', minimum: 1)
    odalys.click_button('Choose all')
    fits('what the rooms made', odalys, 1280)
    odalys.click_button('Put 2 side by side')
    activity[:rooms].each { |room| expect(farah).to have_css('[data-kind=text]', text: room[:name]) }
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?', count: 2)
    expect(farah).to have_text(/You.* have the floor/)
    expect(jonas).to have_text(/You.* have the floor/)
    expect(farah).to have_css('[data-kind=stroke]', count: 1)
    draw(farah, [0, 60], [80, 10], [40, 30])
    expect(jonas).to have_css('[data-kind=stroke]', count: 2)
    fits('side by side', farah, 1280)
    keys(odalys, 'o')
    odalys.find("[aria-label='Choose #{room_of('jonas')[:name]}']", visible: :all).click
    odalys.click_button('Put it before the class')
    expect(farah).to have_text(/Jonas.* the floor/)
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?', count: 1)
  end

  def again(odalys, farah)
    keys(odalys, 'o')
    odalys.click_button('Split anew')
    odalys.click_button('Take these again')
    expect(odalys).to have_css('[aria-label="Who is where"]')
    expect(activity[:rooms].map { |one| one[:from].to_a.length }).to all(eq(1))
    odalys.click_button('Open 2 rooms', match: :first)
    expect(farah).to have_css("[aria-label='Room #{room_of('farah')[:name]}']")
    expect(farah).to have_css('[data-kind=stroke]')
    odalys.click_button('For all rooms: More')
    odalys.find('li', text: 'Move people').click
    expect(odalys).to have_css('[aria-label="Move people"]')
    fits('moving people', odalys, 1280)
    odalys.within('[aria-label="Move people"]') { odalys.click_button('Hana Morozov', exact: false) }
    other = activity[:rooms].find { |room| !room[:people].include?('hana') }[:name]
    odalys.find('li', text: "Move to #{other}").click
    odalys.within("[aria-label='Move people'] section[aria-label='#{other}']") { expect(odalys).to have_button('Hana Morozov', exact: false) }
  end

  # At a moment at which the rooms were open for the first time, and work in them had begun.
  def watch(session, names)
    session.visit("#{server.address}/recordings/#{sitting}")
    facts = VisitorClient.new(server, as: 'odalys').get("/api/recordings/#{sitting}").body
    first = facts['rooms'].find { |room| room['name'] == names.first }
    slider = session.find('[role=slider]')
    share = (first['to'] - 500) / facts['length'].to_f
    slider.click(x: (slider.native.rect.width * (share - 0.5)).round, y: 0)
    expect(session).to have_button('Which room you watch: In: Main room')
  end

  # Staff watch any room, others those in which they sat.
  def recorded(odalys, farah, jonas, names)
    give('class.end', "sitting/#{sitting}")
    watch(odalys, names)
    rooms_of = lambda do |session|
      session.click_button('Which room you watch: In: Main room')
      found = session.all('[role=menuitem]').map(&:text)
      keys(session, :escape)
      found
    end
    expect(rooms_of.call(odalys)).to eq(['Main room', 'Room 1', 'Room 2'])
    # Where she drew there is a stroke, in the other none.
    hers = first_rooms.find { |room| room[:sat].include?('farah') }[:name]
    [hers, (['Room 1', 'Room 2'] - [hers]).first].each_cons(2) do |one, other|
      choose(odalys, 'In: Main room', one)
      expect(odalys).to have_css('[data-kind=stroke]')
      choose(odalys, "In: #{one}", other)
      expect(odalys).to have_css('[data-kind=text]', text: 'What do you see?')
      expect(odalys).to have_no_css('[data-kind=stroke]')
    end
    ARCHIVE.recordings.update(sitting, shared: true)
    watch(farah, names)
    expect(rooms_of.call(farah)).to eq(['Main room', room_of('farah')[:name]])
    choose(farah, 'In: Main room', room_of('farah')[:name])
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?')
    expect(jonas).to have_text('The class has ended')
  end
end
