# frozen_string_literal: true

require_relative '../../core_helper'
require 'open3'

# The outline of a pressed stroke is drawn on screen by a library; the core follows it step for step. Here
# both draw the same random strokes.
RSpec.describe Core::Boards::StrokeOutline do
  library = File.expand_path('../../../web/node_modules/perfect-freehand/dist/esm/index.mjs', __dir__)
  script = <<~JS
    import { getStroke } from '#{library}';
    const options = { thinning: 0.5, smoothing: 0.5, streamline: 0, simulatePressure: false, last: true };
    let text = '';
    for await (const part of process.stdin) text += part;
    console.log(JSON.stringify(JSON.parse(text).map(({ points, size }) => getStroke(points, { ...options, size }))));
  JS

  def random_stroke(seed)
    rng = Random.new(seed)
    x = y = 0.0
    heading = rng.rand * 6
    points = Array.new([1, 2, 3, 10, 40, 80][seed % 6]) do
      heading += (rng.rand - 0.5) * (seed.odd? ? 0.8 : 4)
      x += 9 * Math.cos(heading)
      y += 9 * Math.sin(heading)
      [x, y, rng.rand]
    end
    { points: points, size: 2 + rng.rand(18) }
  end

  # One whose points lie closer together than it is wide, some of them one upon another, and whose pen did not always tell.
  def crowded_stroke(seed)
    rng = Random.new(seed)
    x, y = rng.rand * 9, rng.rand * 9
    points = Array.new([1, 2, 3, 4, 7, 30][seed % 6]) do
      hop = [0, 0, 0.3, 1, 2, 5, 14, 160][rng.rand(8)]
      x += hop * (rng.rand - 0.5)
      y += hop * (rng.rand - 0.3)
      [x, y, *[rng.rand.round(2)][0, rng.rand(5).clamp(0, 1)]]
    end
    { points: points, size: 2 + rng.rand(40) }
  end

  it 'is the outline that the screen draws', if: File.exist?(library) do
    strokes = (1..60).map { |seed| random_stroke(seed) } + (1..240).map { |seed| crowded_stroke(seed) }
    said, = Open3.capture2('node', '--input-type=module', '-e', script, stdin_data: JSON.generate(strokes))
    expected = JSON.parse(said)

    strokes.zip(expected).each do |stroke, outline|
      drawn = described_class.call(stroke[:points], stroke[:size])
      expect(drawn.length).to eq(outline.length)
      drawn.flatten.zip(outline.flatten).each { |ours, theirs| expect(ours).to be_within(1e-6).of(theirs) }
    end
  end

  it 'is wider where the pen was pressed' do
    edges = ->(press) { described_class.call([[0, 0, press], [50, 0, press], [100, 0, press]], 10).map(&:last).minmax }
    light, hard = edges.call(0.2), edges.call(0.9)
    expect(hard[1] - hard[0]).to be > 1.5 * (light[1] - light[0])
  end

  it 'keeps the points at which the pressure bends, though they lie on a straight line' do
    points = (0..20).flat_map { |i| [i * 10, 0] }
    press = (0..20).map { |i| i < 10 ? 0.2 : 0.2 + (i - 10) * 0.08 }
    kept = Core::Boards::Simplify.indices(points, press: press, width: 8)
    expect(kept).to include(10)
    expect(kept.length).to be < 8
  end
end
