# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../support/browsers'

# Two who teach a course, each at the page of it, and one who learns there.
RSpec.describe 'A course', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:course) { begin_course(name: 'Tides and streams', odalys: 'instructor', tomas: 'assistant', farah: 'student', nils: 'student') }

  after { close_browsers }

  def part_of(session, name) = session.find("[role=combobox][aria-label='Part of #{name}']", visible: :all)

  it 'is kept by those who teach it, and each sees what the others do' do
    odalys, tomas = %i[odalys tomas].map { |who| enter(who, "/courses/#{course}") }
    [odalys, tomas].each { |page| expect(page).to have_css('h1', text: 'Tides and streams') }
    expect(tomas).to have_css('ul[aria-label=Students] li', count: 2)
    expect(tomas).to have_no_button('Rename')
    expect_accessible(odalys)

    odalys.click_button('Rename')
    odalys.fill_in('Name of the course', with: 'Tides')
    odalys.click_button('Save')
    expect(tomas).to have_css('h1', text: /\ATides\z/)

    part_of(odalys, 'Nils Okafor').click
    odalys.find('[role=option]', text: 'Assistant').click
    expect(tomas).to have_css('ul[aria-label=Assistants] li', text: 'Nils Okafor')

    part_of(odalys, 'Farah Lindqvist').click
    odalys.find('[role=option]', text: 'Take out').click
    odalys.find('li', text: 'Farah').click_button('Take out')
    expect(tomas).to have_no_text('Farah Lindqvist')
    expect(ARCHIVE.people.courses('farah')).not_to include(course)

    # What one of two types of a name stays while the other calls the course something else.
    odalys.click_button('Rename')
    odalys.fill_in('Name of the course', with: 'Streams')
    perform('odalys', 'course.set', "course/#{course}", name: 'Tides again')
    expect(tomas).to have_css('h1', text: 'Tides again')
    expect(odalys).to have_field('Name of the course', with: 'Streams')
    odalys.click_button('Leave it')
    expect(odalys).to have_css('h1', text: 'Tides again')

    # The last one who decides goes on doing so, and is told why.
    part_of(odalys, 'Odalys Brandt').click
    odalys.find('[role=option]', text: 'Student').click
    odalys.click_button('Become student')
    expect(odalys).to have_text('A course keeps at least one instructor.')

    # Somebody is made one meanwhile: their page has it at once, without a press.
    perform('odalys', 'people.give_role', "people/#{course}", person: 'tomas', role: 'instructor')
    expect(tomas).to have_button('Rename')
    expect([odalys, tomas].flat_map { |page| errors(page) }).to be_empty
  end

  it 'says to those who learn there where their lessons are, and nothing of the others' do
    farah = enter(:farah, "/courses/#{course}")
    expect(farah).to have_text('You learn in this course.')
    expect(farah).to have_no_text('Nils')
    farah.visit("#{server.address}/courses/weather")
    expect(farah).to have_text('You do not belong to this course.')
  end
end
