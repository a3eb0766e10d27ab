# frozen_string_literal: true

require_relative '../spec_helper'

# A class with a dozen stand-ins, conducted from the doors to the end without a mouse.
RSpec.describe 'A class conducted by keyboard', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:odalys) { browser(:odalys, server) }

  before do
    made = fresh_lesson('By keyboard')
    sign_in(odalys, :odalys)
    sitting = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 12 }).body['sitting']
    odalys.visit("#{server.address}/classes/#{sitting}")
  end

  after { close_browsers }

  def press(*all) = keys(odalys, *all)
  # What the focused element is called, without what is hidden from those who listen.
  def focused = odalys.evaluate_script(<<~JS)
    ((one) => {
      const heard = one.cloneNode(true);
      heard.querySelectorAll('[aria-hidden]').forEach((each) => each.remove());
      return (one.getAttribute('aria-label') || one.labels?.[0]?.textContent || heard.textContent).trim();
    })(document.activeElement)
  JS

  # Goes by Tab to what is called so, as far as it takes.
  def reach(name)
    150.times do
      called = focused
      return if name.is_a?(Regexp) ? name.match?(called) : name == called

      press(:tab)
    end
    raise "#{name} cannot be reached by Tab; the last was #{focused}"
  end

  def reach_and_press(name) = [reach(name), press(:enter)]

  # Leaves whatever one writes in, so that keys are shortcuts again.
  def to_the_screen = odalys.execute_script('document.activeElement.blur()')

  it 'from the doors to the end' do
    expect(odalys).to have_text('12 people waiting')
    expect_accessible(odalys)
    reach_and_press('Open the doors')
    expect(odalys).to have_css('[data-testid^=seat-]', count: 13)
    press(']')
    expect(odalys).to have_css('[data-testid=paper]')
    expect_accessible(odalys)

    press('?')
    expect(odalys).to have_text('Keys on this page')
    expect(odalys).to have_text('Keep everyone together, or let them roam')
    expect_accessible(odalys)
    press(:escape)
    expect(odalys).to have_no_text('Keys on this page')

    conduct
    hand_out
    write
    end_the_class
    expect(errors(odalys)).to eq([])
  end

  def conduct
    press('k')
    expect(odalys).to have_text('Everyone sees what you see.')
    expect_accessible(odalys)
    press('k')
    expect(odalys).to have_no_text('Everyone sees what you see.')
    press('q')
    expect(odalys).to have_css('[role=dialog]')
    expect_accessible(odalys)
    press(:escape)
    expect(odalys).to have_no_css('[role=dialog]')
    press('g')
    odalys.has_css?('[aria-label="Find a person"]')
    press('brio', :enter)
    expect(odalys).to have_css('[role=dialog][aria-label^=Briony]')
    expect_accessible(odalys)
    reach_and_press(/\ALend Briony/)
    expect(odalys).to have_text('Briony has the floor.')
    reach_and_press('Take the floor back')
    expect(odalys).to have_no_text('Briony has the floor.')
  end

  def hand_out
    to_the_screen
    reach_and_press('Hand out')
    expect(odalys).to have_text('12 copies')
    to_the_screen
    press('u')
    expect(odalys).to have_text('of 12 have begun')
    expect_accessible(odalys)
    reach(/\AAlder/)
    press(:enter)
    expect(odalys).to have_css('[aria-label="This copy"]')
    expect_accessible(odalys)
    to_the_screen
    press('r')
    expect(odalys).to have_no_css('[aria-label="This copy"]')
    press('u')
    expect(odalys).to have_no_text('of 12 have begun')
    reach_and_press('Draw pairs')
    expect(odalys).to have_text('of 6 pairs done')
    expect_accessible(odalys)
    reach_and_press('End the pairs')
    expect(odalys).to have_no_text('of 6 pairs done')
  end

  def write
    to_the_screen
    press('e')
    press('Draw it first, then say it.', :enter)
    expect(odalys).to have_css('[data-testid=post]', text: 'Draw it first, then say it.')
    to_the_screen
    press('w')
    expect(odalys).to have_css('[role=dialog][aria-label="Whom this is for"]')
    expect_accessible(odalys)
    reach('All staff')
    press(:space)
    reach_and_press('Write')
    expect(odalys).to have_css('textarea[aria-label="Write to staff"]')
    odalys.find('textarea[aria-label="Write to staff"]')
    until_true('the cursor stands in it') { focused == 'Write to staff' }
    press('Slower with the third group.', :enter)
    expect(odalys).to have_css('[data-private]', text: 'Slower with the third group.')
    to_the_screen
    expect_accessible(odalys)
  end

  def end_the_class
    reach_and_press('End class')
    expect(odalys).to have_css('[role=dialog]')
    expect_accessible(odalys)
    reach_and_press('End the class')
    expect(odalys).to have_css('h2', text: 'The class has ended')
    expect_accessible(odalys)
  end
end
