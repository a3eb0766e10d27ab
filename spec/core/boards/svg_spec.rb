# frozen_string_literal: true

require_relative '../../core_helper'
require 'rexml/document'

RSpec.describe 'A page as SVG' do
  let(:track) { board }

  def written = Core::Boards::SvgWriter.new(track.state, 'p1', title: 'Crossing').call
  def read(text = written) = Core::Boards::SvgReader.new(text).call

  def random_mark(rng, index)
    base = { id: "m#{index}", page: 'p1', x: rng.rand(1600), y: (rng.rand * 1000).round(1),
             ink: Core::Boards::Inks::NAMES.sample(random: rng), **(rng.rand(4).zero? ? { locked: true } : {}) }
    kind = Core::Boards::Mark::KINDS.sample(random: rng)
    case kind
    when *Core::Boards::Mark::DRAWN
      base.merge(kind: kind, width: 4, points: Array.new(2 * (2 + rng.rand(20))) { (rng.rand * 300 - 150).round(1) })
    when *Core::Boards::Mark::BOXED
      base.merge(kind: kind, width: 3, w: rng.rand(400), h: (rng.rand * 200).round(1), fill: rng.rand(2).zero?)
    else
      base.merge(kind: kind, text: ['Give way & <turn>', "two\nlines", ' “É” ', 'a"b\'c', ''].sample(random: rng), size: 28,
                 w: 300)
    end
  end

  20.times do |seed|
    it "reads back to equal marks, authors, inks and locks (random page #{seed})" do
      rng = Random.new(seed)
      people = [person(:odalys), person(:tomas)]
      25.times { |i| track.do(people.sample(random: rng), 'board.put', { marks: [random_mark(rng, i)] }) }

      expect(read.marks).to match_array(track.state.on_page('p1'))
      expect(read.marks.map { |mark| mark[:id] }).to eq(track.state.on_page('p1').map { |mark| mark[:id] })
      expect(read.authors).to eq(track.state.authors)
    end
  end

  it 'is an SVG that any viewer can draw, with text as text' do
    track.do(person(:odalys), 'board.put', { marks: [stroke('m1'), note('n1', 'Turn to starboard')] })
    svg = REXML::Document.new(written).root

    expect(svg.namespace).to eq('http://www.w3.org/2000/svg')
    expect(svg.attributes['viewBox']).to eq('0 0 1600 1000')
    expect(svg.get_elements('g/text/tspan').map(&:text)).to eq(['Turn to starboard'])
    expect(svg.get_elements('g/path').first.attributes['stroke']).to eq('#2C5F8A')
  end

  it 'refuses what is not a board: other SVG, broken files, and entities that would unfold' do
    bomb = '<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>'
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', '<svg', 'hello', '', bomb].each do |text|
      expect { read(text) }.to refusing(:not_a_board)
    end
  end
end
