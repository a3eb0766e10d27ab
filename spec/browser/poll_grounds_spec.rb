# frozen_string_literal: true

require_relative '../spec_helper'

# Polls that are about a board or a picture need to know it wherever they are: in a lesson, in its class, in the recording.
RSpec.describe 'A poll with something beneath', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:made) { fresh_class(open: false) }
  let(:sitting) { made[:sitting] }

  # @param index [Integer] of the list that is opened, among those of a poll
  def pick(session, within, index, option)
    session.within(within) do
      until_true('the list is there') { session.all('[role=combobox]', wait: 0).length > index }
      session.all('[role=combobox]')[index].click
    end
    session.find('[role=option]', text: option).click
    expect(session).to have_no_css('[role=option]')
  end

  def add_cue(session, words)
    session.click_button('Add a cue')
    session.find('[role=menuitem]', text: words).click
    expect(session).to have_no_css('[role=menuitem]')
  end

  after { close_browsers }

  # The board stays on the paper, and all else where it is.
  def whole?(session)
    expect(session).to have_no_text('cannot be shown')
    expect(session).to have_css('[data-testid=paper]')
    expect(session).to have_css('[aria-label=Inspector]')
  end

  it 'is prepared alone, in a form and for the bank, held in class, and found in the recording' do
    odalys = enter(:odalys, "/lessons/#{made[:lesson]}")
    expect(odalys).to have_css('[data-testid=paper]')
    alone = '[aria-label^="Poll:"]'
    add_cue(odalys, 'Ask a poll')
    odalys.within(alone) { odalys.fill_in('Question', with: 'Which side is hers?') }
    pick(odalys, alone, 0, 'put marks on a board')
    pick(odalys, alone, 1, 'Open board')
    odalys.within(alone) { odalys.click_button('2 columns') }
    expect(odalys).to have_field('Region 2')
    odalys.within(alone) { odalys.click_button('Keep in the bank') }
    expect(odalys).to have_text('It is in the bank.')
    whole?(odalys)
    add_cue(odalys, 'Ask several polls as one form')
    form = '[aria-label^="Form:"]'
    odalys.within(form) do
      odalys.fill_in('Form', with: 'Before we part')
      odalys.fill_in('Question', with: 'Where is Sable Rock?')
    end
    pick(odalys, form, 0, 'mark a spot')
    pick(odalys, form, 1, 'Open board')
    whole?(odalys)
    expect(odalys).to have_text('saved')
    # Also after the page was loaded again, where it is there from the beginning.
    odalys.refresh
    expect(odalys).to have_field('Region 2')
    whole?(odalys)
    expect(errors(odalys)).to eq([])
    held(odalys)
  end

  def held(odalys)
    perform('odalys', 'class.plan', "sitting/#{sitting}", **plan)
    perform('odalys', 'class.open', "sitting/#{sitting}")
    odalys.visit("#{server.address}/classes/#{sitting}")
    farah = enter(:farah, "/classes/#{sitting}")
    odalys.click_button('Begin with One')
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    # On the spot, from the bank.
    odalys.send_keys('a')
    odalys.within('[role=dialog]') do
      expect(odalys).to have_button('Open it', disabled: true)
      odalys.click_button('From the bank')
      odalys.find('li', text: 'Which side is hers?', match: :first).click_button('Take it')
      odalys.click_button('Open it')
    end
    expect(farah).to have_css('svg text', text: 'Region 2')
    # The form that was prepared.
    odalys.send_keys([:alt, '2'])
    expect(farah).to have_css('h3', text: 'Where is Sable Rock?')
    farah.find('form [role=application]').send_keys(:arrow_right)
    farah.find_button('Answer').click
    expect(farah).to have_text('answered')
    spot = polls.find { |row| row[:question][:kind] == 'spot' }[:id]
    shown(odalys, farah, spot)
    perform('odalys', 'class.end', "sitting/#{sitting}")
    ARCHIVE.recordings.update(sitting, shared: true)
    [odalys, farah].each { |session| played(session) }
  end

  def plan = ARCHIVE.sittings.plan(ARCHIVE.sittings.fetch(sitting)).transform_keys(&:to_sym)
  def polls = ARCHIVE.log.state("staff/#{sitting}").first.polls.to_a

  def shown(odalys, farah, spot)
    perform('odalys', 'poll.close', "staff/#{sitting}", poll: spot, round: 1)
    expect(VisitorClient.new(server, as: 'odalys').post("/api/classes/#{sitting}/polls/#{spot}/show", { tell: false }).status).to eq(200)
    [odalys, farah].each do |session|
      expect(session).to have_css('[aria-label="Shown: Where is Sable Rock?"] [role=img][aria-label="1 places were marked, the most marked one by 1"]')
      expect(session).to have_no_text('is not open to you')
      expect(session).to have_no_text('cannot be shown')
      expect(errors(session)).to eq([])
    end
  end

  # From its end, where it was shown; loaded again it goes on there, with everything else at hand.
  def played(session)
    session.visit("#{server.address}/recordings/#{sitting}")
    session.find('[role=slider]').send_keys(:end)
    2.times do
      expect(session).to have_css('[aria-label="Shown: Where is Sable Rock?"] [role=img][aria-label^="1 places"]')
      expect(session).to have_no_text('is not open to you')
      expect(session).to have_no_text('cannot be shown')
      expect(session).to have_button('Play')
      session.click_button('As a table')
      session.click_button('As a picture')
      session.find('[role=slider]').send_keys(:home)
      session.find('[role=slider]').send_keys(:end)
    end
    expect(errors(session)).to eq([])
  end

  # Every kind, with every ground that it has, alone and as part of a form.
  some = { options: [{ id: 'a', text: 'Red' }, { id: 'b', text: 'Green' }, { id: 'c', text: 'Neither' }] }
  regions = [{ id: 'l', text: 'Left', x: 40, y: 120, w: 700, h: 600 }, { id: 'r', text: 'Right', x: 800, y: 120, w: 700, h: 600 }]
  kinds = { one: [some, 'a'], several: [some, %w[a b]], yes_no: [{}, 'no'], order: [some, %w[c a b]], short: [{}, 'One long blast'], cloud: [{}, %w[horn bell]],
            scale: [{}, 4], number: [{}, 2.7], spot: [{}, [840, 500]], marks: [{ regions: regions }, nil] }

  it 'is shown, put on the board and played again, whatever is asked and of what' do
    made = fresh_class
    sitting = made[:sitting]
    picture = { picture: { material: deck(made), version: 1, slide: 1 } }
    board = { board: made[:board], page: 'p1' }
    beneath = ->(kind) { { spot: [board, picture], marks: [board] }.fetch(kind, [{}, picture]) }
    wire = Wire.join(server, 'farah', { sitting: sitting })
    odalys = enter(:odalys, "/classes/#{sitting}")
    odalys.click_button('Begin with One')
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    staff = VisitorClient.new(server, as: 'odalys')
    mark = { id: 'hers', page: 'p1', kind: 'sign', sign: 'tick', x: 1_000, y: 400, w: 40, h: 40, ink: 'moss' }
    perform('farah', 'board.put', "board/#{made[:board]}", sitting: sitting, marks: [mark])
    asked = kinds.flat_map { |kind, (more, value)| beneath[kind].product([nil, { id: 'form', title: 'A form' }]).map { |ground, set| [kind, { **more, **ground }, set, value] } }
    asked.each_with_index do |(kind, more, set, value), i|
      id, text = "p#{i}", "Number #{i}, #{kind}?"
      expect(perform('odalys', 'poll.stage', "staff/#{sitting}", **{ poll: id, question: { kind: kind, text: text, **more }, set: set }.compact).refusal).to be_nil
      perform('odalys', 'poll.open', "staff/#{sitting}", poll: id, round: 1)
      wire.wait { |message| message['t'] == 'gained' && message['stream'] == "poll/#{sitting}.#{id}" }
      expect(wire.do('poll.answer', "poll/#{sitting}.#{id}", round: 1, value: value)).to include('t' => 'done') if value
      perform('odalys', 'poll.close', "staff/#{sitting}", poll: id, round: 1)
      until_true('it is counted') { value || ARCHIVE.log.state("answers/#{sitting}.#{id}").first.count(1).positive? }
      expect(staff.post("/api/classes/#{sitting}/polls/#{id}/show", { tell: false }).status).to eq(200)
      expect(odalys).to have_css("[aria-label='Shown: #{text}']", text: '1 person answered')
      perform('odalys', 'poll.seal', "staff/#{sitting}", poll: id) unless i == asked.length - 1
    end
    on_the_board(odalys, asked)
    expect(errors(odalys)).to eq([])
    perform('odalys', 'class.end', "sitting/#{sitting}")
    ARCHIVE.recordings.update(sitting, shared: true)
    [odalys, enter(:jonas, '/')].each { |session| watched(session, sitting, asked) }
  end

  def deck(made)
    id = Veranda::Store::Ids.call
    ARCHIVE.db[:materials].insert(id: id, course_id: ARCHIVE.lessons.fetch(made[:lesson])[:course_id], title: 'A chart')
    ARCHIVE.db[:material_versions].insert(material_id: id, version: 1, name: 'chart', type: 'image/svg+xml', kind: 'picture', size: 9, state: 'ready', slide_count: 1)
    svg = '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300"><rect width="400" height="300" fill="#DDECE8"/></svg>'
    picture = ARCHIVE.files.put(StringIO.new(svg), "materials/#{id}/1/slides/1")
    ARCHIVE.db[:material_slides].insert(material_id: id, version: 1, slide: 1, w: 400, h: 300, picture: picture, type: 'image/svg+xml', thumbnail: picture)
    id
  end

  # Some of each kind, from their page of results.
  def on_the_board(odalys, asked)
    odalys.click_button('Seal it', match: :first)
    asked.each_with_index.uniq { |(kind, more), _| [kind, more.key?(:picture)] }.each do |(kind, more), i|
      next if kind == :spot && more[:picture]

      odalys.find("[aria-label='Poll: Number #{i}, #{kind}?']").find_button('Results').click
      odalys.click_button('Put it on the board')
      expect(odalys).to have_no_css('[aria-label^="Results:"]')
      expect(odalys).to have_no_text('cannot be shown')
    end
  end

  def watched(session, sitting, asked)
    length = VisitorClient.new(server, as: 'odalys').get("/api/recordings/#{sitting}").body['length']
    shown = ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(sitting)).clock
    session.visit("#{server.address}/recordings/#{sitting}")
    expect(session).to have_css('[role=slider]')
    asked.each_index do |i|
      at = ARCHIVE.log.of_kind("poll/#{sitting}.p#{i}", 'poll_shown').first.at
      # As a link within the page goes there.
      session.execute_script("history.pushState({}, '', '?at=#{at + 1}'); dispatchEvent(new PopStateEvent('popstate'))")
      expect(session).to have_css("[aria-label='Shown: Number #{i}, #{asked[i].first}?']"), "#{asked[i].first(2)} at #{shown.time(at)} of #{length}"
      expect(session).to have_no_text('cannot be shown')
      expect(session).to have_no_text('is not open to you')
    end
    expect(errors(session)).to eq([])
  end
end
