# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Stage::Feeds do
  subject(:feeds) { described_class.new }

  # As the media server tells of somebody who sends a sound and a picture.
  def person(id, picture: true, talking: false)
    { id: id, streams: [{ mid: '0', type: 'audio', talking: talking }, { mid: '1', type: 'video', moderated: !picture }] }
  end

  def pictures(looked_at = []) = feeds.wanted(looked_at).select { |_, mid| mid == '1' }.map(&:first)

  it 'sends every sound, and six pictures at most, whoever speaks among them' do
    feeds.add(('a'..'j').map { |id| person(id) })
    expect(feeds.wanted([]).count { |_, mid| mid == '0' }).to eq(10)
    expect(pictures).to eq(%w[a b c d e f])
    feeds.hear({ videoroom: 'talking', id: 'j' })
    expect(pictures.first).to eq('j')
    expect(pictures(%w[h i])).to eq(%w[j h i a b c])
    feeds.hear({ videoroom: 'stopped-talking', id: 'j' })
    expect(feeds.speaking).to eq([])
  end

  it 'sends fewer pictures over a weak connection, whoever is large or speaks among them, and always a screen' do
    feeds.add([*('a'..'j').map { |id| person(id) }, person('a--screen')])
    looking = Veranda::Stage::Looking.new('b')
    looking.large = 'i'
    seen = lambda do |link|
      looking.link = link
      looking.wanted(feeds).select { |_, mid| mid == '1' }.map(&:first)
    end
    expect(seen.call('weak')).to eq(%w[a--screen i a])
    feeds.hear({ videoroom: 'talking', id: 'h' })
    expect(seen.call('weak')).to eq(%w[a--screen h i])
    expect(seen.call('poor')).to eq(%w[a--screen])
    expect(seen.call('good').length).to eq(7)
    expect(looking.wanted(feeds).count { |_, mid| mid == '0' }).to eq(10)
  end

  it 'sends sound alone to those who wish it' do
    feeds.add([person('a'), person('b'), person('a--screen')])
    expect(feeds.wanted([], pictures: false)).to eq([%w[a 0], %w[b 0], %w[a--screen 0]])
  end

  it 'knows what is stopped, and who has gone' do
    feeds.add([person('a', picture: false, talking: true), person('b')])
    expect(feeds.to_a).to eq([{ id: 'a', sound: true, picture: false }, { id: 'b', sound: true, picture: true }])
    expect(feeds.speaking).to eq(%w[a])
    expect(pictures).to eq(%w[b])
    expect(feeds.hear({ videoroom: 'event', moderation: 'unmuted', id: 'a', mid: '1' })).to eq(:changed)
    expect(pictures).to match_array(%w[a b])
    expect(feeds.hear({ videoroom: 'event', leaving: 'a' })).to eq(:changed)
    expect([feeds.to_a.map { |row| row[:id] }, feeds.speaking]).to eq([%w[b], []])
  end

  it 'sends a screen with its sound besides, and counts it among nobody' do
    feeds.add([*('a'..'g').map { |id| person(id) }, person('a--screen')])
    feeds.hear({ videoroom: 'talking', id: 'a--screen' })
    expect(feeds.wanted([]).filter { |name, _| name.end_with?('--screen') }).to eq([%w[a--screen 0], %w[a--screen 1]])
    expect(pictures.length).to eq(7)
    expect([feeds.to_a.map { |row| row[:id] }, feeds.speaking]).to eq([('a'..'g').to_a, []])
  end

  it 'passes over what it does not know' do
    expect([{ videoroom: 'event', leaving: 'nobody' }, { videoroom: 'slow_link' }, { videoroom: 'event' }, {},
            { videoroom: 'event', moderation: 'muted', id: 'x', mid: '0' }].map { |data| feeds.hear(data) }).to eq([nil, nil, nil, nil, :changed])
    expect(feeds.to_a).to eq([])
    expect(feeds.hear({ videoroom: 'destroyed', room: 'x' })).to eq(:over)
  end
end
