# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Lines, text and inks on a board' do
  describe Veranda::Core::Boards::Simplify do
    # Worked by hand from Douglas and Peucker (1973), method 2: of five points, the middle one lies
    # 3 off the chord and stays, its neighbours lie within 1 of the new chords and go.
    it 'keeps what lies farther off than the tolerance' do
      line = [0, 0, 2, 1.1, 5, 3, 8, 1.5, 10, 0]
      expect(described_class.call(line, tolerance: 1)).to eq([0, 0, 5, 3, 10, 0])
    end

    it 'drops all between the ends of a straight line and nothing of a single point' do
      expect(described_class.call([0, 0, 1, 1, 2, 2, 9, 9])).to eq([0, 0, 9, 9])
      expect(described_class.call([4, 4])).to eq([4, 4])
    end

    it 'keeps a stroke that returns to where it began' do
      expect(described_class.call([0, 0, 100, 0, 100, 100, 0, 0]).length).to eq(8)
    end

    it 'never strays farther than the tolerance, on random strokes' do
      rng = Random.new(11)
      20.times do
        points = Array.new(300) { rng.rand * 800 }
        kept = described_class.call(points, tolerance: 20).each_slice(2).to_a
        all = points.each_slice(2).to_a
        expect(kept - all).to be_empty
        expect(kept.values_at(0, -1)).to eq(all.values_at(0, -1))
        segments = kept.each_cons(2).to_a
        worst = all.map { |x, y| segments.map { |(ax, ay), (bx, by)| described_class.to_segment(x, y, ax, ay, bx, by) }.min }.max
        expect(worst).to be <= 20
      end
    end

    it 'copes with 20,000 points in the worst of orders' do
      points = Array.new(20_000) { |i| [i * 0.05, Math.sin(i) * 300] }.flatten
      expect(described_class.call(points, tolerance: 0.1).length).to be > 1_000
    end
  end

  describe Veranda::Core::Boards::Inks do
    # Contrast of #767676 on white, 4.54:1, is the example given with WCAG technique G18;
    # black on white is 21:1 by definition.
    it 'computes contrast as WCAG does' do
      expect(described_class.contrast('#767676', '#FFFFFF')).to be_within(0.005).of(4.54)
      expect(described_class.contrast('#000000', '#FFFFFF')).to be_within(0.001).of(21)
    end

    it 'has only inks that are legible on paper and on notes' do
      described_class::INKS.each_value { |ink| expect(described_class.contrast(ink, described_class::PAPER)).to be >= 4.5 }
      described_class::WASHES.each_value do |wash|
        expect(described_class.contrast(described_class::INKS['slate'], wash)).to be >= 4.5
      end
    end
  end

  describe Veranda::Core::Boards::TextLayout do
    def lines(text, width: 300, size: 20) = described_class.new(text, size: size, width: width).lines

    it 'breaks at spaces so that every line fits, and loses no word' do
      text = 'A vessel crossing a narrow channel shall not impede one that can navigate only within it'
      broken = lines(text)
      expect(broken.join(' ')).to eq(text)
      expect(broken.map { |line| Veranda::Core::Boards::AdvanceWidths.of(line, 20) }).to all(be <= 300)
    end

    it 'keeps empty lines and breaks words that are too wide' do
      expect(lines("a\n\nb")).to eq(['a', '', 'b'])
      expect(lines('x' * 80, width: 100).join).to eq('x' * 80)
    end

    it 'measures unknown scripts as wide letters rather than not at all' do
      expect(Veranda::Core::Boards::AdvanceWidths.of('航海', 10)).to eq(12.8)
    end
  end

  describe Veranda::Core::Boards::StrokePath do
    it 'draws a dot, a line, and a curve through every point' do
      expect(described_class.call([3, 4])).to eq('M3 4l0.01 0')
      expect(described_class.call([0, 0, 5, 5])).to eq('M0 0L5 5')
      expect(described_class.call([0, 0, 10, 1, 20, 0]).scan(/ (\d+ \d+)(?=C|\z)/).flatten).to eq(['10 1', '20 0'])
    end

    it 'leaves corners sharp' do
      expect(described_class.call([0, 0, 10, 0, 10, 10])).to eq('M0 0C0 0 10 0 10 0C10 0 10 10 10 10')
    end
  end

  describe Veranda::Core::Boards::Mark do
    it 'knows the box around drawn, boxed and written marks' do
      expect(described_class.box(stroke('m'))).to eq([10, 15, 60, 10])
      expect(described_class.box({ kind: 'ellipse', x: 1, y: 2, w: 3, h: 4 })).to eq([1, 2, 3, 4])
      expect(described_class.box(note('n')).first(3)).to eq([100, 200, 300])
    end
  end
end
