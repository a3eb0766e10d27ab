# frozen_string_literal: true

require_relative '../spec_helper'

# A class with a dozen stand-ins, conducted from the doors to the end on a phone: by touch, with nothing out of reach or too small for a
# finger on the way.
RSpec.describe 'A class conducted on a phone', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:odalys) { browser(:odalys, server) }
  check = File.read(File.join(__dir__, '../support/layout.js'))

  before do
    made = fresh_lesson('By phone')
    perform('odalys', 'board.put', "board/#{made[:board]}", marks: [text('task', 'What do you see?')])
    odalys.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: true)
    sign_in(odalys, :odalys)
    sitting = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 12 }).body['sitting']
    odalys.visit("#{server.address}/classes/#{sitting}")
  end

  after { close_browsers }

  # What comes from below lies over the paper's own tools.
  define_method(:fits) do |what, over: false|
    settle(odalys)
    wrong = odalys.evaluate_script("(#{check})(390, true)").reject { |words| over && words.include?('lies beneath') }
    expect(wrong.map { |words| "#{what}: #{words}" }).to eq([])
    expect_accessible(odalys)
  end

  def press(name) = odalys.click_button(name)

  def from_below(name)
    press(name)
    yield
    # Some of what is pressed puts the sheet away by itself, which takes a moment.
    settle(odalys)
    press('Put away') if odalys.has_button?('Put away', wait: 0.5)
  end

  it 'from the doors to the end' do
    expect(odalys).to have_text('12 people waiting')
    fits('the doors')
    press('Open the doors')
    expect(odalys).to have_css('[data-testid^=seat-]', count: 13)
    from_below('Sheet') { press('Begin with One') }
    expect(odalys).to have_css('[data-testid=paper]')
    expect(odalys).to have_css('[data-kind=text]', text: 'What do you see?')
    fits('the class')
    hand_out
    pair
    people
    write
    end_the_class
    expect(errors(odalys)).to eq([])
  end

  def hand_out
    from_below('Sheet') do
      fits('the sheet', over: true)
      press('Hand out')
      odalys.find('button', text: /\A12 copies/).click
    end
    expect(odalys).to have_text('of 12 have begun')
    expect(odalys).to have_css('[aria-label^="Everybody"] li svg', count: 12)
    fits('the wall')
    odalys.find('[aria-label^="Everybody"] li button', match: :first).click
    expect(odalys).to have_css('[aria-label="This copy"]')
    fits('a copy')
    odalys.find('[aria-label="This copy"]').click_button('Back')
    press('Back to the board')
  end

  def pair
    from_below('Sheet') do
      press('Draw pairs')
      expect(odalys).to have_text('of 6 pairs done')
      fits('the pairs', over: true)
      press('End the pairs')
      expect(odalys).to have_button('Draw pairs')
    end
  end

  def people
    odalys.find('[data-testid^=seat-stand-in]', match: :first).click
    expect(odalys).to have_css('[role=dialog]')
    fits('a seat', over: true)
    odalys.find('button', text: /\ALend /, match: :first).click
    expect(odalys).to have_text('has the floor.')
    fits('the floor')
    press('Take the floor back')
    expect(odalys).to have_no_text('has the floor.')
  end

  def write
    odalys.find('button', text: /\AExchange/).click
    odalys.find('textarea').set("Two minutes more.\n")
    expect(odalys).to have_css('[data-testid=post]', text: 'Two minutes more.')
    fits('the exchange', over: true)
    press('Put away')
  end

  def end_the_class
    press('End class')
    expect(odalys).to have_css('[role=dialog]')
    fits('the question', over: true)
    press('End the class')
    expect(odalys).to have_css('h2', text: 'The class has ended')
    fits('the end')
  end
end
