# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Recordings::Levels do
  def levels(*tracks, to: 10_000) = described_class.new(tracks.map { |began, *levels| { began_at: began, levels: levels } }, from: 0, to: to)

  it 'are the loudest of all who were heard, and silent where nobody was' do
    two = levels([1_000, 80, 2, 0, 60], [2_000, 10, 0, 0, 90])
    expect(two.parts).to eq([0, 80, 10, 0, 60, 90, 0, 0, 0, 0])
    expect(two.silences).to eq([[2_000, 4_000], [6_000, 10_000]])
  end

  it 'leave out what lies before and after, and tell a long class in parts' do
    long = levels([-2_000, 99, 99, 50, *([0] * 1_199), 70, 99], to: 1_200_000)
    expect([long.every, long.parts.length, long.parts.first, long.parts.last]).to eq([2, 600, 50, 0])
    expect(levels.silences).to eq([])
  end
end
