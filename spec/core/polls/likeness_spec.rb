# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Polls::Likeness do
  def groups(*texts, **more) = described_class.new(texts, **more).groups.to_h { |group| [group[:words], group[:texts].to_h { |row| row.values_at(:text, :why) }] }
  def apart?(one, other) = described_class.new([one, other]).groups.length == 2

  it 'takes case, accents, signs, spaces and plural for nothing, and says so' do
    expect(groups('Fog horn', 'fog  HORNS!', 'Fóg horn', 'Fog horn')).to eq('Fog horn' => { 'Fog horn' => nil, 'Fóg horn' => 'spelling', 'fog  HORNS!' => 'spelling' })
    expect(groups('Batteries', 'battery', 'boxes', 'box').values.map(&:length)).to eq([2, 2])
    ['Ｂｏａｔ', 'boat '].each { |text| expect(apart?('boat', text)).to be(false) }
  end

  it 'takes a slip for the same word from a length on at which it makes no other, and says so' do
    expect(groups('starboard', 'starboard', 'starbord', 'strabaord')).to eq('starboard' => { 'starboard' => nil, 'starbord' => 'slip', 'strabaord' => 'slip' })
    others = [%w[port part], %w[bell ball], %w[horn hornet], ['2.7', '2.8'], ['12 miles', '13 miles'], %w[north south]]
    others.each { |one, other| expect(apart?(one, other)).to be(true), "#{one}/#{other}" }
    expect(apart?('horn', 'hron')).to be(true)
    expect(apart?('whistle', 'whsitle')).to be(false)
  end

  it 'takes 2,7 and 2.7 for one number, and keeps what is no word at all' do
    expect(groups('2,7', '2.7').length).to eq(1)
    expect(groups('?', '!', '灯台', '灯').length).to eq(4)
    expect(groups('', ' ').length).to eq(1)
  end

  it 'puts each at the nearest that most wrote, and nobody at what is only near to a neighbour' do
    found = groups(*['signalling'] * 3, 'signaling', 'sgnaling', 'signal')
    expect(found['signalling'].keys).to contain_exactly('signalling', 'signaling')
    expect(found.keys).to contain_exactly('signalling', 'sgnaling', 'signal')
    expect(groups('abcdefgh', 'abcdefgx', 'abcdefyx').length).to eq(2)
  end

  it 'follows staff who have put one to another, or by itself' do
    expect(groups('fog horn', 'whistle', moved: { 'whistle' => 'fog horn' })).to eq('fog horn' => { 'fog horn' => nil, 'whistle' => 'staff' })
    expect(groups('starboard', 'starbord', moved: { 'starbord' => 'starbord' }).keys).to contain_exactly('starboard', 'starbord')
  end

  it 'loses no answer and counts each once, whatever is written' do
    rng = Random.new(2)
    letters = ['a', 'b', 'é', 'S', ' ', '-', '7', '\'', '船', "\u0301", "\u200F"]
    100.times do
      texts = Array.new(30) { Array.new(rng.rand(12)) { letters.sample(random: rng) }.join }
      found = described_class.new(texts).groups
      expect(found.sum { |group| group[:count] }).to eq(30)
      expect(found.flat_map { |group| group[:texts].map { |row| row[:text] } }.sort).to eq(texts.uniq.sort)
    end
  end
end

RSpec.describe Core::Polls::Slips do
  # Every letter left out, put in, taken for another, and neighbours changed over, one after the other.
  def brute(one, other)
    rows = Array.new(one.length + 1) { |i| Array.new(other.length + 1) { |j| [i, j].min.zero? ? i + j : 0 } }
    (1..one.length).each do |i|
      (1..other.length).each do |j|
        cost = one[i - 1] == other[j - 1] ? 0 : 1
        rows[i][j] = [rows[i - 1][j] + 1, rows[i][j - 1] + 1, rows[i - 1][j - 1] + cost].min
        rows[i][j] = [rows[i][j], rows[i - 2][j - 2] + 1].min if i > 1 && j > 1 && one[i - 1] == other[j - 2] && one[i - 2] == other[j - 1]
      end
    end
    rows.last.last
  end

  def word(rng) = Array.new(rng.rand(9)) { 97 + rng.rand(4) }

  it 'counts as one does who fills in the whole table' do
    rng = Random.new(6)
    1_500.times do
      one, other, most = word(rng), word(rng), rng.rand(4)
      slips = brute(one, other)
      expect(described_class.between(one, other, most)).to eq(slips <= most ? slips : nil), "#{one} #{other} #{most}"
    end
  end

  it 'is looked for among many as if one had compared all' do
    rng = Random.new(3)
    60.times do
      words = Array.new(40) { Array.new(4 + rng.rand(9)) { %w[a b c d].sample(random: rng) }.join }.uniq
      nearest = Core::Polls::Nearest.new
      words.each { |one| nearest.add(one) }
      asked = words.sample(random: rng).dup.tap { |one| one[rng.rand(one.length)] = 'b' }
      slips = described_class.allowed(asked.length)
      found = words.each_with_index.filter_map do |one, i|
        between = described_class.between(asked.codepoints, one.codepoints, [slips, described_class.allowed(one.length)].min)
        [between, i, one] if between
      end.min
      expect(nearest.of(asked)).to eq(slips.zero? ? nil : found&.last)
    end
  end
end
