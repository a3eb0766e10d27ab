# frozen_string_literal: true

require_relative '../spec_helper'

# Students come by phone.
RSpec.describe 'At the size of a phone', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:farah) { browser(:farah, server) }

  before do
    fresh_class
    farah.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: 390, height: 844, deviceScaleFactor: 1, mobile: false)
    sign_in(farah, :farah)
  end

  after { close_browsers }

  def box(selector) = farah.find(selector, match: :first).rect

  # A class that was recorded and is shared.
  def recorded
    sitting = fresh_class[:sitting]
    perform('farah', 'class.join', "sitting/#{sitting}")
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    sleep 0.1
    perform('odalys', 'class.end', "sitting/#{sitting}")
    ARCHIVE.recordings.update(sitting, shared: true)
    sitting
  end

  # What the page holds that ends right of its edge.
  def beyond
    farah.evaluate_script(<<~JS)
      [...document.querySelectorAll('h1, h2, h3, a, button, article, aside, main')]
        .filter((one) => one.getBoundingClientRect().right > innerWidth + 1).map((one) => one.outerHTML.slice(0, 80))
    JS
  end

  it 'the desk is as wide as the page' do
    fresh_lesson
    farah.visit("#{server.address}/")
    expect(box('main').width).to be > 360
    expect(box('article').width).to be > 250
    expect(beyond).to eq([])
    expect_accessible(farah)
  end

  it 'the player shows its board above what was written' do
    farah.visit("#{server.address}/recordings/#{recorded}")
    farah.find('[role=slider]')
    main, aside = box('main'), box('aside')
    expect(main.width).to be > 360
    expect(main.height).to be > 250
    expect(aside.y).to be >= main.y + main.height - 1
    expect(beyond).to eq([])
    expect_accessible(farah)
  end
end
