# frozen_string_literal: true

require_relative '../core_helper'

# Where a limit lies: what is just within it, and what is just beyond.
RSpec.describe 'At the edges' do
  let(:odalys) { person(:odalys) }

  it 'files are taken from one byte up to the most, and told when a weak connection takes over 30 s' do
    limits = Core::Materials::Limits
    check = ->(size) { limits.check_size!('deck.pdf', size) }
    expect { check.call(0) }.to refusing(:file_empty)
    [1, limits::MOST_BYTES].each { |size| expect(check.call(size)).to be_nil }
    expect { check.call(limits::MOST_BYTES + 1) }.to refusing(:file_too_large)
    expect { check.call(612 * 1024 * 1024) }.to raise_error(/“deck.pdf” has 612 MB; the shelf takes up to #{limits::MOST_BYTES / 1024 / 1024} MB/)
    codes = ->(seen) { Core::Materials::Findings.of(seen).map { |one| one[:code] } }
    expect(codes.call(size: limits::LARGE)).to be_empty
    expect(codes.call(size: limits::LARGE + 1)).to eq([:large])
    expect(codes.call(slides: limits::MANY_SLIDES)).to be_empty
    expect(codes.call(slides: limits::MANY_SLIDES + 1)).to eq([:many_slides])
    said = ->(slides) { Core::Materials::Findings.of(slides: slides).first[:says] }
    expect(said.call(limits::MOST_SLIDES)).not_to include('The first')
    expect(said.call(limits::MOST_SLIDES + 1)).to include("The first #{limits::MOST_SLIDES}")
  end

  it 'names have one to sixty characters' do
    expect(Core::Name.clean('a' * 60)).to eq('a' * 60)
    expect { Core::Name.clean('a' * 61) }.to refusing(:name_too_long)
    expect { Core::Name.clean(" \u200b ") }.to refusing(:name_missing)
  end

  it 'contracts hold numbers to their bounds, both within' do
    contract = Core::Contract.define do
      required(:from).value(:integer, gteq?: 2)
      required(:to).value(:integer, lteq?: 9)
      required(:over).value(:integer, gt?: 0)
      required(:list).value(:array, min_size?: 1, max_size?: 3).each(:integer)
      required(:text).value(:string, max_size?: 4)
    end
    fine = { 'from' => 2, 'to' => 9, 'over' => 1, 'list' => [1], 'text' => 'four' }
    expect(Core::Contract.check(contract, fine)).to eq(fine.transform_keys(&:to_sym))
    expect(Core::Contract.check(contract, fine.merge('from' => 3, 'to' => 8, 'list' => [1, 2, 3]))).to include(from: 3, to: 8)
    [{ 'from' => 1 }, { 'to' => 10 }, { 'over' => 0 }, { 'over' => -1 }, { 'list' => [] }, { 'list' => [1] * 4 }, { 'text' => 'fives' }].each do |wrong|
      expect { Core::Contract.check(contract, fine.merge(wrong)) }.to raise_error(Core::Refusal, /#{wrong.keys.first}/)
    end
    expect { Core::Contract.check(contract, fine.merge('from' => 'x', 'to' => 'y')) }.to raise_error(Core::Refusal, 'This could not be read: from must be an integer.')
  end

  it 'contracts are for named fields' do
    contract = Core::Contract.define { required(:id).filled(:string) }
    [nil, [], 7, 'id'].each { |input| expect { Core::Contract.check(contract, input) }.to raise_error(Core::Refusal, /not made of named fields/) }
  end

  it 'strokes stay straight where a point is told twice, and where they turn back on themselves' do
    path = Core::Boards::StrokePath
    expect(path.call([3, 4])).to eq('M3 4l0.01 0')
    expect(path.call([0, 0, 10, 0])).to eq('M0 0L10 0')
    # No handle where two points are one, at a corner, and where the neighbours are one.
    expect(path.call([0, 0, 10, 0, 10, 0, 20, 0])).to eq('M0 0C0 0 10 0 10 0C10 0 10 0 10 0C10 0 20 0 20 0')
    expect(path.call([0, 0, 10, 0, 0, 0])).to eq('M0 0C0 0 10 0 10 0C10 0 0 0 0 0')
    expect(path.call([0, 0, 10, 0, 10, 10])).to eq('M0 0C0 0 10 0 10 0C10 0 10 10 10 10')
    expect(path.call([0, 0, 10, 0, 20, 0])).to eq('M0 0C0 0 6.67 0 10 0C13.33 0 20 0 20 0')
  end

  it 'a stroke is a shape from eight px on' do
    expect(Core::Boards::Straighten.call([0, 0, 8, 0])&.kind).to eq('line')
    expect(Core::Boards::Straighten.call([0, 0, 7.9, 0])).to be_nil
    [[], [1, 1]].each { |points| expect(Core::Boards::Straighten.call(points)).to be_nil }
    track = board
    track.do(odalys, 'board.put', { marks: [stroke('dot', points: [0, 0, 1, 1])] })
    expect { track.do(odalys, 'board.straighten', { ids: ['dot'] }) }.to refusing(:not_a_shape)
  end

  it 'a slide lies as high on a saved page as on the board' do
    track = board
    track.do(odalys, 'board.lay_slides', { material: 'm', version: 1, slides: [{ slide: 1, w: 3, h: 2 }] })
    svg = Core::Boards::SvgWriter.new(track.state, 'p1', pictures: ->(*) { 'slide.png' }).call
    expect(svg).to match(/<image[^>]*height='1067'/)
  end

  it 'a recording clock meets its stretches and cuts without a gap' do
    clock = Core::Recordings::Clock.new([[1_000, 5_000], [8_000, 9_000]], cuts: [[2_000, 3_000]])
    expect(clock.stretches).to eq([[1_000, 2_000], [3_000, 5_000], [8_000, 9_000]])
    expect([0, 999, 1_000, 2_999, 3_000, 4_000, 9_999].map { |time| clock.wall(time) }).to eq([1_000, 1_999, 3_000, 4_999, 8_000, 9_000, 9_000])
    expect([999, 2_000, 2_500, 3_000, 5_000, 6_000, 8_001, 20_000].map { |wall| clock.time(wall) }).to eq([0, 1_000, 1_000, 1_000, 3_000, 3_000, 3_001, 4_000])
    expect([999, 1_000, 2_000, 2_001, 9_000, 9_001].map { |wall| clock.covers?(wall) }).to eq([false, true, false, false, true, false])
    expect([[0, 1_000], [0, 1_001], [9_000, 9_001], [8_999, 9_001], [2_000, 3_000]].map { |span| clock.overlaps?(*span) })
      .to eq([false, true, false, true, false])
    expect(Core::Recordings::Clock.new([]).wall(5)).to eq(0)
    whole = Core::Recordings::Clock.new([[0, 10]], cuts: [[0, 4], [9, 10], [20, 30]])
    expect(whole.stretches).to eq([[4, 9]])
    expect(Core::Recordings::Clock.new([[0, 10]], cuts: [[0, 10]]).stretches).to eq([])
  end

  it 'a class is late from a whole minute on, and past from the moment after its end' do
    steps = [{ id: 's', title: 'S', minutes: 20, shortest: 5, board: nil, material: nil, rules: nil, cues: [] }]
    past = lambda do |now|
      Core::Lessons::Readiness.of({ steps: steps, minutes: 30, starts_at: 0, record_from: 's' }, now: now, boards: {}, names: {}, materials: [],
                                                                                                 people: [], staff_only: [], tones: nil)
                              .any? { |one| one[:code] == :past }
    end
    expect(past.call(30 * 60_000)).to be(false)
    expect(past.call(30 * 60_000 + 1)).to be(true)
  end

  it 'a spinner stops where its weights say' do
    chance = Struct.new(:rand)
    at = lambda do |share|
      Core::Props::Spinner.use('spin', { labels: %w[a b c d], weights: [1, 2, 1, 4] }, nil, rng: chance.new(share))
    end
    expect([0.0, 0.124, 0.125, 0.374, 0.375, 0.499, 0.5, 0.999].map { |share| at.call(share)[:index] }).to eq([0, 0, 1, 1, 2, 2, 3, 3])
    expect([0.0, 0.25, 0.5].map { |share| at.call(share)[:turn] }).to eq([0.0, 90.0, 180.0])
  end

  it 'slides lie under pages whose ids have forty characters at most, and keep their proportions' do
    track = board
    material = 'm' * 39
    slides = [{ slide: 1, w: 4, h: 3 }, { slide: 2, w: 3, h: 2 }]
    track.do(odalys, 'board.lay_slides', { material: material, version: 1, slides: slides })
    expect(track.state.pages).to eq(['p1', "#{material}-"])
    expect(track.state.height('p1')).to eq(1200)
    expect(track.state.height("#{material}-")).to eq(1067)
  end

  it 'a board that took in nothing begins its pile at nothing' do
    track = board
    track.do(odalys, 'board.take_in', { pages: [{ page: 'p1' }], marks: [], authors: [] })
    track.do(odalys, 'board.put', { marks: [stroke('m1')] })
    expect(track.state.marks['m1'][:z]).to eq(1)
  end

  it 'a board holds five thousand marks and no more' do
    track = board
    full = Core::Boards::Board::MAX_MARKS
    marks = Array.new(full - 1) { |i| stroke("m#{i}", z: i + 1, by: 'odalys', at: 1) }
    track.do(odalys, 'board.take_in', { pages: [{ page: 'p1' }], marks: marks, authors: [] })
    track.do(odalys, 'board.put', { marks: [stroke('last')] })
    expect { track.do(odalys, 'board.put', { marks: [stroke('beyond')] }) }.to refusing(:board_full)
    expect(track.state.marks.length).to eq(full)
  end

  it 'a class is ended once its doors were open, and not before' do
    hall = sitting(open: false)
    expect { hall.do(odalys, 'class.end') }.to refusing(:doors_closed)
  end
end

RSpec.describe 'Where two things are alike' do
  let(:odalys) { person(:odalys) }
  let(:track) { board }

  def at(id) = track.state.marks.fetch(id)

  it 'words that are the same are sorted by which mark is which, with what belongs to them' do
    marks = [text('b', 'Fog', y: 10), text('a', 'Fog', y: 200), stroke('z', y: 10), text('c', 'Anchor', y: 400)]
    marks[0] = marks[0].merge(group: 'g')
    marks[2] = marks[2].merge(group: 'g')
    track.do(odalys, 'board.put', { marks: marks })
    track.do(odalys, 'board.arrange', { ids: %w[a b z c], way: 'sort_column' })
    expect(%w[a b c].sort_by { |id| at(id)[:y] }).to eq(%w[c a b])
  end

  it 'words that are the same are sorted by the first of what belongs together' do
    marks = [text('a', 'Fog', y: 300), stroke('z', y: 300), text('m', 'Fog', y: 10)]
    marks[0..1] = marks[0..1].map { |mark| mark.merge(group: 'g') }
    track.do(odalys, 'board.put', { marks: marks })
    track.do(odalys, 'board.arrange', { ids: %w[m a z], way: 'sort_column' })
    expect(at('a')[:y]).to be < at('m')[:y]
  end

  it 'a mark named twice is arranged once' do
    track.do(odalys, 'board.put', { marks: [stroke('a'), stroke('b'), stroke('c')] })
    entry = track.do(odalys, 'board.arrange', { ids: %w[a a], way: 'to_front' })
    expect(entry.body[:ops].map { |op| op[:id] }).to eq(entry.body[:ops].map { |op| op[:id] }.uniq)
    expect(track.state.on_page('p1').map { |mark| mark[:id] }).to eq(%w[b c a])
  end

  it 'marks of one height in the pile are told apart once they are moved' do
    marks = %w[a b c].map { |id| stroke(id).merge(z: 4, by: 'odalys', at: 1) }
    track.do(odalys, 'board.take_in', { pages: [{ page: 'p1' }], marks: marks, authors: [] })
    track.do(odalys, 'board.arrange', { ids: ['a'], way: 'to_front' })
    expect(track.state.on_page('p1').map { |mark| mark.values_at(:id, :z) }).to eq([['b', 1], ['c', 2], ['a', 3]])
  end

  it 'of several strokes those are straightened that look like something' do
    line = Array.new(9) { |i| [i * 20, i] }.flatten
    wild = [0, 0, 90, 10, 20, 60, 70, 80, 5, 90, 95, 30, 40, 5]
    track.do(odalys, 'board.put', { marks: [stroke('line', points: line), stroke('wild', points: wild)] })
    entry = track.do(odalys, 'board.straighten', { ids: %w[wild line] })
    expect(entry.body[:ops].map { |op| op[:id] }).to eq(['line'])
  end

  it 'what is straightened lies where it lay, to a tenth of a px, and tells to a hundredth how sure that is' do
    hands = (1..9).map { |i| stroke("m#{i}", x: 10.26, y: 20.27, points: [0, 0, 40, i * 0.9, 80, 0, 120, i * 0.7, 160, 0]) }
    track.do(odalys, 'board.put', { marks: hands })
    kept = track.state.marks.transform_values { |mark| Core::Boards::Straighten.call(mark[:points])&.confidence }
    id, sure = kept.find { |_, confidence| confidence && confidence.round(2) != confidence.floor(2) }
    entry = track.do(odalys, 'board.straighten', { ids: [id] })
    expect(entry.body[:ops].first[:set]).to include(kind: 'line', x: 10.3, y: 20.3)
    expect(entry.body[:sure]).to eq([sure.round(2)])
  end

  it 'a timer is drawn in minutes and seconds' do
    { 120 => '2:00', 121 => '2:01', 59 => '0:59', 3_600 => '60:00' }.each do |seconds, words|
      timer = board
      timer.do(odalys, 'board.put', { marks: [prop('t', 'timer', seconds: seconds)] })
      expect(Core::Boards::SvgWriter.new(timer.state, 'p1').call).to include(">#{words}<")
    end
  end

  it 'a recording in which no step was begun has no chapters' do
    hall = sitting
    hall.do(odalys, 'class.record', { on: true })
    hall.do(odalys, 'class.end')
    expect(Core::Recordings::Recording.new(hall.state).chapters).to eq([])
  end

  it 'a step whose board only staff see leaves on show what is there' do
    steps = Stage::PLAN[:steps].map { |step| step[:id] == 'crossing' ? step.merge(board: 'b3') : step }
    hall = sitting(steps: steps)
    hall.do(odalys, 'class.move', { step: 'names' })
    hall.do(odalys, 'class.move', { step: 'crossing' })
    expect(hall.place.shown).to eq(board: 'b1', page: 'p1')
    hall.do(odalys, 'class.move', { step: 'sum-up' })
    expect(hall.place.shown).to eq(board: 'b1', page: 'p1')
  end

  it 'one ill-formed word among good ones spoils what is told' do
    good = { 'a' => 'fine', 'b' => ['fine'] }
    expect(Core::PlainText.parse(JSON.generate(good))).to eq(good)
    ['{"a":"fine","b":"\\udc00"}', '{"a":"fine","\\udc00":1}', '["fine","\\u0000"]', '{"a":{"b":["fine",{"c":"\\ud800"}]}}'].each do |text|
      expect { Core::PlainText.parse(text) }.to raise_error(Core::Refusal)
    end
  end

  it 'a line is as high as its letters and their leading, without a margin' do
    layout = Core::Boards::TextLayout.new('Fog', size: 10, width: 100)
    expect(layout.height).to eq(10 * Core::Boards::TextLayout::LEADING)
  end

  it 'nothing comes on show in a class that is over, or has not begun' do
    hall = sitting
    hall.do(odalys, 'class.end')
    expect { hall.do(odalys, 'class.show', { board: 'b1', page: 'p1' }) }.to refusing(:class_ended)
    expect { sitting(open: false).do(odalys, 'class.show', { board: 'b1', page: 'p1' }) }.to refusing(:doors_closed)
  end

  # Œ is wider than it is high.
  it 'a letter too wide for its line has that line to itself' do
    expect(Core::Boards::TextLayout.new('i ŒŒ', size: 10, width: 1).lines).to eq(%w[i Œ Œ])
    expect(Core::Boards::TextLayout.new('Œ', size: 10, width: 1).lines).to eq(%w[Œ])
  end

  it 'pressure is kept to the nearest hundredth' do
    track = board
    track.do(odalys, 'board.put', { marks: [stroke('m', points: [0, 0, 50, 0], press: [0.456, 0.454])] })
    expect(track.state.marks['m'][:press]).to eq([0.46, 0.45])
  end

  it 'pages that are not there take nothing, whatever is brought to them' do
    track = board
    track.do(odalys, 'board.put', { marks: [stroke('m')] })
    expect { track.do(odalys, 'board.change', { changes: [{ id: 'm', set: { page: 'p9' } }] }) }.to refusing(:no_such_page)
    expect { track.do(odalys, 'board.bring_back', { page: 'p9', seq: 1 }) }.to refusing(:no_such_page)
    expect(track.state.marks['m'][:page]).to eq('p1')
  end

  it 'a stroke that is named twice is straightened once' do
    track = board
    track.do(odalys, 'board.put', { marks: [stroke('m', points: Array.new(40) { |i| [i * 5, i * 0.1] }.flatten)] })
    expect(track.do(odalys, 'board.straighten', { ids: %w[m m] }).body[:ops].length).to eq(1)
  end
end
