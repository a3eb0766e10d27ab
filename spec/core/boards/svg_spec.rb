# frozen_string_literal: true

require_relative '../../core_helper'
require 'rexml/document'

RSpec.describe 'A page as SVG' do
  let(:track) { board }

  def written = Core::Boards::SvgWriter.new(track.state, 'p1', title: 'Crossing').call
  def read(text = written) = Core::Boards::SvgReader.new(text).call

  BASES = Core::Boards::Mark
  SETTINGS = {
    'dice' => { count: 2, faces: 6 }, 'spinner' => { labels: ['Wait & see', 'Go'], weights: [1, 2.5] }, 'counter' => { shape: 'boat' },
    'timer' => { seconds: 90 }, 'picker' => { names: ['Inês "A"', 'Farah'] }
  }.freeze

  def random_mark(rng, index)
    base = { id: "m#{index}", page: 'p1', x: rng.rand(1600), y: (rng.rand * 1000).round(1),
             ink: Core::Boards::Inks::NAMES.sample(random: rng), **(rng.rand(4).zero? ? { locked: true } : {}),
             **(rng.rand(3).zero? ? { angle: (rng.rand * 300 - 150).round(1) } : {}), **(rng.rand(4).zero? ? { group: 'g1' } : {}) }
    kind = Core::Boards::Mark::KINDS.sample(random: rng)
    base.merge(kind: kind, **random_fields(kind, rng))
  end

  def random_fields(kind, rng)
    size = { w: rng.rand(400), h: (rng.rand * 200).round(1) }
    case kind
    when *BASES::DRAWN then random_line(kind, rng)
    when *BASES::BOXED then { width: 3, fill: rng.rand(2).zero?, **size }
    when *BASES::WRITTEN
      { text: ['Give way & <turn>', "two\nlines", ' “É” ', 'a"b\'c', ''].sample(random: rng), size: 28, w: 300 }
    when 'image' then { material: 'chart', version: 2, slide: 1 + rng.rand(9), alt: ['', 'A chart of "Harrow" & more'].sample(random: rng), **size }
    when 'sign' then { sign: BASES::SIGNS.sample(random: rng), **size }
    else SETTINGS.to_a.sample(random: rng).then { |prop, settings| { prop: prop, settings: settings, **size } }
    end
  end

  def random_line(kind, rng)
    count = 2 + rng.rand(20)
    press = kind == 'stroke' && rng.rand(2).zero? ? { press: Array.new(count) { rng.rand.round(2) } } : {}
    { width: 4, points: Array.new(2 * count) { (rng.rand * 300 - 150).round(1) }, **press }
  end

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
