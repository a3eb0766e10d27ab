# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Lessons::Legibility do
  let(:dark) { ->(*) { { across: 1, colours: %w[#102030] } } }
  let(:words) { text('t', 'Give way', x: 100, y: 200, w: 300, size: 60) }

  # @return [Array<Symbol>] what is found of words that lie on something
  def found(words, beneath = nil)
    marks = [beneath, words].compact.each_with_index.to_h { |mark, i| [mark[:id], mark.merge(z: i, by: 'odalys', at: 1).freeze] }
    described_class.of(Core::Boards::Board.new(marks: marks, top: 2), tones: dark).map { |one| one[:code] }
  end

  def picture(**at) = { id: 'i', page: 'p1', kind: 'image', ink: 'slate', material: 'deck', version: 1, slide: 1, **at }

  it 'looks at what covers the middle of a text' do
    _, top, _, height = Core::Boards::Mark.bounds(words)
    middle = top + height / 2.0
    within = { x: 0, y: 0, w: 251, h: middle + 1 }
    expect(found(words, picture(**within))).to eq(%i[faint_text])
    [{ w: 249 }, { h: middle - 1 }, { x: 251, w: 300 }, { y: middle + 1, h: 300 }].each do |off|
      expect(found(words, picture(**within, **off))).to eq([])
    end
  end

  it 'leaves notes alone, which bring their own paper, and looks at the topmost cover only' do
    note = note('n', 'Give way', x: 100, y: 200, w: 300, h: 80, size: 60)
    expect(found(note, picture(x: 0, y: 0, w: 900, h: 900))).to eq([])
    expect(found(words)).to eq([])
  end
end
