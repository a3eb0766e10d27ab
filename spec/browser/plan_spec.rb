# frozen_string_literal: true

require_relative '../spec_helper'

# Two who prepare one lesson at the same time, each at their own page.
RSpec.describe 'A plan that two people work on', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:made) { fresh_lesson }

  after { close_browsers }

  def field(page, label) = page.find_field(label, match: :first)

  # Leaves the field, as one does.
  def write(page, label, text)
    page.fill_in(label, with: text)
    keys(page, :tab)
  end

  def saved(page) = expect(page).to have_css('[role=status]', text: /\Asaved\z/)

  it 'shows each what the other does, keeps both, tells what both changed, and takes back only one’s own' do
    odalys, tomas = %i[odalys tomas].map { |who| enter(who, "/lessons/#{made[:lesson]}") }
    [odalys, tomas].each { |page| expect(page).to have_css('section[aria-label="Run sheet"] li', count: 2) }

    # What the other does is there without a look at the page anew, also while one types in another field of the same step.
    odalys.fill_in('Private notes', with: 'Mind the')
    write(tomas, 'Title', 'Warm-up')
    expect(odalys).to have_css('section[aria-label="Run sheet"] li', text: 'Warm-up')
    expect(field(odalys, 'Private notes').value).to eq('Mind the')
    write(odalys, 'Private notes', 'Mind the tide')
    saved(odalys)
    expect(tomas).to have_field('Private notes', with: 'Mind the tide')

    # Both change the same: who comes second is told, and has their own words to copy.
    odalys.fill_in('Title', with: 'Mine')
    write(tomas, 'Title', 'Theirs')
    expect(odalys).to have_css('section[aria-label="Run sheet"] li', text: 'Theirs')
    write(odalys, 'Title', 'Mine, after all')
    expect(odalys).to have_text('you had: Mine, after all')
    expect(field(odalys, 'Title').value).to eq('Theirs')
    expect_accessible(odalys)
    odalys.find('button[aria-label=Close]', match: :first).click

    # Takes back what one did oneself, and leaves what is the other's.
    odalys.click_button('Add a step')
    expect(tomas).to have_css('section[aria-label="Run sheet"] li', count: 3)
    write(tomas, 'Private notes', 'Mind the tide, and the wind')
    odalys.click_button('Undo')
    expect(tomas).to have_css('section[aria-label="Run sheet"] li', count: 2)
    odalys.click_button('Redo')
    expect(tomas).to have_css('section[aria-label="Run sheet"] li', count: 3)
    saved(odalys)
    facts = ARCHIVE.lessons.fetch(made[:lesson])
    expect(facts[:steps].map { |step| step[:title] }).to eq(['Theirs', 'Two', 'Step 3'])
    expect(facts[:steps].first[:notes]).to eq('Mind the tide, and the wind')
    expect(errors(odalys) + errors(tomas)).to be_empty
  end

  it 'keeps what is written while the connection is away, and says that it is not sent' do
    cable = Cable.new(server)
    odalys = browser(:odalys, server).tap { |page| sign_in(page, :odalys) }
    odalys.visit("#{cable.address}/lessons/#{made[:lesson]}")
    expect(odalys).to have_css('section[aria-label="Run sheet"] li', count: 2)
    saved(odalys)
    cable.pull
    write(odalys, 'Title', 'Written in a tunnel')
    expect(odalys).to have_css('[role=status]', text: 'not sent yet')
    expect(odalys).to have_css('section[aria-label="Run sheet"] li', text: 'Written in a tunnel')
    expect(ARCHIVE.lessons.fetch(made[:lesson])[:steps].first[:title]).to eq('One')
    cable.put_back
    saved(odalys)
    expect(ARCHIVE.lessons.fetch(made[:lesson])[:steps].first[:title]).to eq('Written in a tunnel')
  ensure
    cable&.close
  end

  it 'keeps what was typed into a field when one goes elsewhere without leaving it' do
    odalys = enter(:odalys, "/lessons/#{made[:lesson]}")
    saved(odalys)
    odalys.click_link('Shelf')
    expect(odalys).to have_no_css('section[aria-label="Run sheet"]')
    odalys.go_back
    odalys.fill_in('Private notes', with: 'Half a sentence')
    odalys.go_forward
    expect(odalys).to have_no_css('section[aria-label="Run sheet"]')
    until_true('it is kept') { ARCHIVE.lessons.fetch(made[:lesson])[:steps].first[:notes] == 'Half a sentence' }
  end
end
