# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Lessons::Readiness do
  let(:track) { board }
  let(:odalys) { person(:odalys) }
  let(:step) { { id: 'one', title: 'One', minutes: 20, shortest: 10, board: 'b1' } }

  def found(tones: nil, **more)
    lesson = { steps: [step.merge(more.delete(:step) || {})], minutes: 30, starts_at: 0, record_from: 'one' }
    described_class.of(lesson, now: 0, boards: { 'b1' => track.state }, names: { 'b1' => 'Crossing' }, tones: tones, **more)
  end

  def put(*marks) = track.do(odalys, 'board.put', { marks: marks })

  it 'is empty when all is well' do
    put(text('t', 'Pell Light'))
    expect(found).to be_empty
  end

  it 'finds letters that are too small on a laptop, with the mark' do
    put(text('t', "leg 2\nand more", size: 23))
    expect(found).to match([a_hash_including(code: :small_text, board: 'b1', page: 'p1', mark: 't', says: '“leg 2” is 11 px on a laptop (Crossing).')])
  end

  it 'quotes up to 24 letters whole, and the beginning of more' do
    put(text('whole', 'abcdefghijklmnopqrstuvwx', size: 20), text('long', 'abcdefghijklmnopqrstuvwxy', y: 90, size: 20))
    expect(found.map { |one| one[:says][/“.*”/] }).to eq(%w[“abcdefghijklmnopqrstuvwx” “abcdefghijklmnopqrstuv…”])
  end

  # WCAG 2.2, 1.4.3, with ratios from its own formula: the inks reach 4.5:1 on paper and on their own washes
  # they may not. #777777 on white is the textbook pair just below: 4.48:1.
  it 'measures contrast by the formula of WCAG' do
    expect(Core::Boards::Inks.contrast('#777777', '#FFFFFF')).to be_within(0.005).of(4.48)
    expect(Core::Boards::Inks.contrast('#000000', '#FFFFFF')).to eq(21.0)
  end

  it 'judges text by what lies beneath: a slide’s tones, a filled shape, a note above' do
    dark = { across: 4, colours: ['#FFFFFF'] * 8 + ['#23313A'] * 8 }
    track.do(odalys, 'board.lay_slides', { material: 'deck', version: 1, slides: [{ slide: 1, w: 1600, h: 1000 }] })
    put(text('light', 'on white', y: 100, size: 32), text('dark', 'on slate', y: 800, size: 32))
    expect(found(tones: ->(*) { dark })).to match([a_hash_including(code: :faint_text, mark: 'dark')])

    put(box('cover', 80, 780, 500, 120, fill: true))
    track.do(odalys, 'board.arrange', { ids: ['dark'], way: 'to_front' })
    expect(found(tones: ->(*) { dark })).to be_empty
  end

  it 'tells many alike as one' do
    put(*(1..9).map { |i| text("t#{i}", "tiny #{i}", y: 80 * i, size: 20) })
    expect(found.map { |one| one[:says] }.last).to eq('5 more texts are as small.')
    expect(found.length).to eq(5)
  end

  it 'finds materials that failed, wait or may look different' do
    materials = [{ id: 'a', title: 'Lights', state: 'failed', findings: [] }, { id: 'b', title: 'Tides', state: 'working', findings: [] },
                 { id: 'c', title: 'Chart', state: 'ready', findings: [{ code: 'font_missing' }] }, { id: 'd', title: 'Fine', state: 'ready', findings: [] },
                 { id: 'e', title: 'Deck', state: 'ready', findings: [], newer: 'failed' }]
    expect(found(materials: materials).map { |one| one.values_at(:code, :material) })
      .to eq([[:material_failed, 'a'], [:material_waiting, 'b'], [:material_doubtful, 'c'], [:material_failed, 'e']])
  end

  it 'finds cues that play nothing yet' do
    cues = [{ id: 'a', kind: 'clip' }, { id: 'b', kind: 'clip', material: 'm' }]
    expect(found(step: { cues: cues }).map { |one| one.values_at(:code, :step) }).to include([:clip_not_chosen, 'one'])
    expect(found(step: { cues: cues.drop(1) }).map { |one| one[:code] }).not_to include(:clip_not_chosen)
  end

  it 'finds students without an address and boards that stay empty' do
    people = [{ name: 'Lamar Quist', role: 'student', address: nil }, { name: 'Odalys Brandt', role: 'instructor', address: nil },
              { name: 'Farah Lindqvist', role: 'student', address: 'farah@tidewater.example' }]
    expect(found(people: people).map { |one| one[:says] }).to eq(['Lamar has no address.'])
    expect(found(step: { rules: { draw: false, post: true, props: true } })).to match([a_hash_including(code: :empty_board, step: 'one')])
  end
end
