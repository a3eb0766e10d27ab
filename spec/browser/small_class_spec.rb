# frozen_string_literal: true

require_relative '../spec_helper'

# A whole class in which nobody has a wide screen: an instructor with an upright tablet, a student with a phone.
RSpec.describe 'A class on small screens', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:odalys) { browser(:odalys, server) }
  let(:farah) { browser(:farah, server) }

  before do
    @made = fresh_lesson('Small screens')
    { odalys => [820, 1180], farah => [390, 844] }.each do |session, (width, height)|
      session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: true)
    end
    enter(odalys, 'odalys')
    enter(farah, 'farah')
  end

  after { close_browsers }

  def enter(session, who)
    sign_in(session, who)
    session.visit("#{server.address}/lessons/#{@made[:lesson]}/class")
  end

  # The sheet that comes up from below.
  def panel(session, name)
    session.find('button[aria-expanded=false]', text: /\A#{name}/).click
    yield
    session.click_button('Put away')
  end

  def turn(session, width, height)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: true)
  end

  it 'keeps what is begun when the tablet is turned, and when its panel is put away' do
    expect(odalys).to have_text('Before you open')
    odalys.click_button('Open the doors')
    panel(odalys, 'Sheet') { odalys.click_button('Begin with One') }
    panel(farah, 'Exchange') { farah.fill_in('Write to everyone here', with: 'Is that Pell') }
    panel(farah, 'Exchange') { expect(farah).to have_field('Write to everyone here', with: 'Is that Pell') }
    turn(odalys, 1180, 820)
    odalys.click_button('Ask something')
    odalys.within('[role=dialog]') { odalys.fill_in('Question', with: 'Who gives way?') }
    turn(odalys, 820, 1180)
    expect(odalys).to have_button('Exchange')
    odalys.within('[role=dialog]') do
      expect(odalys).to have_field('Question', with: 'Who gives way?')
      { 'Option 1' => 'Red', 'Option 2' => 'Green' }.each { |name, words| odalys.fill_in(name, with: words) }
      odalys.click_button('Open it')
    end
    farah.find('form label', text: 'Green').click
    farah.click_button('Put away')
    [[1180, 820], [390, 844]].each do |size|
      turn(farah, *size)
      farah.click_button('Answer') if farah.has_no_field?('Green', visible: :all, wait: 1)
      expect(farah).to have_field('Green', checked: true, visible: :all)
    end
    [odalys, farah].each { |session| expect(errors(session)).to eq([]) }
  end

  it 'is conducted from a tablet and taken part in on a phone' do
    expect(farah).to have_text(/to go|Any moment now/)
    odalys.click_button('Open the doors')
    expect(odalys).to have_text('Begin with the first step')
    panel(odalys, 'Sheet') { odalys.click_button('Begin with One') }
    expect(farah).to have_css('[data-testid=paper]')
    expect(farah).to have_text('One')

    draw(farah, [-80, 0], [60, 30], [60, -20])
    expect(odalys).to have_css('[data-kind=stroke]', count: 1)
    farah.click_button('Undo')
    expect(odalys).to have_no_css('[data-kind=stroke]')
    choose(farah, 'Tools', 'Text')
    farah.find('[data-testid=paper]').click(x: -60, y: 40)
    farah.find('[aria-label=Text]').send_keys('From a phone')
    choose(farah, 'Text', 'Select')
    expect(odalys).to have_css('[data-kind=text]', text: 'From a phone')

    farah.click_button('Signal')
    farah.find('[role=menuitem]', text: 'Done')
    settle(farah)
    expect_accessible(farah)
    farah.find('[role=menuitem]', text: 'Done').click
    expect(odalys).to have_button('1 of 1 done')

    farah.click_button('Raise my hand')
    odalys.click_button('Farah was heard')
    expect(farah).to have_button('Raise my hand')

    panel(odalys, 'Exchange') do
      odalys.fill_in('Write to everyone here', with: 'Which light is that?')
      odalys.find('[aria-label="Write to everyone here"]').send_keys(:enter)
      expect(odalys).to have_text('Which light is that?')
    end
    panel(farah, 'Exchange, 1 new') do
      farah.fill_in('Write to everyone here', with: 'The port light')
      farah.click_button('Post')
      expect(farah).to have_text('The port light')
      expect_accessible(farah)
    end
    expect(odalys).to have_button('Exchange, 1 new')

    panel(odalys, 'Sheet') do
      odalys.find('[aria-label="All may draw"]', visible: :all).click
      expect(farah).to have_text('Students may not draw on this board just now.')
      odalys.click_button('Go on to Two')
      expect_accessible(odalys)
    end
    expect(farah).to have_text('Two')
    odalys.click_button('End class')
    settle(odalys)
    odalys.click_button('End the class')
    expect(farah).to have_text('The class has ended')
    expect(odalys).to have_text('The class has ended')
    expect(errors(farah) + errors(odalys)).to eq([])
  end
end
