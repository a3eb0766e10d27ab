# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../support/cable'

# Two people whose network is cut while they draw and write. What ChromeDriver calls network conditions leaves open WebSockets alone,
# so that a cable is pulled out here.
RSpec.describe 'A cut network', type: :journey do
  include Browsers

  let(:server) { Server.shared }
  let(:cable) { Cable.new(server) }
  let(:people) { %w[farah jonas].to_h { |who| [who, browser(who.to_sym, server)] } }
  let(:odalys) { Wire.join(server, 'odalys', { sitting: @made[:sitting] }) }

  before do
    @made = fresh_class
    odalys.do('class.move', "sitting/#{@made[:sitting]}", step: 'one')
    people.each do |who, session|
      sign_in(session, who)
      session.visit("#{cable.address}/classes/#{@made[:sitting]}")
      expect(session).to have_css('[data-testid=paper]')
    end
  end

  after do
    close_browsers
    cable.close
  end

  def write(session, words)
    box = session.find('textarea[aria-label^="Write to"]')
    box.send_keys(words, :enter)
    expect(session).to have_css('[data-testid=post]', text: words)
  end

  # Ids of the marks on the board and texts of the posts, in order, as a page shows them.
  def seen(session)
    [session.all('[data-mark]').map { |mark| mark['data-mark'] }.sort, session.all('[data-testid=post]').map { |post| post.text.lines.last.strip }]
  end

  it 'loses nothing and doubles nothing of what is drawn and written meanwhile' do
    farah, jonas = people.values
    people.each { |who, session| write(session, "#{who} before") }
    cable.pull
    # A good 20 s.
    20.times do |i|
      people.each do |who, session|
        next write(session, "#{who} #{i}") if (i % 5).zero?

        draw(session, [-200 + i * 18, who == 'farah' ? -60 : 60], [14, 22])
      end
      sleep 0.8
    end
    people.each_value { |session| expect(session).to have_text('on its way') }
    cable.put_back
    people.each_value do |session|
      expect(session).to have_no_text('on its way')
      expect(session).to have_css('[data-testid=post]', count: 10)
      expect(session).to have_css('[data-kind=stroke]', count: 32)
    end
    expect(seen(farah)).to eq(seen(jonas))
    texts = ARCHIVE.log.state("exchange/#{@made[:sitting]}.main").first.posts.values.map { |post| post[:text] }
    expect(texts.tally.values.uniq).to eq([1])
    %w[farah jonas].each { |who| expect(texts.grep(/\A#{who}/)).to eq(["#{who} before", *[0, 5, 10, 15].map { |i| "#{who} #{i}" }]) }
    expect(seen(farah).last).to eq(texts)
  end
end
