# frozen_string_literal: true

require_relative '../spec_helper'

# A class after the class, in real browsers: found, mended, shared, watched, taken back.
RSpec.describe 'A recording', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:began) { @began ||= Lessons::NOW.call }
  let(:made) { held }
  let(:page) { "#{server.address}/recordings/#{made[:sitting]}" }

  after { close_browsers }

  # A class of twenty minutes, which has to begin now: nothing comes before what was stored last.
  def held
    lesson = fresh_lesson
    sitting = Veranda::Preparing::Classes.new(ARCHIVE).ready(ARCHIVE.lessons.fetch(lesson[:lesson]))
    { **lesson, sitting: sitting }.tap do |made|
      act = ->(who, name, stream, at, **input) { act(made, who, name, stream, began + at, input) }
      main, words, whole = "place/#{sitting}.main", "exchange/#{sitting}.main", "sitting/#{sitting}"
      act.call('odalys', 'class.open', whole, 0)
      %w[odalys farah jonas].each { |who| act.call(who, 'class.join', whole, 0) }
      act.call('odalys', 'class.record', whole, 1_000, on: true)
      act.call('odalys', 'class.move', whole, 1_000, step: 'one')
      act.call('odalys', 'class.show', main, 2_000, board: made[:board], page: 'p1')
      act.call('farah', 'exchange.post', words, 60_000, id: 'p1', text: 'Jonas, can you hear me?')
      act.call('odalys', 'class.caption', main, 400_000, id: 'c1', words: 'Keep to starboard in a narow channel', lang: 'en', took: 2_000)
      act.call('odalys', 'board.put', "board/#{made[:board]}", 420_000, marks: [note('n1', 'A vessel proceeding along the course of a fairway')])
      act.call('jonas', 'exchange.post', words, 500_000, id: 'p2', text: 'Is that rule nine?')
      act.call('odalys', 'class.end', whole, 1_200_000)
    end
  end

  def act(made, who, name, stream, at, input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: at, sitting: made[:sitting])
  end

  def enter(who, address = page)
    browser(who, server).tap do |session|
      sign_in(session, who)
      session.visit(address)
    end
  end

  def time(session) = session.find('[data-testid=time] strong').text

  it 'is found by a sentence on a board, in three actions, and stands at that moment' do
    made
    odalys = enter(:odalys, "#{server.address}/recordings")
    odalys.find('[aria-label="Find in all recordings"]').set('course of the fairway')
    odalys.first('[aria-label="Where it was found"] a', text: 'A vessel proceeding').click
    expect(odalys).to have_css('[data-testid=paper] [data-mark=n1], [data-mark=n1]')
    expect(time(odalys)).to eq('6:59')
    odalys.find('[aria-label="Find a word in this class"]').set('starboard')
    odalys.first('[aria-label="Where it was found"] button', text: 'starboard').click
    expect(odalys.find('[data-testid=time] strong', text: '6:37')).not_to be_nil
    expect_accessible(odalys)
    expect(errors(odalys)).to eq([])
  end

  # In the class that the demo school held, where what a poll came to was still on show.
  it 'shows the page that a sentence stands on, whatever was on show, and comes back with one key' do
    farah = enter(:farah, "#{server.address}/recordings")
    farah.find('[aria-label="Find in all recordings"]').set('smooth curve')
    farah.first('[aria-label="Where it was found"] a', text: 'Twelfths assume').click
    expect(farah).to have_css('[data-mark] text', text: 'smooth curve')
    farah.find('body').send_keys('b')
    expect(farah).to have_text('the same 13 people in both rounds')
    farah.click_button('Look at the board')
    farah.find('[aria-label="Board that you look at"]', visible: :all).find(:xpath, '..').find('[role=combobox]').click
    farah.find('[role=option]', text: 'Your port').click
    expect(farah).to have_css('[aria-label^="Your port"]')
    farah.click_button('Back to what was on show')
    expect(farah).to have_button('Look at the board')
    expect_accessible(farah)
    expect(errors(farah)).to eq([])
  end

  it 'is cut, hides names, has a caption put right, and is watched signed out on a phone until it is taken back' do
    odalys = enter(:odalys)
    odalys.click_button('Edit')
    five = Time.at((began + 301_000) / 1000).strftime('%H:%M:%S')
    odalys.fill_in('To', with: five)
    odalys.click_button('Cut it out')
    expect(odalys).to have_css('[aria-label="What was changed"] li', count: 1)
    expect(odalys).to have_css('[data-testid=time]', text: 'of 14:59')
    odalys.find('[aria-label="Numbers in place of names"]', visible: :all).click
    expect(odalys).to have_css('[aria-label="Numbers in place of names"]:checked', visible: :all)
    expect_accessible(odalys)
    odalys.click_button('Done')
    odalys.click_button('What was said')
    odalys.find('button', text: 'narow channel', match: :first).hover
    odalys.click_button('Put right', match: :first)
    odalys.find('[aria-label="Words of the line"]').set('Keep to starboard in a narrow channel')
    odalys.click_button('Keep')
    expect(odalys).to have_button(text: 'narrow channel')
    odalys.click_button('Share')
    odalys.fill_in('Password, if you want one', with: 'low water')
    odalys.fill_in('Only to', with: Time.at((began + 600_000) / 1000).strftime('%H:%M:%S'))
    odalys.click_button('Make a link')
    address = odalys.find('[data-testid=share-link]').text[/http\S+/]
    expect_accessible(odalys)

    guest = browser(:guest, server)
    guest.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: false)
    guest.visit(address)
    guest.fill_in('Password', with: 'high water')
    guest.click_button('Watch')
    expect(guest).to have_text('That is not the password')
    guest.fill_in('Password', with: 'low water')
    guest.click_button('Watch')
    expect(guest).to have_css('[data-testid=time]', text: 'of 4:59')
    guest.find('[role=slider]').send_keys(:end)
    expect(guest).to have_css('[role=log]', text: 'Is that rule nine?')
    expect(guest).to have_text('Student 2')
    expect(guest).to have_no_text('Jonas')
    expect(guest).to have_no_button('Edit')
    guest.click_button('What was said')
    expect(guest).to have_button(text: 'narrow channel')
    expect_accessible(guest)

    odalys.click_button('Take it back')
    expect(odalys).to have_no_button('Take it back')
    guest.find('[role=slider]').send_keys(:home)
    expect(guest).to have_css('[role=alert]', text: 'the link has been taken back or has expired')
    # What is on the screen stays.
    expect(guest).to have_button(text: 'narrow channel')
    expect(errors(odalys)).to eq([])
  end
end
