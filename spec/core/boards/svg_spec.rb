# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/random_marks'
require 'rexml/document'

RSpec.describe 'A page as SVG' do
  include RandomMarks

  let(:track) { board }

  def written = Core::Boards::SvgWriter.new(track.state, 'p1', title: 'Crossing').call
  def read(text = written) = Core::Boards::SvgReader.new(text).call

  20.times do |seed|
    it "reads back to equal marks, authors, inks and locks (random page #{seed})" do
      rng = Random.new(seed)
      people = [person(:odalys), person(:tomas)]
      25.times { |i| track.do(people.sample(random: rng), 'board.put', { marks: [random_mark(rng, i)] }) }
      rolled = track.state.marks.each_value.select { |mark| %w[dice spinner].include?(mark[:prop]) }
      rolled.each { |mark| track.do(people.first, 'board.use_prop', { id: mark[:id], action: mark[:prop] == 'dice' ? 'roll' : 'spin' }) }

      expect(read.marks).to match_array(track.state.on_page('p1'))
      expect(read.marks.map { |mark| mark[:id] }).to eq(track.state.on_page('p1').map { |mark| mark[:id] })
      expect(read.authors).to eq(track.state.authors)
    end
  end

  it 'keeps the slide a page is drawn on, and puts its picture beneath the marks' do
    track.do(person(:odalys), 'board.lay_slides', { material: 'deck', version: 1, slides: [{ slide: 1, w: 960, h: 540 }] })
    track.do(person(:odalys), 'board.put', { marks: [stroke('m1')] })
    text = Core::Boards::SvgWriter.new(track.state, 'p1', pictures: ->(*slide) { "data:#{slide.join('-')}" }).call
    svg = REXML::Document.new(text).root

    expect(svg.attributes['viewBox']).to eq('0 0 1600 900')
    expect(svg.elements.filter_map { |element| element.attributes['class'] }).to eq(%w[paper ground mark])
    expect(svg.get_elements('image').first.attributes['href']).to eq('data:deck-1-1')
    expect(read(text).facts).to eq(ground: { material: 'deck', version: 1, slide: 1, w: 960, h: 540 })
  end

  it 'is an SVG that any viewer can draw, with text as text' do
    track.do(person(:odalys), 'board.put', { marks: [stroke('m1'), note('n1', 'Turn to starboard')] })
    svg = REXML::Document.new(written).root

    expect(svg.namespace).to eq('http://www.w3.org/2000/svg')
    expect(svg.attributes['viewBox']).to eq('0 0 1600 1000')
    expect(svg.get_elements('g/text/tspan').map(&:text)).to eq(['Turn to starboard'])
    expect(svg.get_elements('g/path').first.attributes['stroke']).to eq('#2C5F8A')
  end

  it 'reaches beyond the page for what was written on its margin, and not for what strayed far off' do
    track.do(person(:odalys), 'board.put', { marks: [box('above', 100, -150)] })
    expect(REXML::Document.new(written).root.attributes['viewBox']).to eq('0 -170 1600 1170')
    track.do(person(:odalys), 'board.put', { marks: [box('far', 11_000, 100)] })
    expect(REXML::Document.new(written).root.attributes['viewBox']).to eq('0 -170 2400 1170')
  end

  it 'refuses what is not a board: other SVG, broken files, and entities that would unfold' do
    bomb = '<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>'
    damaged = written.sub('v:page', %(v:facts='{' v:page))
    [damaged, '<svg xmlns="http://www.w3.org/2000/svg"/>', '<svg', 'hello', '', bomb].each do |text|
      expect { read(text) }.to refusing(:not_a_board)
    end
  end
end
