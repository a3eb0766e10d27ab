# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'

RSpec.describe 'Preparing a lesson from nothing', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:odalys) { browser(:odalys, server) }
  let(:farah) { browser(:farah, server) }

  before do
    Worker.shared
    FileUtils.rm_f(Dir[File.join(Browsers::DOWNLOADS, '*')])
    enter(odalys, 'odalys')
  end

  after { close_browsers }

  def enter(session, who)
    sign_in(session, who)
    session.visit("#{server.address}/")
    expect(session).to have_css('main h1')
  end

  def button(session, name) = session.find('button', text: /\A#{Regexp.escape(name)}\z/, match: :first)

  it 'brings slides, draws, sorts, rolls, plans, copies and saves' do
    new_lesson('Sound signals')
    expect_accessible(odalys)
    bring_slides
    draw_on_slide_three
    names_board
    expect_accessible(odalys)
    plan_to_the_minute
    copy_to_next_week
    save_as_pdf
    look_at_the_shelf
    expect(errors(odalys)).to be_empty
  end

  it 'shows who drew what, looks back and brings a page back' do
    made = fresh_lesson
    perform('odalys', 'board.put', "board/#{made[:board]}", marks: [stroke('m1'), stroke('m2')])
    perform('tomas', 'board.put', "board/#{made[:board]}", marks: [note('n1', 'Tomas was here')])
    perform('tomas', 'board.remove', "board/#{made[:board]}", ids: ['m1'])
    odalys.visit("#{server.address}/lessons/#{made[:lesson]}")
    expect(odalys).to have_text('New since you last looked')
    expect(odalys).to have_text('Tomas Ferrand')

    choose(odalys, 'Page', 'Who drew what')
    expect(odalys).to have_css('section[aria-label="Who drew what"]', text: /Odalys Brandt\s*1 mark/)
    expect_accessible(odalys)
    odalys.within('section[aria-label="Who drew what"] li', text: 'Tomas') { button(odalys, 'Take off').click }
    expect(odalys).to have_css('[data-mark]', count: 1)
    odalys.click_button('Close')

    choose(odalys, 'Page', 'All pages')
    expect_accessible(odalys)
    odalys.click_button('Close')
    choose(odalys, 'Page', 'Look back')
    slider = odalys.find('input[type=range]', visible: :all)
    expect(odalys).to have_text('Odalys Brandt took off 1 mark')
    expect_accessible(odalys)
    slider.send_keys(:left, :left)
    odalys.click_button('Bring this back')
    expect(odalys).to have_css('[data-mark]', count: 3)
    odalys.click_button('Undo')
    expect(odalys).to have_css('[data-mark]', count: 1)
  end

  it 'lets students work outside of class on a board that is given to them for that' do
    made = fresh_lesson
    ARCHIVE.lessons.update_board(made[:board], outside: 'work')
    enter(farah, 'farah')
    farah.visit("#{server.address}/lessons/#{made[:lesson]}")
    expect(farah).to have_css('[data-testid=paper]')
    expect(farah).to have_no_text('Staff board')
    expect_accessible(farah)
    draw(farah, [-100, 0], [60, 30], [60, -30])
    expect(farah).to have_css('[data-kind=stroke]')

    odalys.visit("#{server.address}/lessons/#{made[:lesson]}")
    expect(odalys).to have_css('section[aria-label="New since you last looked"]', text: 'Farah Lindqvist, 1 change')
  end

  def new_lesson(title)
    odalys.click_button('New lesson')
    odalys.fill_in('Title', with: title)
    odalys.click_button('Make the lesson')
    expect(odalys).to have_text('The run sheet is empty.')
  end

  def bring_slides
    odalys.click_button('Add a step')
    odalys.click_button('Make a board for it')
    odalys.click_button('On slides from the shelf')
    path = Decks.file('evening_signals.pptx').tap { |copy| FileUtils.cp(Decks.path(:deck), copy) }
    odalys.attach_file(path, make_visible: true)
    expect(odalys).to have_css('li', text: /evening signals.*The font Nautilus Display is not here/m, wait: 60)
    expect_accessible(odalys)
    odalys.within('li', text: 'evening signals') { odalys.click_button('Open as a board') }
    expect(odalys).to have_css('[data-ground]')
    expect(odalys).to have_css('nav[aria-label=Pages] button', count: 6)
  end

  def draw_on_slide_three
    odalys.click_button('Page 3')
    keys(odalys, '2')
    draw(odalys, [-60, 40], [50, 30], [60, -20])
    expect(odalys).to have_css('[data-kind=stroke]', count: 1)
    keys(odalys, 's')
    expect(odalys).to have_text('This looks like no line')
  end

  def names_board
    odalys.click_button('Add a step')
    odalys.click_button('Make a board for it')
    odalys.fill_in('Name', with: 'Names', match: :first)
    odalys.click_button('Make an empty board')
    expect(odalys).to have_css('[data-testid=paper][aria-label^="Names"]')
    choose(odalys, 'Put', 'Slide or picture from the shelf')
    odalys.within('[role=dialog] li', text: 'evening signals') { odalys.click_button('Choose a slide') }
    odalys.click_button('Put slide 5 on the board')
    expect(odalys).to have_css('[data-kind=image]')
    %w[Zeno Anton Örn Bettina].each_with_index { |name, i| write(name, -320, -260 + 45 * i) }
    keys(odalys, 'v')
    odalys.find('[data-testid=paper]').native.send_keys([:control, 'a'])
    odalys.click_button('Sort A–Z down')
    expect(odalys).to have_css('[data-mark]', count: 5)
    until_true('they stand in order', said: -> { names_downward }) { names_downward == %w[Anton Bettina Örn Zeno] }
    choose(odalys, 'Put', 'Dice')
    expect_accessible(odalys)
    odalys.click_button('Put on the board')
    odalys.click_button('Roll')
    expect(odalys).to have_css('[data-kind=prop] circle')
  end

  def write(words, x, y)
    keys(odalys, 't')
    odalys.driver.browser.action.move_to(odalys.find('[data-testid=paper]').native, x, y).click.perform
    odalys.find('textarea[aria-label=Text]')
    keys(odalys, words)
    keys(odalys, :escape)
    expect(odalys).to have_css('[data-kind=text]', text: words)
  end

  def names_downward = odalys.all('[data-kind=text]').sort_by { |mark| mark.native.rect.y }.map(&:text)

  def plan_to_the_minute
    3.times { odalys.click_button('Add a step') }
    odalys.fill_in('Minutes', with: '58')
    keys(odalys, :tab)
    expect(odalys).to have_css('[data-testid=total]', text: '98 of 90 min')
    odalys.click_button('Fit to 90 min')
    expect(odalys).to have_css('[data-testid=total]', text: '90 of 90 min')
    odalys.find('input[aria-label="Own house rules"]', visible: :all).click
    choose(odalys, 'Add a cue', 'Start a timer')
    expect(odalys).to have_css('li', text: 'timer 5:00')
    expect(odalys).to have_text('saved')
    @planned = odalys.current_url
  end

  def copy_to_next_week
    choose(odalys, 'Reuse', 'Copy to another date')
    expect_accessible(odalys)
    odalys.click_button('Copy the lesson')
    expect(odalys).to have_no_text('Run sheet, boards and what is on them')
    until_true('the copy is open') { odalys.current_url != @planned }
    copy = ARCHIVE.lessons.fetch(odalys.current_url[%r{lessons/(\w+)}, 1])
    original = ARCHIVE.lessons.fetch(@planned[%r{lessons/(\w+)}, 1])
    expect(copy[:starts_at] - original[:starts_at]).to eq(7 * 86_400)
    expect(copy[:steps].map { |step| step[:title] }).to eq(original[:steps].map { |step| step[:title] })
    expect(copy[:steps].filter_map { |step| step[:board] } & original[:steps].map { |step| step[:board] }).to be_empty
    expect(odalys).to have_css('[data-ground]')
  end

  def save_as_pdf
    choose(odalys, 'Reuse', 'Save all boards as one PDF')
    path = downloaded('sound-signals.pdf')
    text, = Open3.capture2('pdftotext', path, '-')
    info, = Open3.capture2('pdfinfo', path)
    expect(info).to match(/Pages:\s+7/)
    expect(text).to include('Anton', 'Bettina', 'Örn', 'Zeno', 'One short blast', 'with, 0.8')
  end

  def look_at_the_shelf
    odalys.click_link('Shelf')
    expect(odalys).to have_css('main li', text: 'evening signals')
    odalys.within('main li', text: 'evening signals') { odalys.click_button('Open') }
    expect(odalys).to have_text('On the boards')
    expect_accessible(odalys)
    odalys.fill_in('Find by title, label or text inside', with: 'evening altering')
    expect(odalys).to have_css('main > div > ul > li', count: 1)
    odalys.visit("#{server.address}/boards")
    odalys.fill_in('Find by name, lesson, person or text', with: 'Zeno Bettina')
    expect(odalys).to have_css('li', text: 'Names', minimum: 2)
    expect_accessible(odalys)
  end
end
