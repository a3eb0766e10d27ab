# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'The calendar', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:odalys) { browser(:odalys, server) }
  let(:farah) { browser(:farah, server) }
  # A month that nothing else is planned in; 7 May 2032 is a Friday.
  let(:month) { '2032-05' }

  after { close_browsers }

  def go(session, who, day)
    sign_in(session, who)
    session.visit("#{server.address}/calendar?day=#{day}")
    expect(session).to have_css('h1', text: 'May 2032')
  end

  def day(session, number) = session.find('[data-day]', text: / #{number} May/)

  it 'plans lessons that recur, shows a clash before one is moved, and calls one off, also by keyboard' do
    ARCHIVE.lessons.create(course_id: 'weather', title: 'Fronts', starts_at: Time.utc(2032, 5, 20, 18), minutes: 90)
    go(odalys, 'odalys', "#{month}-07")
    plan
    %w[7 14 21].each { |number| expect(day(odalys, number)).to have_text('1 to teach') }
    expect_accessible(odalys)
    move_with_a_clash
    drag
    call_off_by_keyboard
    go(farah, 'farah', "#{month}-14")
    expect(farah).to have_text('Friday 14 May').and have_text('does not take place').and have_no_button('Move it')
    expect_accessible(farah)
    [odalys, farah].each { |session| expect(errors(session)).to eq([]) }
  end

  def plan
    odalys.click_button('Plan lessons')
    odalys.fill_in('Title', with: 'Buoys and beacons')
    odalys.find('[role=combobox]', text: 'Once').click
    odalys.find('li', text: 'Every week').click
    odalys.fill_in('Lessons', with: '4')
    expect(odalys).to have_text('Fridays at 18:00, four times from 7 May 2032')
    odalys.find('label', text: '28 May 2032').click
    expect(odalys).to have_text('not on 28 May')
    expect_accessible(odalys)
    odalys.click_button('Plan 3 lessons')
    expect(odalys).to have_css('article', text: 'Buoys and beacons')
  end

  # How one types into it depends on the country that the browser takes itself to be in.
  def set_when(label, value)
    odalys.execute_script(<<~JS, odalys.find_field(label).native, value)
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(arguments[0], arguments[1]);
      arguments[0].dispatchEvent(new Event('input', { bubbles: true }));
    JS
  end

  # Odalys learns in Weather for Sailors; the clocks of London are an hour ahead of UTC in May.
  def move_with_a_clash
    day(odalys, 21).click
    odalys.click_button('Move it')
    set_when('When it is taught', '2032-05-20T18:00')
    expect(odalys).to have_text('Odalys Brandt (instructor) and Nils Okafor are in “Fronts” then.')
    odalys.click_button('Fri 21 May has no clash')
    expect(odalys).to have_text('Nobody is in another class then.')
    odalys.within('section[aria-label^="Move"]') { odalys.click_button('Move it') }
    # The field is where one is, an hour behind the clocks of the course.
    expect(odalys).to have_no_css('section[aria-label^="Move"]').and have_css('article', text: '18:00 – 19:30')
  end

  def drag
    odalys.find('[draggable=true]', text: 'Buoys and beacons', match: :first).drag_to(day(odalys, 10), html5: true)
    expect(odalys).to have_css('section[aria-label^="Move"]', text: 'Mon 10 May')
    odalys.within('section[aria-label^="Move"]') { odalys.click_button('Leave it') }
  end

  def call_off_by_keyboard
    day(odalys, 10).click
    expect(odalys).to have_css('[aria-label="The day"] h2', text: 'Monday 10 May')
    day(odalys, 10).send_keys(:down)
    expect(odalys).to have_css('[aria-label="The day"] h2', text: 'Monday 17 May')
    [%i[arrow_up], Array.new(4, :arrow_right)].each { |keys| odalys.send_keys(*keys) }
    expect(odalys).to have_css('[aria-label="The day"] h2', text: 'Friday 14 May')
    odalys.find_button('Call it off').send_keys(:enter)
    expect(odalys).to have_text('does not take place').and have_button('It takes place after all')
    expect(day(odalys, 14)).to have_no_text('to teach')
  end

  it 'plans one lesson that begins with the run sheet and the boards of another' do
    sheet = fresh_lesson('Fog signals, the sheet')
    ARCHIVE.lessons.lay(sheet[:lesson], starts_at: Time.utc(2032, 5, 3, 18))
    go(odalys, 'odalys', "#{month}-04")
    odalys.click_button('Plan lessons')
    odalys.fill_in('Title', with: 'Fog signals once more')
    odalys.find('[role=combobox]', text: 'an empty run sheet').click
    odalys.find('li', text: 'Fog signals, the sheet').click
    odalys.click_button('Plan the lesson')
    expect(odalys).to have_css('article', text: 'Fog signals once more').and have_no_text('This series')
    odalys.find('article', text: 'Fog signals once more').click_link('Open the lesson')
    expect(odalys).to have_css('[data-testid=total]', text: '30 of 90 min')
    expect(odalys).to have_css('li', text: 'Two')
  end

  it 'changes a series from one of its lessons on, and keeps what was left out' do
    plan = { series: 'changed', title: 'Soundings', start: '2032-05-04T18:00', zone: 'Europe/London', minutes: 60, rule: 'FREQ=WEEKLY;COUNT=4',
             except: ['2032-05-18T18:00'] }
    perform('odalys', 'course.plan_series', 'course/navigation', **plan)
    Veranda::Preparing::LayingSeries.new(ARCHIVE, 'navigation', 'changed').call
    go(odalys, 'odalys', "#{month}-11")
    odalys.click_button('Change the rule')
    expect(odalys).to have_text('Tuesdays at 18:00, three times from 11 May 2032, not on 18 May')
    set_when('First one, by the clocks of London', '2032-05-11T19:30')
    expect(odalys).to have_text('Tuesdays at 19:30, three times from 11 May 2032, not on 18 May')
    expect_accessible(odalys)
    odalys.click_button('Change the series')
    expect(odalys).to have_css('article', text: '18:30 – 19:30').and have_text('Then Tuesdays at 19:30')
    days = ARCHIVE.lessons.of_series('navigation', 'changed').reject { |row| row[:cancelled] }.map { |row| Time.at(row[:starts_at] / 1000).utc.strftime('%d %H:%M') }
    expect(days).to eq(['04 17:00', '11 18:30', '25 18:30'])
  end

  it 'lists lessons over months, each of which opens its day' do
    ARCHIVE.lessons.create(course_id: 'navigation', title: 'In the list', starts_at: Time.utc(2032, 7, 2, 18), minutes: 60)
    go(farah, 'farah', "#{month}-25")
    farah.click_button('List')
    farah.find('section[aria-label="July 2032"]').click_button('In the list')
    expect(farah).to have_css('[aria-label="The day"] h2', text: 'Friday 2 July')
    expect(farah).to have_css('[aria-label="The day"] article', text: 'In the list')
    expect_accessible(farah)
    farah.click_button('Month')
    expect(farah).to have_css('[data-day]', text: /2 July/)
  end

  it 'gives an address to other calendars, shown once and taken back' do
    go(farah, 'farah', "#{month}-07")
    farah.click_button('Your lessons in other calendars: Agenda file')
    farah.find('li', text: 'An address that calendars read themselves').click
    expect(farah).to have_css('h2', text: 'An address for other calendars').and have_no_css('ul[aria-label="Addresses that are good"] li')
    farah.click_button('Make an address')
    address = farah.find('[role=status]', text: '/api/agenda/').text[/\S+\.ics/]
    expect(VisitorClient.new(server).get(address.delete_prefix(server.address)).body).to start_with('BEGIN:VCALENDAR')
    expect_accessible(farah)
    farah.click_button('Take it back')
    expect(farah).to have_no_text('/api/agenda/').and have_button('Make an address')
    expect(VisitorClient.new(server).get(address.delete_prefix(server.address)).code).to eq('link_revoked')
  end

  it 'tells whoever looks from elsewhere what the clocks of the course show, and plans by them' do
    go(odalys, 'odalys', "#{month}-07")
    odalys.driver.browser.execute_cdp('Emulation.setTimezoneOverride', timezoneId: 'America/New_York')
    id = ARCHIVE.lessons.create(course_id: 'navigation', title: 'Far away', starts_at: Time.utc(2032, 5, 12, 0, 30), minutes: 60)
    odalys.visit("#{server.address}/calendar?day=#{month}-11")
    expect(odalys).to have_css('article', text: '20:30 – 21:30').and have_css('article', text: '01:30 in London')
    expect(odalys).to have_text('times as in New York, not as in London')
    odalys.visit("#{server.address}/lessons/#{id}")
    expect(odalys).to have_text('01:30 in London')
  ensure
    # Other examples use the same browser.
    odalys.driver.browser.execute_cdp('Emulation.setTimezoneOverride', timezoneId: '')
  end
end
