# frozen_string_literal: true

require 'rspec'
require_relative '../spec/spec_helper'

# Takes a picture of each main view, with the demo school at its first class of the day.
class Screenshots
  include Browsers

  FOLDER = File.join(Veranda::ROOT, 'docs/screenshots')
  PEOPLE = %w[odalys tomas amadou bettina cosmin farah gethin hana ines jonas keiko mirela].freeze
  SOUNDS = ['one long blast', 'two long', 'anchored: bell'].freeze
  INKS = %w[lake brick moss].freeze
  SIMULATED = "['microphone', 'camera'].forEach((one) => localStorage.setItem(`veranda.${one}`, 'simulated'))"
  NAMES = %w[Amadou Bettina Cosmin Farah Gethin Hana Ines Jonas].freeze

  def initialize
    Worker.shared
    @media = Media.new
    @server = Server.new(more: @media.told)
    @odalys = browser(:odalys, @server)
    @farah = browser(:farah, @server)
    [[@odalys, 'odalys'], [@farah, 'farah']].each { |session, who| enter(session, who) }
  end

  def take
    visit(@odalys, '/', 'article')
    shoot(@odalys, 'desk')
    course
    calendar
    lesson
    slides
    shelf
    waiting
    teach
    recordings
  ensure
    close_browsers
    @server.stop
    @media.stop
  end

  private

  def enter(session, who)
    token = Demo::SignIns.new(ARCHIVE, Veranda::Environment.session_secret).token('personal', person_id: who)
    session.visit("#{@server.address}/enter/#{token}")
    session.has_css?('article')
  end

  def visit(session, path, selector)
    session.visit("#{@server.address}#{path}")
    session.has_css?(selector) || raise("#{path} shows no #{selector}")
  end

  def shoot(session, name)
    sleep 0.6 # motion and fonts settle
    session.save_screenshot(File.join(FOLDER, "#{name}.png"))
    puts "docs/screenshots/#{name}.png"
  end

  def lesson
    visit(@odalys, '/lessons/passage', '[data-mark]')
    @odalys.find('li', text: 'Worked passage').find('button', match: :first).click
    keys(@odalys, 'v')
    %w[3 4].each do |place|
      @odalys.execute_script("document.querySelectorAll('[data-mark]')[#{place}].focus()")
      keys(@odalys, ' ')
    end
    shoot(@odalys, 'lesson')
  end

  def course
    visit(@odalys, '/courses/navigation', 'main li')
    shoot(@odalys, 'course')
  end

  def calendar
    visit(@odalys, '/calendar', '[data-day]')
    @odalys.all('[data-day]', text: 'to teach').last.click
    @odalys.has_text?('This series')
    shoot(@odalys, 'calendar')
  end

  def slides
    visit(@odalys, '/lessons/rules', '[data-mark]')
    @odalys.find('li', text: 'Lights recap').find('button', match: :first).click
    @odalys.click_button('Page 3')
    shoot(@odalys, 'board-slides')
  end

  def shelf
    visit(@odalys, '/shelf', 'main li')
    @odalys.find('main li', text: 'Collision rules').click_button('Open')
    @odalys.has_text?('Choose the slide')
    shoot(@odalys, 'shelf')
  end

  def waiting
    visit(@odalys, '/lessons/rules/class', 'button')
    visit(@farah, '/lessons/rules/class', 'h2')
    @sitting = @odalys.current_url[%r{classes/(\w+)}, 1]
    @others = (PEOPLE - %w[odalys farah]).to_h { |who| [who, Wire.join(@server, who, { sitting: @sitting })] }
    check_devices
  end

  # Before she is let in, Farah finds out whether she will be heard and seen.
  def check_devices
    @farah.execute_script(SIMULATED)
    @farah.click_button('Check microphone and camera')
    ['Try the microphone', 'Try the camera'].each { |words| @farah.click_button(words) }
    @farah.has_text?('You are heard well.')
    shoot(@farah, 'device-check')
    @farah.click_button('Put away')
  end

  def teach
    @odalys.click_button('Open the doors')
    @odalys.click_button('Begin with Names')
    @odalys.has_css?('[data-kind=text]')
    write_names
    ['Lights recap', 'Crossing'].each { |step| @odalys.click_button("Go on to #{step}") }
    @odalys.has_css?('[data-kind=arrow]') || raise('the board of the crossing is not there')
    talk
    on_stage do
      shoot(@odalys, 'class-instructor')
      @seen_at = Veranda::Live::Hub::NOW.call
      caption
      share_screen
    end
    shoot(@farah, 'class-student')
    small
    polls
    wall
    rooms
  end

  # Odalys shares her chart, and draws on a moment of it.
  def share_screen
    @odalys.execute_script("localStorage.setItem('veranda.screen', 'simulated')")
    @odalys.click_button('Share')
    sleep 9 # the boat is in the narrows
    @odalys.click_button('Draw on this moment')
    @odalys.has_button?('Bring it in front again', wait: 60) || raise('no board was made of the screen')
    @odalys.has_css?('[data-testid=paper]', wait: 20)
    sleep 2
    keys(@odalys, '2')
    draw(@odalys, [-60, -20], [60, -40], [70, 20], [20, 70], [-60, 50], [-80, -30], [-20, -60])
    @odalys.click_button('End the share', match: :first)
    say('odalys', 'class.show', "place/#{@sitting}.main", board: 'rules-crossing', page: 'p1')
  end

  # Four show their cameras, and hear each other.
  def on_stage
    others = %w[tomas amadou].map { |who| browser(who.to_sym, @server).tap { |session| enter(session, who) } }
    others.each { |session| visit(session, "/classes/#{@sitting}", 'h1') }
    sessions = [@odalys, @farah, *others]
    sessions.each do |session|
      session.execute_script(SIMULATED)
      session.find('h1').click
      session.click_button('Microphone')
      session.click_button('Camera')
    end
    @odalys.has_css?('video', count: 4, wait: 20) || raise('not all four are seen')
    sleep 3 # pictures begin
    yield
    sessions.each do |session|
      session.click_button('Mute')
      session.click_button('Camera off')
    end
    others.each(&:quit)
    %i[tomas amadou].each { |who| @browsers.delete(who) }
  end

  # Who gives way: five are right, and nine once they have talked it over; meanwhile some ask back.
  def polls
    red, green = %w[red green]
    voters = %w[amadou bettina cosmin delphine emre gethin hana ines jonas keiko mirela]
    before = voters.zip([red] * 5 + [green] * 6).to_h
    card = -> { @odalys.find('[aria-label="Poll: Red hull meets Green hull. Who gives way?"]') }
    questions
    vote(1, before) { card.call.click_button('Open') }
    card.call.click_button('Close')
    after = before.merge(voters[5..8].to_h { |who| [who, red] })
    vote(2, after) { card.call.click_button('Round 2') }
    card.call.click_button('Results')
    card.call.click_button('Close')
    @odalys.has_css?('[role=img][aria-label^="5 from Red"]', wait: 20) || raise('two rounds are not compared')
    @odalys.find('button', text: /\AQuestions/).click
    shoot(@odalys, 'poll-rounds')
    @odalys.find('button', text: /\AQuestions/).click
    @odalys.within('[aria-label^="Results:"]') { @odalys.click_button('Back') }
    say('odalys', 'question.done', "questions/#{@sitting}", id: 'bar')
  end

  def vote(round, answers)
    yield
    stream = "poll/#{@sitting}.crossing-who"
    told = %w[gained entry]
    (@others.keys & answers.keys).each { |who| @others[who].wait(20) { |message| message['stream'] == stream && told.include?(message['t']) } }
    answers.each { |who, value| say(who, 'poll.answer', stream, round: round, value: value) }
  end

  def questions
    stream = "questions/#{@sitting}"
    say('odalys', 'question.set', stream, review: false, nameless: true)
    say('mirela', 'question.ask', stream, id: 'bar', text: 'What if she cannot turn because of the bar?', nameless: false)
    say('jonas', 'question.ask', stream, id: 'anchor', text: 'Does the rule hold at anchor?', nameless: true)
    say('gethin', 'question.ask', stream, id: 'pilot', text: 'Is a pilot boat different?', nameless: false)
    { 'anchor' => %w[amadou bettina cosmin hana ines mirela], 'pilot' => %w[emre keiko] }.each do |id, people|
      people.each { |who| say(who, 'question.vote', stream, id: id, on: true) }
    end
    say('odalys', 'question.set', stream, review: true, nameless: true)
    say('delphine', 'question.ask', stream, id: 'stop', text: 'Why would he sound one long blast there?', nameless: true)
    say('odalys', 'question.answer_now', stream, id: 'bar')
  end

  # The fog drill: dealt by its cue, opened, and everyone at work in their rooms.
  def rooms
    @odalys.click_button('Go on to Fog drill')
    @odalys.find('button', text: /\AFog drill: deal/).click
    @odalys.click_button('Look at who is where')
    @odalys.has_css?('[aria-label="Who is where"] li') || raise('nobody was dealt')
    shoot(@odalys, 'rooms')
    @odalys.within('[aria-label="Who is where"]') { @odalys.click_button('Open 3 rooms') }
    @farah.has_css?('[aria-label^="Room "]', wait: 40) || raise('nobody went to a room')
    work_in_rooms
    @odalys.has_text?('calls')
    shoot(@odalys, 'walk-round')
    resize(@farah, 390, 844)
    shoot(@farah, 'room-phone')
    resize(@farah, 1280, 800)
  end

  def work_in_rooms
    sleep 1
    rooms = ARCHIVE.log.state("staff/#{@sitting}").first.activities.open[:rooms]
    rooms.first(2).each_with_index do |room, i|
      drawing = Demo::Drawing.new(prefix: "room#{i}")
      board = "board/#{room[:boards].first[:id]}"
      (room[:people] - ['farah']).each_with_index do |who, k|
        say(who, 'board.put', board,
            marks: [drawing.text(90 + (510 * k), 300 + (120 * i), SOUNDS[k % 3], ink: INKS[k % 3])])
        say(who, 'class.signal', "place/#{@sitting}.#{room[:id]}", signal: 'done') if k.zero?
      end
    end
    caller = (rooms[1][:people] - ['farah']).last
    say(caller, 'room.call', "place/#{@sitting}.#{rooms[1][:id]}", on: true)
  end

  # Everybody's copy of the crossing, some of them begun.
  def wall
    @odalys.click_button('Hand out')
    copies = @others.except('tomas').transform_values { |wire| wire.wait(30) { |message| message['kind'] == 'copy_given' }['body']['board'] }
    copies.first(8).each_with_index do |(who, copy), index|
      drawing = Demo::Drawing.new(prefix: "own#{index}")
      marks = [drawing.arrow([560 + 20 * index, 640], [860, 420 + 30 * index], ink: 'brick'), drawing.text(300, 180 + 40 * index, 'gives way', ink: 'lake')].first(1 + index % 2)
      say(who, 'board.put', "board/#{copy}", marks: marks)
    end
    @odalys.find('button', text: /\A\d+ cop/).click
    @odalys.has_text?('have begun')
    shoot(@odalys, 'class-wall')
  end

  # The same class on a phone.
  def small
    { 'class-phone' => [@farah, 390, 844] }.each do |name, (session, width, height)|
      resize(session, width, height)
      shoot(session, name)
      resize(session, 1280, 800)
    end
  end

  def resize(session, width, height)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: width < 900)
  end

  def write_names
    NAMES.each_with_index do |name, index|
      mark = { id: "name-#{name}", page: 'p1', kind: 'text', x: 120 + 360 * (index % 4), y: 240 + 160 * (index / 4), text: name,
               ink: Veranda::Core::Boards::Inks::NAMES[index % 6], size: 40, w: 300 }
      say(name.downcase, 'board.put', 'board/rules-names', marks: [mark])
    end
  end

  def talk
    drawing = Demo::Drawing.new(prefix: 'talk')
    say('bettina', 'board.put', 'board/rules-crossing', marks: [drawing.ellipse(560, 400, 90, 70, ink: 'plum'), drawing.text(680, 410, 'who sees whose red light?', ink: 'plum')])
    say('odalys', 'board.put', 'board/rules-crossing', marks: [drawing.note(1150, 700, "Give-way vessel acts\nearly and clearly:\nturn to starboard.", w: 330)])
    say('jonas', 'exchange.post', "exchange/#{@sitting}.main", id: 'q1', text: 'Does a sailing boat count as give-way here?')
    say('odalys', 'exchange.post', "exchange/#{@sitting}.main", id: 'q2', text: 'In a narrow channel she must not impede a vessel that can only keep to it.')
    say('keiko', 'exchange.post', "exchange/#{@sitting}.main", id: 'q3', text: 'What if Green cannot turn because of the bar?')
    %w[jonas mirela].each { |who| say(who, 'class.raise_hand', "place/#{@sitting}.main") }
    say('odalys', 'class.rule', "place/#{@sitting}.main", right: 'draw', allow: false)
    say('odalys', 'class.lend_floor', "place/#{@sitting}.main", person: 'bettina')
    { 'amadou' => 'done', 'cosmin' => 'done', 'gethin' => 'done', 'hana' => 'slower', 'ines' => 'done', 'tomas' => 'back_soon' }
      .each { |who, signal| say(who, 'class.signal', "place/#{@sitting}.main", signal: signal) }
  end

  # Through the real socket of whoever says it.
  def say(who, command, stream, **input)
    wire = (@wires ||= {})[who] ||= Wire.join(@server, who, { sitting: @sitting })
    answer = wire.give(command, stream, input)
    raise "#{who}: #{answer}" if answer['t'] == 'refused'
  end

  # What is said, as the assistant types it.
  def caption
    ['Two lights and then the red one: who gives way here?', 'Look at the bearing first.'].each_with_index do |words, i|
      say('odalys', 'class.caption', "place/#{@sitting}.main", id: "said#{i}", words: words, lang: 'en', took: 1_500)
    end
  end

  # Ten seconds are cut, and how loud it was is known.
  def edit
    at = ARCHIVE.sittings.state(@sitting).stretches.first[:from] + 40_000
    Veranda::Deciding::Perform.call(ARCHIVE.log, 'recording.cut', { id: 'cut', from: at, to: at + 10_000 }, stream: "recording/#{@sitting}",
                                                                                                            by: Demo::School.person('odalys'))
    150.times { ARCHIVE.tracks.unmeasured(@sitting).empty? ? break : sleep(0.4) }
    visit(@odalys, "/recordings/#{@sitting}?at=#{@seen_at - 2_000}", '[role=slider]')
    @odalys.click_button('Edit')
    @odalys.has_css?('[aria-label="What was changed"]')
    @odalys.has_css?('[aria-label="Edit the recording"] svg rect', visible: :all)
    shoot(@odalys, 'recording-edit')
  end

  def recordings
    visit(@odalys, '/recordings', 'article')
    @odalys.find('[aria-label="Find in all recordings"]').set('springs')
    @odalys.has_css?('[aria-label="Where it was found"]')
    shoot(@odalys, 'recordings')
    say('odalys', 'class.end', "sitting/#{@sitting}")
    150.times { ARCHIVE.tracks.state(@sitting) == 'ready' ? break : sleep(0.4) }
    visit(@odalys, "/recordings/#{@sitting}?at=#{@seen_at - 6_000}", '[role=slider]')
    @odalys.click_button('Captions')
    @odalys.find('[role=menuitem]', text: 'Show captions').click
    @odalys.click_button('What was said')
    @odalys.click_button('Play')
    sleep 7
    shoot(@odalys, 'player')
    edit
    visit(@farah, '/classes/tide-class/after', '[aria-label=Polls]')
    shoot(@farah, 'after-class')
  end
end

Screenshots.new.take
Server.stop_all
Worker.stop
