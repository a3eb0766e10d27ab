# frozen_string_literal: true

require_relative '../spec_helper'

# Every main view at the size of a phone, an upright tablet, a small laptop and a laptop, with long names, many posts and many people:
# nothing to be moved sideways, no words over words, nothing out of reach or too small for a finger.
RSpec.describe 'How pages lie', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  sizes = [[390, 844], [820, 1180], [1024, 768], [1280, 800]]
  check = File.read(File.join(__dir__, '../support/layout.js'))

  after { close_browsers }

  # A class with everything that makes a page crowded.
  def crowded
    @crowded ||= fresh_class(lesson: fresh_lesson('A very long title of a lesson on sound signals in restricted visibility')[:lesson]).tap do |made|
      sitting = "sitting/#{made[:sitting]}"
      perform('odalys', 'class.join', sitting)
      perform('odalys', 'class.move', sitting, step: 'one')
      newcomers.each { |person| performed(person, 'class.join', sitting) }
      newcomers.first(3).each { |person| performed(person, 'class.raise_hand', "place/#{made[:sitting]}.main") }
      newcomers.values_at(0, 12).each { |person| performed(person, 'class.drop', sitting) }
      60.times { |i| performed(newcomers[i % 13], 'exchange.post', "exchange/#{made[:sitting]}.main", id: "p#{i}", text: "Post #{i}: #{'words ' * (i % 9)}") }
    end
  end

  def newcomers
    @newcomers ||= Array.new(13) do |i|
      name = "Maximiliana Wolfeschlegelsteinhausen #{i}"
      Veranda::Core::Person.new(id: ARCHIVE.people.add(name), name: name, role: 'student')
    end
  end

  def performed(person, wire_name, stream, **input)
    order = Veranda::Deciding::Order.of(wire_name, JSON.parse(JSON.generate(input)), stream: stream, by: person)
    Veranda::Deciding::Performer.new(ARCHIVE.log).perform([order], at: Lessons::NOW.call)
  end

  def recorded
    made = fresh_class
    perform('farah', 'class.join', "sitting/#{made[:sitting]}")
    perform('odalys', 'class.record', "sitting/#{made[:sitting]}", on: true)
    12.times { |i| perform('farah', 'exchange.post', "exchange/#{made[:sitting]}.main", id: "r#{i}", text: "Post #{i}") }
    sleep 0.1
    perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
    ARCHIVE.recordings.update(made[:sitting], shared: true)
    made[:sitting]
  end

  views = {
    'the desk' => [%w[odalys farah], ->(spec) { spec.fresh_lesson && '/' }, 'article'],
    'the calendar' => [%w[odalys farah], ->(spec) { spec.fresh_lesson && '/calendar' }, '[aria-label="The day"] h3'],
    'a class' => [%w[odalys farah], ->(spec) { "/classes/#{spec.crowded[:sitting]}" }, '[data-testid=paper]'],
    'a lesson' => [%w[odalys farah], ->(spec) { "/lessons/#{spec.crowded[:lesson]}" }, '[data-testid=paper]'],
    'the doors' => [%w[odalys farah], ->(spec) { "/lessons/#{spec.fresh_lesson[:lesson]}/class" }, 'h2'],
    'a course' => [%w[odalys], ->(_) { '/courses/navigation' }, 'main li'],
    'the shelf' => [%w[odalys], ->(_) { '/shelf/navigation' }, 'main'],
    'the boards' => [%w[odalys], ->(_) { '/boards' }, 'main'],
    'the recordings' => [%w[odalys farah], ->(spec) { spec.recorded && '/recordings' }, 'main'],
    'the player' => [%w[odalys farah], ->(spec) { "/recordings/#{spec.recorded}" }, '[role=slider]'],
    'what is left of a class' => [%w[odalys farah], ->(spec) { "/classes/#{spec.recorded}/after" }, 'h2']
  }

  views.each do |view, (people, path, awaited)|
    people.each do |who|
      it "#{view}, for #{who}" do
        session = browser(who.to_sym, server)
        sign_in(session, who)
        session.visit(server.address + path.call(self))
        expect(session).to have_css(awaited)
        found = sizes.flat_map { |size| looked(session, *size, check) }
        expect(found.join("\n")).to eq('')
      end
    end
  end

  it 'how people are split, who is where before rooms open, every room at once, and inside one' do
    made = crowded
    odalys, farah = browser(:odalys, server), browser(:farah, server)
    { odalys: odalys, farah: farah }.each do |who, session|
      sign_in(session, who.to_s)
      session.visit("#{server.address}/classes/#{made[:sitting]}")
      expect(session).to have_css('[data-testid=paper]')
    end
    odalys.click_button('Split into rooms')
    expect(odalys).to have_text('people are here to be split')
    odalys.find('summary', text: 'More about the rooms').click
    found = sizes.flat_map { |size| looked(odalys, *size, check) }
    plan = { by: 'rooms', number: 6, minutes: 10, grace: 0, open_doors: true, free: true, words: 'Say what you see, and why. ' * 4,
             names: ['Corran Narrows, north of the bar', 'Pell'] }
    visitor = VisitorClient.new(server, as: 'odalys')
    activity = visitor.post("/api/classes/#{made[:sitting]}/rooms", { plan: plan, name: 'A fog drill with a long name' }).body['activity']
    expect(odalys).to have_css('[aria-label="Who is where"]')
    found += sizes.flat_map { |size| looked(odalys, *size, check) }
    expect(visitor.post("/api/classes/#{made[:sitting]}/rooms/#{activity}/open").status).to eq(200)
    expect(odalys).to have_css('[aria-label="Walk round"]')
    expect(farah).to have_text('Say what you see, and why.')
    room = ARCHIVE.log.state("staff/#{made[:sitting]}").first.activities.room_for('farah')
    perform('farah', 'room.call', "place/#{made[:sitting]}.#{room}", on: true)
    perform('odalys', 'rooms.announce', "staff/#{made[:sitting]}", activity: activity, rooms: [room], id: 'a', words: 'Five minutes more, and then one of you reports. ' * 3)
    found += [odalys, farah].flat_map { |session| sizes.flat_map { |size| looked(session, *size, check) } }
    found += seen_and_taken_back(odalys, made[:sitting], activity, sizes, check)
    expect(found.join("\n")).to eq('')
  end

  # A room read from outside, people to be moved, and what all made.
  def seen_and_taken_back(odalys, sitting, activity, sizes, check)
    odalys.click_button('Read: Pell')
    found = sizes.flat_map { |size| looked(odalys, *size, check) }
    odalys.click_button('All rooms')
    odalys.click_button('For all rooms: More')
    odalys.find('li', text: 'Move people').click
    found += sizes.flat_map { |size| looked(odalys, *size, check) }
    rooms = ARCHIVE.log.state("staff/#{sitting}").first.activities[activity][:rooms].map { |room| room[:id] }
    perform('odalys', 'rooms.time', "staff/#{sitting}", activity: activity, rooms: rooms, left: 0, grace: 0)
    expect(odalys).to have_css('[aria-label="What the rooms made"]')
    odalys.click_button('Choose all')
    found + sizes.flat_map { |size| looked(odalys, *size, check) }
  end

  it 'would be noticed' do
    fresh_lesson
    session = browser(:farah, server)
    sign_in(session, 'farah')
    session.visit("#{server.address}/")
    expect(session).to have_css('article')
    session.execute_script(<<~JS)
      const style = document.createElement('style');
      style.textContent = 'h1 { margin-bottom: -24px !important } nav a { min-height: 20px !important; padding: 0 !important } #root { min-width: 1300px }';
      document.head.append(style);
    JS
    found = looked(session, 390, 844, check).join("\n")
    expect(found).to match(/lies over/).and match(/“Desk” is \d+ × 2\d/).and match(/beyond the edge|px wide|sideways/)
  end

  # @return [Array<String>]
  def looked(session, width, height, check)
    session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height, deviceScaleFactor: 1, mobile: width < 900)
    settle(session)
    largest = larger_than_paper(session)
    wrong = session.evaluate_script("(#{check})(#{width}, #{width < 900})") + [largest].compact + inaccessible(session)
    wrong.map { |words| "#{width} × #{height}: #{words}" }
  end

  # @return [Array<String>] what axe finds, with the elements that it finds it in
  def inaccessible(session)
    axe = Axe::Core.new(session).call(Axe::API::Run.new.tap { |run| run.according_to(:wcag2a, :wcag2aa, :wcag21a, :wcag21aa, :wcag22aa) })
    axe.results.violations.map { |each| "#{each.id}: #{each.nodes.map { |node| "#{node.html.to_s[0, 160]} (#{node.failureSummary})" }.join('; ')}" }
  end

  # The board is the largest thing in a class.
  def larger_than_paper(session)
    session.evaluate_script(<<~JS)
      (() => {
        const area = (one) => one.getBoundingClientRect().width * one.getBoundingClientRect().height;
        const paper = document.querySelector('[data-testid=paper]');
        if (!paper || !location.pathname.startsWith('/classes/')) return null;
        const larger = [...document.querySelectorAll('header, aside, section, [role=toolbar]')].find((one) => area(one) > area(paper));
        return larger ? `${larger.getAttribute('aria-label') ?? larger.tagName} is larger than the paper` : null;
      })()
    JS
  end
end
