# frozen_string_literal: true

require_relative '../spec_helper'

# Three people in three browsers, one of them on a phone, with some more on wires: polls of every kind are made, answered, compared, shown,
# and found again in the recording.
RSpec.describe 'A class that is asked', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  check = File.read(File.join(__dir__, '../support/layout.js'))

  def enter(who, phone: false, at: "/classes/#{sitting}")
    session = browser(who, server)
    height(session, 844) if phone
    sign_in(session, who)
    session.visit("#{server.address}#{at}")
    session
  end

  # A phone's.
  def height(session, height)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: height, deviceScaleFactor: 1, mobile: true)
  end

  define_method(:fits) do |what, session, width|
    settle(session)
    expect(session.evaluate_script("(#{check})(#{width}, #{width < 900})").map { |words| "#{what}: #{words}" }).to eq([])
    expect_accessible(session)
  end

  def answers(id) = ARCHIVE.log.state("answers/#{sitting}.#{id}").first
  def polls = ARCHIVE.log.state("staff/#{sitting}").first.polls.to_a

  after { close_browsers }

  it 'answers twice, with talk in between, and sees who went where; also in the recording' do
    odalys, farah = enter(:odalys), enter(:farah)
    nils = enter(:nils, phone: true)
    wires = %w[jonas hana keiko].to_h { |who| [who, Wire.join(server, who, { sitting: sitting })] }
    odalys.click_button('Begin with One')
    make(odalys)
    id = polls.first[:id]
    expect(nils).to have_css('h2', text: 'Asked')
    # The sheet lies over the lower part of the paper.
    expect_accessible(nils)
    fits('open, for a student', farah, 1280)
    # Two taps.
    nils.find('label', text: 'Green').click
    nils.find_button('Answer').click
    expect(nils).to have_text('Your answer is in.')
    farah.send_keys('a')
    farah.find('label', text: 'Red').click
    farah.find_button('Answer').click
    wires.each { |who, wire| wire.do('poll.answer', "poll/#{sitting}.#{id}", round: 1, value: polls.first[:question][:options][who == 'keiko' ? 0 : 1][:id]) }
    expect(odalys).to have_text('5 of 5 answered')
    fits('open, for staff', odalys, 1280)
    odalys.find_button('Close').click
    expect(odalys).to have_text('40 % are right: worth that pairs talk it over.')
    odalys.send_keys('l')
    expect(farah).to have_text('Talk it over first.')
    expect(farah).to have_css('[aria-label="Your pair"]')
    expect(nils).to have_text('Talk it over first.')
    twice(odalys, farah, nils, wires, id)
    recorded(odalys)
    [odalys, farah, nils].each { |session| expect(errors(session)).to eq([]) }
  end

  # By keyboard and mouse, as one would during class.
  def make(odalys)
    odalys.send_keys('a')
    odalys.within('[role=dialog]') do
      odalys.fill_in('Question', with: 'Red hull meets Green hull. Who gives way?')
      odalys.fill_in('Option 1', with: 'Red')
      odalys.fill_in('Option 2', with: 'Green')
      odalys.find_button('Right: option 1').click
      fits('making one', odalys, 1280)
      odalys.click_button('Keep in the bank')
      expect(odalys).to have_text('It is in the bank.')
      odalys.click_button('Open it')
    end
    expect(odalys).to have_no_css('[role=dialog]')
    expect(VisitorClient.new(server, as: 'odalys').get('/api/polls?q=green+hull').body['polls'].map { |row| row['lesson'] }).to include(nil, 'Collision rules in narrow water')
  end

  # What pairs take minutes for is over at once here.
  def twice(odalys, farah, nils, wires, id)
    until_true('another round is open') { ARCHIVE.log.state("poll/#{sitting}.#{id}").first.rounds.length == 2 }
    perform('odalys', 'poll.close', "staff/#{sitting}", poll: id, round: 2)
    perform('odalys', 'poll.clear', "staff/#{sitting}", poll: id, round: 2, on: true)
    perform('odalys', 'poll.open', "staff/#{sitting}", poll: id, round: 3)
    red = polls.first[:question][:options].first[:id]
    wires.each_value { |wire| wire.do('poll.answer', "poll/#{sitting}.#{id}", round: 3, value: red) }
    [farah, nils].each do |session|
      session.find('label', text: 'Red').click
      session.find_button('Answer').click
    end
    expect(odalys).to have_text('5 of 5 answered')
    odalys.find_button('Close').click
    odalys.find_button('Results').click
    expect(odalys).to have_css('[role=img][aria-label="3 from Green to Red; 2 from Red to Red"]')
    expect(odalys).to have_text('40 % → 100 %').and have_text('1.00')
    fits('two rounds', odalys, 1280)
    expect(farah).to have_no_text('40 %')
    odalys.find_button('Show it to all').click
    expect(farah).to have_css('[aria-label="Shown: Red hull meets Green hull. Who gives way?"]')
    fits('shown', farah, 1280)
    expect(nils).to have_css('table td', text: 'Green')
    fits('shown, on a phone', nils, 390)
    # With a keyboard or notices up, little room is left.
    height(nils, 520)
    fits('shown, on a phone, with little room', nils, 390)
    height(nils, 844)
    nils.click_button('Back to the board')
    expect(nils).to have_no_css('table')
    odalys.click_button('Seal it', match: :first)
    expect(farah).to have_no_css('[aria-label^="Shown:"]')
  end

  def recorded(odalys)
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    odalys.find_button('Show it to all').click
    expect(odalys).to have_button('Seal it')
    perform('odalys', 'class.end', "sitting/#{sitting}")
    odalys.visit("#{server.address}/recordings/#{sitting}")
    odalys.find('[role=slider]').send_keys(:end)
    expect(odalys).to have_css('[aria-label^="Shown: Red hull"]')
    expect(odalys).to have_css('[aria-label=Polls]', text: 'Round 3 is closed.')
    fits('in the recording', odalys, 1280)
  end

  it 'takes several as one form, counts marks on the board, and asks back' do
    odalys, farah, nils = enter(:odalys), enter(:farah), enter(:nils, phone: true)
    odalys.click_button('Begin with One')
    set = { id: 'check', title: 'Before we part' }
    { x: { kind: 'yes_no', text: 'Is it clear?' }, y: { kind: 'scale', text: 'How sure are you?' } }.each do |id, question|
      perform('odalys', 'poll.stage', "staff/#{sitting}", poll: id, question: question, set: set)
    end
    odalys.find('[aria-label="Form: Before we part"]').click_button('Open')
    expect(nils).to have_text('1 of 2 · 0 answered')
    nils.find('label', text: 'Yes').click
    nils.find_button('Answer').click
    expect(nils).to have_text('1 of 2 · 1 answered')
    nils.click_button('Next')
    nils.find('form [role=radio]', text: '4').click
    nils.find_button('Answer').click
    expect(nils).to have_text('2 of 2 · all answered')
    expect(odalys).to have_text('1 of 2 are through').and have_text('Farah 0')
    odalys.find('[aria-label="Form: Before we part"]').click_button('Results')
    expect(odalys).to have_css('[aria-label="Results: Before we part"] h3', count: 2)
    fits('results of a form', odalys, 1280)
    odalys.find('[aria-label="Form: Before we part"]').click_button('Close')
    odalys.find('[aria-label="Results: Before we part"]').click_button('Back')
    on_the_board(odalys, farah)
    asked_back(odalys, farah, nils)
    [odalys, farah, nils].each { |session| expect(errors(session)).to eq([]) }
  end

  # Made in class: two columns of the board on show.
  def on_the_board(odalys, farah)
    odalys.send_keys('a')
    odalys.within('[role=dialog]') do
      odalys.fill_in('Question', with: 'Which side is hers?')
      odalys.find('[role=combobox]', match: :first).click
    end
    odalys.find('[role=option]', text: 'put marks on a board').click
    odalys.within('[role=dialog]') { odalys.all('[role=combobox]')[1].click }
    odalys.find('[role=option]', text: 'Open board').click
    odalys.within('[role=dialog]') do
      odalys.click_button('2 columns')
      expect(odalys).to have_field('Region 2')
      fits('regions', odalys, 1280)
      odalys.click_button('Open it')
    end
    expect(farah).to have_css('svg text', text: 'Region 2')
    expect(farah).to have_text('Put marks into the regions on the board')
    hers = { id: 'hers', page: 'p1', kind: 'sign', sign: 'tick', x: 1_000, y: 400, w: 40, h: 40, ink: 'moss' }
    perform('farah', 'board.put', "board/#{made[:board]}", sitting: sitting, marks: [hers])
    odalys.find('[aria-label="Poll: Which side is hers?"]').find_button('Results').click
    expect(odalys).to have_css('[aria-label="Results: Which side is hers?"] li', text: "Region 2\n1\n100 %")
    odalys.find('[aria-label="Results: Which side is hers?"]').click_button('Put it on the board')
    expect(odalys).to have_no_css('[aria-label^="Results:"]')
    expect(ARCHIVE.log.state("board/#{made[:board]}").first.marks.values.filter_map { |mark| mark[:text] }).to include('Which side is hers?', 'Region 2')
    odalys.find('[aria-label="Poll: Which side is hers?"]').click_button('Close')
  end

  def asked_back(odalys, farah, nils)
    odalys.find('button', text: /\AQuestions/).click
    odalys.find('label', text: 'I see questions before others do').click
    odalys.find('label', text: 'Names may be left out').click
    farah.find('button', text: /\AQuestions/).click
    expect(farah).to have_text('Staff see it first.')
    farah.find('label', text: 'Without my name').click
    farah.fill_in('Ask a question', with: 'Does the rule hold at anchor?')
    farah.click_button('Ask')
    expect(farah).to have_text('Staff have it, and see it first.')
    expect(odalys).to have_css('article', text: 'to review · no name')
    odalys.click_button('Let all see')
    nils.click_button('Put away') if nils.has_button?('Put away', wait: 1)
    nils.click_button('Exchange', match: :first)
    nils.find('button', text: /\AQuestions/).click
    nils.click_button('I ask this too: Does the rule hold at anchor?')
    expect(odalys).to have_text('1 asks this too')
    expect(farah).to have_css('article', text: 'yours').and have_no_button('I ask this too: Does the rule hold at anchor?')
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    odalys.click_button('Answer now')
    expect(farah).to have_css('[aria-label="Answering now"]', text: 'Does the rule hold at anchor?')
    expect(nils).to have_css('[aria-label="Answering now"]')
    fits('questions, for staff', odalys, 1280)
    fits('questions, for a student', farah, 1280)
    expect_accessible(nils)
    odalys.click_button('Answered', match: :first)
    expect(farah).to have_no_css('[aria-label="Answering now"]')
    perform('odalys', 'class.end', "sitting/#{sitting}")
    odalys.visit("#{server.address}/lessons/#{made[:lesson]}/questions")
    expect_accessible(odalys)
    odalys.click_link('Hear the answer in the recording')
    # From a minute before it was answered; here that is before it was asked.
    odalys.find('[role=slider]').send_keys(:end)
    expect(odalys).to have_css('[aria-label=Questions]', text: 'Does the rule hold at anchor?')
  end

  # What each kind of poll is answered with on a phone, and what shows that it was taken.
  spot = { kind: 'spot', text: 'Where is Sable Rock?' }
  options = [{ id: 'a', text: 'One <b>long</b>' }, { id: 'b', text: 'שני קצרים' }, { id: 'c', text: 'Three' }]
  kinds = {
    'several' => [{ options: options }, ->(page) { page.all('form label').first(2).each(&:click) }, %w[a b]],
    'yes_no' => [{}, ->(page) { page.find('form label', text: 'No').click }, ['no']],
    'order' => [{ options: options }, ->(page) { [2, 0, 1].each { |i| page.all('form [aria-pressed]')[i].click } }, %w[c a b]],
    'short' => [{}, ->(page) { page.find('form textarea:not([aria-hidden])').set('One long blast') }, 'One long blast'],
    'cloud' => [{}, lambda { |page|
      page.find('form [aria-label$="Word 1"]').set('horn')
      page.click_button('One more word')
      page.find('form [aria-label$="Word 2"]').set('bell')
    }, %w[horn bell]],
    'scale' => [{ ends: %w[not quite] }, ->(page) { page.find('form [role=radio]', text: '4').click }, 4],
    'number' => [{ unit: 'm' }, ->(page) { page.find('form input').set('2,7 m') }, 2.7],
    'spot' => [{}, ->(page) { 2.times { page.find('form [role=application]').send_keys(:arrow_right) } }, [840.0, 500.0]]
  }

  it 'is asked in every way there is, on a phone, and by whoever writes a question mark' do
    odalys, farah, nils = enter(:odalys), enter(:farah), enter(:nils, phone: true)
    kinds.each do |kind, (more, act, kept)|
      question = { kind: kind, text: "How about #{kind}?", **more, **(kind == 'spot' ? spot.merge(board: made[:board], page: 'p1') : {}) }
      perform('odalys', 'poll.stage', "staff/#{sitting}", poll: kind, question: question)
      perform('odalys', 'poll.open', "staff/#{sitting}", poll: kind, round: 1)
      [nils, farah].each do |session|
        expect(session).to have_css('h3', text: question[:text])
        expect(session).to have_button('Answer', disabled: :all)
        settle(session)
        act.call(session)
        expect_accessible(session)
        session.find_button('Answer').click
        expect(session).to have_text('Your answer is in.')
      end
      expect(answers(kind).by_person(1)).to eq('nils' => kept, 'farah' => kept)
      odalys.find("[aria-label='Poll: #{question[:text]}']").find_button('Results').click
      expect(odalys).to have_css("[aria-label='Results: #{question[:text]}']", text: '2 people answered')
      fits("results of #{kind}", odalys, 1280)
      odalys.click_button('As a table')
      expect(odalys).to have_css('table')
      perform('odalys', 'poll.close', "staff/#{sitting}", poll: kind, round: 1)
    end
    odalys.find_field('Write to everyone here').set("? Two long blasts mean?\n")
    until_true('it is asked') { polls.length == kinds.length + 1 }
    expect(nils).to have_css('h3', text: 'Two long blasts mean?')
    [odalys, farah, nils].each { |session| expect(errors(session)).to eq([]) }
  end
end
