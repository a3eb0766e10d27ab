# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Pages of a board' do
  let(:track) { board }
  let(:odalys) { person(:odalys) }

  def lay(version, count, material: 'deck')
    slides = (1..count).map { |slide| { slide: slide, w: 960, h: 720 } }
    track.do(odalys, 'board.lay_slides', { material: material, version: version, slides: slides })
  end

  def versions = track.state.pages.map { |page| track.state.page_facts.dig(page, :ground, :version) }

  it 'lays slides under an empty board from its first page on, and after the pages of one in use' do
    lay(1, 3)
    expect(track.state.pages.length).to eq(3)
    expect(track.state.page_facts['p1'][:ground]).to include(slide: 1, version: 1)
    lay(1, 2, material: 'notes')
    expect(track.state.pages.length).to eq(5)
  end

  it 'are as many as a board holds, and no more' do
    most = Core::Boards::Board::MAX_PAGES
    (2..most).each { |number| track.do(odalys, 'board.add_page', { page: "p#{number}", after: 'p1' }) }
    expect { track.do(odalys, 'board.add_page', { page: 'more', after: 'p1' }) }.to refusing(:board_full)
    expect(track.state.pages.length).to eq(most)
  end

  it 'gives a new version to the same pages; slides it lacks and all marks stay' do
    lay(1, 3)
    last = track.state.pages.last
    track.do(odalys, 'board.put', { marks: [stroke('m1').merge(page: last)] })
    lay(2, 2)
    expect(versions).to eq([2, 2, 1])
    lay(3, 4)
    expect(versions).to eq([3, 3, 3, 3])
    expect(track.state.marks['m1'][:page]).to eq(last)
    expect(track.restored.to_h).to eq(track.refolded.to_h)
    expect(lay(3, 4)).to be_nil
  end

  it 'keeps the proportions of a slide' do
    lay(1, 1)
    expect(track.state.height('p1')).to eq(1200)
  end

  it 'grows below its lowest mark when it may, and not otherwise' do
    track.do(odalys, 'board.put', { marks: [box('low', 100, 1400)] })
    expect(track.state.height('p1')).to eq(1000)
    track.do(odalys, 'board.set_page', { page: 'p1', grows: true })
    expect(track.state.height('p1')).to eq(1700)
  end

  it 'brings a page back as it was, with authors and times, and one undo takes that back' do
    farah = Core::Person.new(id: 'farah', name: 'Farah Lindqvist', role: 'assistant')
    track.do(farah, 'board.put', { marks: [stroke('m1'), note('n1', 'Keep to starboard')] })
    before = track.state.on_page('p1')
    track.do(odalys, 'board.change', { changes: [{ id: 'n1', set: { text: 'Keep to port' } }] })
    track.do(odalys, 'board.remove', { ids: ['m1'] })
    track.do(odalys, 'board.put', { marks: [stroke('m2')] })
    after = track.state.on_page('p1')

    track.do(odalys, 'board.bring_back', { page: 'p1', seq: 1 })
    expect(track.state.on_page('p1')).to eq(before)
    track.do(odalys, 'board.undo')
    expect(track.state.on_page('p1')).to eq(after)
  end

  it 'takes off one person’s marks and leaves the rest' do
    track.do(person(:tomas), 'board.put', { marks: [stroke('t1')] })
    track.do(odalys, 'board.put', { marks: [stroke('o1')] })
    track.do(odalys, 'board.clear', { page: 'p1', by: 'tomas' })
    expect(track.state.marks.keys).to eq(['o1'])
  end

  it 'can be searched by what is written, shown and labelled' do
    track.do(odalys, 'board.put', { marks: [note('n1', 'Pell Light'), prop('s', 'spinner', labels: %w[Rain Sun]), text('t', 'Marram Bar')] })
    expect(track.state.words).to include('Pell Light', 'Rain Sun', 'Marram Bar')
  end

  it 'lets students work on it outside of class only when it is given to them for that' do
    put = -> { track.do(person(:farah), 'board.put', { marks: [stroke('m1')] }) }
    expect(&put).to refusing(:no_class)
    track.outside = 'read'
    expect(&put).to refusing(:board_for_reading)
    track.outside = 'work'
    expect(track.do(person(:farah), 'board.put', { marks: [stroke('own')] })).to be_truthy
  end
end
