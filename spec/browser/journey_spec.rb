# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'One class, end to end', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:sign_ins) { Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret) }
  let(:odalys) { browser(:odalys, server) }
  let(:farah) { browser(:farah, server) }
  let(:guest) { browser(:guest, server) }

  after { close_browsers }

  it 'is prepared, taught together, and watched again' do
    made = fresh_lesson('Harbour lights')
    link = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links").body['token']

    # Signing in with a password leads to the desk.
    odalys.visit(server.address)
    expect_accessible(odalys)
    odalys.fill_in('Address', with: 'odalys@tidewater.example')
    odalys.fill_in('Password', with: 'nonsense')
    odalys.click_button('Sign in')
    expect(odalys).to have_text('There is no account with this address and password.')
    odalys.fill_in('Password', with: sign_ins.password)
    odalys.click_button('Sign in')
    expect(odalys).to have_css('h3', text: 'Harbour lights')
    expect_accessible(odalys)

    prepare(made)
    expect_accessible(odalys)

    # The student comes by the class link, gives a name, and waits.
    farah.visit("#{server.address}/enter/#{link}")
    expect(farah).to have_css('h1', text: 'Harbour lights')
    expect_accessible(farah)
    farah.fill_in('Your name', with: '   ')
    farah.click_button('Go to the class')
    expect(farah).to have_text('Please write the name others should see.')
    farah.fill_in('Your name', with: 'Oona Teague')
    farah.click_button('Go to the class')
    expect(farah).to have_text('The doors open soon.')
    expect_accessible(farah)

    odalys.click_link('Go to the doors')
    expect(odalys).to have_text('Oona Teague')
    expect_accessible(odalys)
    odalys.click_button('Open the doors')
    odalys.click_button('Begin with One')
    expect(odalys).to have_text('Recording')

    teach
    expect_accessible(odalys)
    expect_accessible(farah)

    odalys.click_button('End class')
    odalys.click_button('End the class')
    expect(odalys).to have_css('h2', text: 'The class has ended')
    expect(farah).to have_css('h2', text: 'The class has ended')
    expect_accessible(odalys)

    watch_again
    [odalys, farah, guest].each { |session| expect(errors(session)).to eq([]) }
  end

  # Adds and renames a step, and writes on the first step's board.
  def prepare(made)
    odalys.find('article', text: 'Harbour lights').click_link('Open the lesson')
    expect(odalys).to have_css('[data-testid=total]', text: '30 of 30 min')
    odalys.click_button('Add a step')
    odalys.fill_in('Title', with: "Farewell\n")
    odalys.fill_in('Minutes', with: "12\n")
    expect(odalys).to have_css('li', text: 'Farewell')
    expect(odalys).to have_css('[data-testid=total]', text: '42 of 30 min')
    expect(odalys).to have_text('42 min planned, 30 there.')

    # By keyboard: the last step goes up one place.
    odalys.find('button[aria-label="Move Farewell"]').send_keys(:space)
    expect(odalys).to have_css('[aria-live]', text: 'Farewell: place 3 of 3.', visible: :all)
    keys(odalys, :arrow_up)
    expect(odalys).to have_css('[aria-live]', text: 'Farewell: place 2 of 3.', visible: :all)
    keys(odalys, ' ')
    expect(odalys).to have_css('li:nth-child(2)', text: 'Farewell')

    odalys.find('li', text: 'One').find('button', match: :first).click
    keys(odalys, 't')
    odalys.driver.browser.action.move_to(odalys.find('[data-testid=paper]').native, -200, -120).click.perform
    odalys.find('textarea[aria-label=Text]').send_keys('What do you see?', :escape)
    expect(odalys).to have_css('[data-kind=text]', text: 'What do you see?')
    steps = ARCHIVE.lessons.fetch(made[:lesson])[:steps]
    expect(steps.map { |step| step[:title] }).to eq(%w[One Farewell Two])
  end

  # Both draw and write at once.
  def teach
    expect(farah).to have_css('[data-kind=text]', text: 'What do you see?')
    keys(odalys, '2')
    draw(odalys, [-120, 0], [40, 20], [40, -20], [40, 20])
    keys(farah, '5')
    draw(farah, [60, 60], [30, 30], [30, -30])
    [odalys, farah].each { |session| expect(session).to have_css('[data-kind=stroke]', count: 2) }

    farah.fill_in('Write to everyone here', with: "Red over green\n")
    expect(odalys).to have_css('[data-testid=post]', text: 'Red over green')
    odalys.fill_in('Write to everyone here', with: "Sailing machine\n")
    expect(farah).to have_css('[data-testid=post]', text: 'Sailing machine')

    # Who drew that, by focus.
    keys(odalys, :escape) # out of the box where one writes
    keys(odalys, 'v')
    odalys.all('[data-kind=stroke]').last.native.send_keys('')
    odalys.execute_script("document.querySelectorAll('[data-kind=stroke]')[1].focus()")
    expect(odalys.find('[data-testid=who-drew]')).to have_text('Oona Teague')

    # Undo takes back one's own stroke only, redo puts it there again.
    farah.click_button('Undo')
    expect(odalys).to have_css('[data-kind=stroke]', count: 1)
    farah.click_button('Redo')
    expect(odalys).to have_css('[data-kind=stroke]', count: 2)

    select_and_change
    lend_and_take_the_pen
    lend_the_floor

    farah.click_button('Raise my hand')
    expect(odalys).to have_button('Oona was heard')
    odalys.click_button('Oona was heard')
    expect(farah).to have_button('Raise my hand')
  end

  # Picks a mark by keyboard, moves and recolours it, and the other browser follows.
  def select_and_change
    odalys.execute_script("document.querySelectorAll('[data-kind=stroke]')[0].focus()")
    keys(odalys, :enter)
    before = farah.all('[data-kind=stroke]').first['transform']
    keys(odalys, :arrow_right)
    expect(farah).to have_no_css("[data-kind=stroke][transform='#{before}']")
    odalys.click_button('Ink plum')
    expect(farah).to have_css("[data-kind=stroke] path[stroke='#7A3B69']", count: 2)
  end

  def lend_and_take_the_pen
    odalys.find('[aria-label="All may draw"]', visible: :all).click
    expect(farah).to have_text('Students may not draw on this board just now.')
    expect(farah).to have_no_button('Text')
    odalys.find('button[title="Oona Teague"]').click
    may_draw = odalys.find('[aria-label="Draw: Oona Teague"]', visible: :all)
    expect(odalys).to have_text('no: rule for all')
    settle(odalys)
    expect_accessible(odalys)
    may_draw.click
    expect(odalys).to have_text('yes: an exception')
    expect(farah).to have_button('Text')
    odalys.send_keys(:escape)
    expect(odalys).to have_no_css('[role=dialog]')
  end

  # By keyboard alone: the floor to the next hand and back; a signal that is counted and cleared at the next step.
  def lend_the_floor
    odalys.find('[aria-label="All may draw"]', visible: :all).click
    odalys.find('[aria-label="All may draw"]', visible: :all).click
    expect(farah).to have_no_button('Text')
    keys(farah, 'h')
    expect(odalys).to have_button('Floor to Oona')
    keys(odalys, 'f')
    expect(farah).to have_text('You have the floor.')
    expect(farah).to have_button('Text')
    expect_accessible(farah)
    keys(farah, 'd')
    expect(odalys).to have_button('1 of 1 done')
    keys(odalys, 'q')
    expect(odalys.find('[role=dialog]')).to have_text('Oona Teague')
    settle(odalys)
    expect_accessible(odalys)
    odalys.click_button('Put away')
    farah.click_button('Give it back')
    expect(odalys).to have_no_text('has the floor')
    expect(farah).to have_no_button('Text')
  end

  # The recording shows the class stroke by stroke, and a link to it works signed out until taken back.
  def watch_again
    odalys.click_link('Watch the recording')
    expect(odalys).to have_css('[data-kind=text]', text: 'What do you see?')
    expect(odalys).to have_no_css('[data-kind=stroke]')
    expect_accessible(odalys)
    odalys.click_button('Play')
    expect(odalys).to have_css('[data-kind=stroke]', count: 1)
    expect(odalys).to have_css('[data-kind=stroke]', count: 2)
    odalys.find('[role=slider]').send_keys(:end)
    expect(odalys).to have_text('Sailing machine')
    odalys.find('[role=slider]').send_keys(:home)
    expect(odalys).to have_no_css('[data-kind=stroke]')

    odalys.click_button('Share')
    odalys.click_button('Make a link')
    address = odalys.find('[data-testid=share-link]').text[/http\S+/]
    guest.visit(address)
    expect(guest).to have_css('h1', text: 'Harbour lights')
    expect(guest).to have_css('[data-kind=text]', text: 'What do you see?')
    expect_accessible(guest)
    odalys.click_button('Take it back')
    expect(odalys).to have_no_button('Take it back')
    guest.refresh
    expect(guest).to have_text('There is no such recording.')
    odalys.click_button('Close')
    odalys.visit("#{server.address}/recordings")
    expect(odalys).to have_css('h2', text: 'Harbour lights')
    expect_accessible(odalys)
  end
end
