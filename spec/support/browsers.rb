# frozen_string_literal: true

require 'capybara/rspec'
require 'selenium-webdriver'
require 'axe-rspec'
require 'fileutils'

# Real browsers, one session for each person.
module Browsers
  FLAGS = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
             --disable-component-update --disable-sync --force-device-scale-factor=1].freeze

  # Where files go that are saved from the page.
  DOWNLOADS = File.join(Veranda::Environment.var, 'downloads').tap { |path| FileUtils.mkdir_p(path) }

  Capybara.register_driver(:chromium) do |app|
    options = Selenium::WebDriver::Chrome::Options.new(binary: '/usr/bin/chromium', args: FLAGS)
    options.add_option('goog:loggingPrefs', { browser: 'ALL' })
    service = Selenium::WebDriver::Service.chrome(path: '/usr/bin/chromedriver')
    Capybara::Selenium::Driver.new(app, browser: :chrome, options: options, service: service).tap do |driver|
      driver.browser.execute_cdp('Browser.setDownloadBehavior', behavior: 'allow', downloadPath: DOWNLOADS)
    end
  end

  Capybara.default_max_wait_time = 60
  # s between two looks. To look again at once costs the very machine that what is waited for is made on.
  Capybara.default_retry_interval = 0.05
  Capybara.enable_aria_label = true

  # The pages are looked at where they stand: the other way takes each to an empty page of its own first, and has a second for that.
  Axe::Configuration.instance.legacy_mode = true

  # Browsers that specs are through with, emptied for the next: to start one costs a machine more than the page that is looked at in it.
  IDLE = [] # rubocop:disable Style/MutableConstant
  MOST_IDLE = 4

  # Somebody's own browser.
  # @param name [Symbol]
  # @param server [Server]
  def browser(name, server)
    Capybara.app_host = server.address
    @browsers ||= {}
    @browsers[name] ||= (IDLE.pop || Capybara::Session.new(:chromium)).tap do |session|
      session.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 1280, height: 800, deviceScaleFactor: 1, mobile: false)
    end
  end

  # Something was put into this browser that the next spec should not find there.
  def spoil(session) = (@spoilt ||= []) << session

  # Somebody goes to a page, signed in; wants `server`.
  # @param who [Symbol]
  def enter(who, path)
    browser(who, server).tap do |session|
      sign_in(session, who)
      session.visit("#{server.address}#{path}")
    end
  end

  # The browser has the session of somebody who is signed in. Specs of signing in go by the page; a page is what a browser takes longest for.
  # @param who [Symbol, String]
  def sign_in(session, who)
    cookie = VisitorClient.new(server, as: who.to_s).cookie.delete_prefix('veranda=')
    session.driver.browser.execute_cdp('Network.setCookie', name: 'veranda', value: cookie, url: server.address, httpOnly: true, sameSite: 'Lax')
  end

  # Leaves a picture of each page when something went wrong on one, and its words: where nobody sees the picture, those are seen.
  def close_browsers
    failed = RSpec.current_example&.exception
    @browsers&.each do |name, session|
      leave_traces(name, session) if failed
      failed || @spoilt&.include?(session) || IDLE.length == MOST_IDLE ? session.quit : put_by(session)
    end
  end

  # Cookies, what the page stored and what it said go; its programs stay compiled. Twice: while a page is left it may store something, or
  # be told of its session once more.
  def put_by(session)
    2.times { session.reset! }
    session.driver.browser.logs.get(:browser)
    IDLE << session
  rescue Selenium::WebDriver::Error::WebDriverError, Capybara::CapybaraError
    session.quit
  end

  def leave_traces(name, session)
    session.save_screenshot(File.join(Veranda::Environment.var, "failed-#{name}.png"))
    words = session.evaluate_script('document.body.innerText').to_s.squeeze(" \n").tr("\n", '·')[0, 1_500]
    warn "\n#{name} at #{session.current_path}: #{words}\n#{errors(session).first(5).join("\n")}"
  rescue Selenium::WebDriver::Error::WebDriverError, Capybara::CapybaraError => e
    warn "\nNothing is known of #{name}: #{e.message.lines.first}"
  end

  # Draws across the paper, by hand.
  # @param by [Array<Array(Integer, Integer)>] moves in px from the middle of the paper
  def draw(session, from, *by)
    paper = session.find('[data-testid=paper]').native
    action = session.driver.browser.action.move_to(paper, *from).click_and_hold
    by.each { |dx, dy| action.move_by(dx, dy) }
    action.release.perform
  end

  def keys(session, *keys) = session.driver.browser.action.send_keys(*keys).perform

  def marks(session, kind = nil) = session.all(kind ? "[data-kind=#{kind}]" : '[data-mark]', minimum: 0).length

  # No violations of WCAG 2.2 A and AA on the page as it stands, once what fades in has done so: half faded words have half the contrast.
  def expect_accessible(session)
    settle(session)
    expect(session).to be_axe_clean.according_to(:wcag2a, :wcag2aa, :wcag21a, :wcag21aa, :wcag22aa)
  end

  # Waits until nothing fades or moves any more; what does so for ever (a blinking sign) is not waited for. On a busy machine something
  # may be about to: it has to stand still for ten pictures that the page draws.
  def settle(session)
    session.evaluate_async_script(<<~JS)
      const moves = () => document.getAnimations().some((each) => each.effect.getComputedTiming().iterations !== Infinity);
      const until = performance.now() + 10000;
      let still = 0;
      const look = () => {
        still = moves() ? 0 : still + 1;
        still === 10 || performance.now() > until ? arguments[0]() : requestAnimationFrame(look);
      };
      look();
    JS
  end

  # @return [String] path of the file that was saved, once all of it is there
  def downloaded(name)
    path = File.join(DOWNLOADS, name)
    until_true("#{name} is saved", said: -> { Dir.children(DOWNLOADS) }) { File.exist?(path) }
    path
  end

  # Chooses from one of the words of the ledge or the ribbon.
  def choose(session, word, item)
    session.find('button', text: /\A#{word}\z/).click
    session.find('li[role=menuitem]', text: item, match: :first).click
    session.has_no_css?('[role=menu]')
  end

  # What went wrong in the page itself.
  def errors(session)
    session.driver.browser.logs.get(:browser).select { |line| line.level == 'SEVERE' }.map(&:message)
           .grep_v(/status of 4\d\d/)
  end
end
