# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Boards::Straighten do
  # What a hand makes of a shape: points along it, a little off, in a walk that wavers.
  def by_hand(corners, seed, shake: 4, every: 12)
    rng = Random.new(seed)
    off = [0.0, 0.0]
    corners.each_cons(2).flat_map do |(ax, ay), (bx, by)|
      steps = [(Math.hypot(bx - ax, by - ay) / every).ceil, 1].max
      Array.new(steps) do |i|
        off = off.map { |value| (value * 0.8 + (rng.rand - 0.5) * shake).clamp(-shake, shake) }
        [ax + (bx - ax) * i / steps.to_f + off[0], ay + (by - ay) * i / steps.to_f + off[1]]
      end
    end.flatten
  end

  def round_trip(rx, ry, seed)
    around = (0..40).map { |i| [rx * Math.cos(i * Math::PI / 20), ry * Math.sin(i * Math::PI / 20)] }
    by_hand(around, seed)
  end

  10.times do |seed|
    it "recognises shaky shapes (seed #{seed})" do
      guesses = {
        'line' => by_hand([[0, 0], [300, 80]], seed), 'rectangle' => by_hand([[0, 0], [260, 0], [260, 150], [0, 150], [0, 0]], seed),
        'ellipse' => round_trip(140, 90, seed), 'arrow' => by_hand([[0, 0], [300, 0], [255, -40], [300, 0], [258, 42]], seed),
        'polygon' => by_hand([[0, 0], [240, 10], [110, 190], [0, 0]], seed)
      }.transform_values { |points| described_class.call(points) }
      expect(guesses.transform_values { |guess| guess&.kind }).to eq(guesses.keys.to_h { |kind| [kind, kind] })
      expect(guesses.values.map(&:confidence)).to all(be_between(0.5, 1))
    end
  end

  it 'is surer of a steadier hand' do
    steady = described_class.call(by_hand([[0, 0], [300, 80]], 1, shake: 1))
    shaky = described_class.call(by_hand([[0, 0], [300, 80]], 1, shake: 14))
    expect(steady.confidence).to be > shaky.confidence
  end

  it 'makes nearly level lines level and leaves slanted ones' do
    expect(described_class.call([0, 0, 100, 2, 200, 5]).fields[:points]).to eq([0, 0, 200, 0])
    expect(described_class.call([0, 0, 100, 51, 200, 100]).fields[:points]).to eq([0, 0, 200, 100])
  end

  it 'sees nothing in a scribble' do
    rng = Random.new(3)
    scribble = Array.new(60) { |i| [i * 5 + rng.rand(60), 80 * Math.sin(i * 0.9) + rng.rand(40)] }.flatten
    expect(described_class.call(scribble)).to be_nil
  end

  it 'changes the stroke on the board, says how sure it was, and one undo brings the stroke back' do
    track = board
    track.do(person(:odalys), 'board.put', { marks: [{ id: 'm', page: 'p1', kind: 'stroke', x: 400, y: 300, width: 4, ink: 'lake', points: round_trip(140, 90, 5).map do |n|
      n.round(1)
    end }] })
    before = track.state.marks['m']
    entry = track.do(person(:odalys), 'board.straighten', { ids: ['m'] })

    expect(track.state.marks['m']).to include(kind: 'ellipse', w: be_within(15).of(280), h: be_within(15).of(180), by: 'odalys')
    expect(track.state.marks['m']).not_to have_key(:points)
    expect(entry.body[:sure]).to contain_exactly(be_between(0.5, 1))
    track.do(person(:odalys), 'board.undo')
    expect(track.state.marks['m']).to eq(before)
    expect(track.refolded.marks).to eq(track.state.marks)
  end
end
