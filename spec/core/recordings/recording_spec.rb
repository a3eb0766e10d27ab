# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Recordings::Clock do
  it 'joins stretches and leaves cuts out' do
    clock = described_class.new([[1_000, 5_000], [8_000, 9_000]], cuts: [[2_000, 3_000]])
    expect(clock.length).to eq(4_000)
    expect([0, 999, 1_001, 3_500].map { |time| clock.wall(time) }).to eq([1_000, 1_999, 3_001, 8_500])
    expect([500, 2_500, 6_000, 8_000, 99_000].map { |wall| clock.time(wall) }).to eq([0, 1_000, 3_000, 3_000, 4_000])
    expect(clock.covers?(2_500)).to be(false)
  end

  it 'cuts ends, middles, and whole stretches' do
    clock = described_class.new([[0, 10], [20, 30]], cuts: [[-5, 2], [18, 40]])
    expect(clock.stretches).to eq([[2, 10]])
  end

  it 'goes to the wall and back, whatever was cut' do
    rng = Random.new(5)
    50.times do
      marks = Array.new(8) { rng.rand(10_000) }.uniq.sort
      clock = described_class.new(marks.each_slice(2).select do |pair|
        pair.length == 2
      end, cuts: [[rng.rand(5_000), 5_000 + rng.rand(3_000)]])
      next unless clock.length.positive?

      times = Array.new(20) { rng.rand(clock.length + 1) }
      expect(times.map { |time| clock.time(clock.wall(time)) }).to eq(times)
      expect(times.map { |time| clock.wall(time) }).to all(satisfy { |wall| clock.covers?(wall) })
    end
  end
end

RSpec.describe Veranda::Core::Recordings::Recording do
  let(:odalys) { person(:odalys) }
  let(:track) do
    sitting(record_from: 'names').tap do |hall|
      hall.do(odalys, 'class.move', { step: 'names' }, at: 1_000_000)
      hall.do(odalys, 'class.move', { step: 'crossing' }, at: 1_600_000)
      hall.do(odalys, 'class.move', { step: 'sum-up' }, at: 2_000_000)
      hall.do(odalys, 'class.end', at: 2_300_000)
    end
  end
  let(:recording) { described_class.new(track.state) }

  it 'has a chapter for each step, from the first moment to the last' do
    expect(recording.chapters).to eq([{ title: 'Names', from: 0, to: 600_000, at: 1_000_000 }, { title: 'Crossing', from: 600_000, to: 1_000_000, at: 1_600_000 },
                                      { title: 'Sum up', from: 1_000_000, to: 1_300_000, at: 2_000_000 }])
  end

  it 'loses a chapter that was cut out whole' do
    cut = described_class.new(track.state, edits: Core::Recordings::Edits.cutting([[1_600_000, 2_000_000]]))
    expect(cut.chapters.map { |chapter| chapter[:title] }).to eq(['Names', 'Sum up'])
    expect(cut.clock.length).to eq(900_000)
  end

  it 'never holds boards for staff' do
    expect(recording.streams).to match_array(%w[sitting/s1 questions/s1 place/s1.main exchange/s1.main board/b1 board/b2])
  end

  def shown(posts: [], people: Set['farah'])
    Core::Recordings::Shown.new(recording, cast: Core::Recordings::Cast.new([], recording.edits), people: people, posts: posts.to_h { |post| [post[:id], post] })
  end

  def placed(entry, **facts) = shown(**facts).entry(entry)

  def entry(kind, at, body = {}, actor: 'farah')
    Core::Streams::Entry.new(stream: 'exchange/s1.main', seq: 1, at: at, actor: actor, kind: kind, body: body)
  end

  it 'shows no post that was taken back, and none from outside its stretches' do
    post = entry('posted', 1_100_000, { id: 'a' })
    expect(placed(post, posts: [{ id: 'a', at: 1_100_000, deleted_by: 'farah' }])).to be_nil
    expect(placed(post)).to include(t: 100_000, by: 'farah')
    expect(placed(entry('posted', 999_999, { id: 'a' }))).to be_nil
    kept = { id: 'a', at: 1_100_000 }
    all = [kept, { id: 'b', at: 999_999 }, { id: 'c', at: 1_200_000, deleted_by: 'farah' }]
    then_posts = Core::Exchange::Posts.from(posts: [kept, { id: 'b', at: 999_999 }, { id: 'c', at: 1_200_000 }], pinned: %w[a c])
    expect(shown(posts: all).view('exchange/s1.main', then_posts)).to eq(posts: [kept], pinned: ['a'])
  end

  it 'shows what was drawn in a pause when it goes on, and no pointing' do
    expect(placed(entry('edited', 999_000, { ops: [] }))).to include(t: 0)
    expect(placed(entry('pointed', 999_000))).to be_nil
  end

  it 'names only those who were there while it was recorded' do
    come = ->(at, *ids) { entry('joined', at, { people: ids.map { |id| { id: id } }, place: 'main' }) }
    entries = [come.call(1, 'early', 'stays'), entry('left', 900_000, actor: 'early'), come.call(950_000, 'late', 'brief'),
               entry('dropped', 960_000, actor: 'brief'), entry('left', 1_500_000, actor: 'late')]
    expect(recording.people(entries)).to eq(Set['stays', 'late'])
    expect(placed(come.call(1_100_000, 'early', 'late'), people: Set['late'])).to include(body: { people: [{ id: 'late' }], place: 'main' })
    expect(placed(come.call(1_100_000, 'early'), people: Set['late'])).to be_nil
    expect(placed(entry('left', 1_100_000, actor: 'early'), people: Set['late'])).to be_nil
  end

  it 'has the clips that played while it was recorded, and no others' do
    clip = ->(at, material) { entry(material ? 'clip_on' : 'clip_off', at, { material: material }.compact) }
    entries = [clip.call(500_000, 'before'), clip.call(600_000, nil), clip.call(900_000, 'into it'), clip.call(1_100_000, 'within'), clip.call(1_200_000, nil)]
    expect(recording.clips(entries).map { |body| body[:material] }).to eq(['into it', 'within'])
    expect(recording.only(1_150_000, nil).clips(entries).map { |body| body[:material] }).to eq(['within'])
  end

  it 'has no poll that was put wholly within what was cut, nor what was said to rooms then' do
    cut = described_class.new(track.state, edits: Core::Recordings::Edits.cutting([[1_100_000, 1_200_000]]))
    at = ->(*times) { times.map { |time| entry('poll_begun', time) } }
    expect([at.call(1_150_000, 1_190_000), at.call(1_150_000, 1_250_000), at.call(900_000)].map { |entries| cut.poll?(entries) }).to eq([false, true, true])
    place = Core::Sittings::Place.new
    { 'a' => 1_150_000, 'b' => 1_250_000 }.each do |id, time|
      place.apply(Core::Streams::Entry.new(stream: 'place/s1.r', seq: 1, at: time, actor: 'odalys', kind: 'announced', body: { id: id, words: id, name: 'Odalys' }))
    end
    told = Core::Recordings::Shown.new(cut, cast: Core::Recordings::Cast.new([], cut.edits), people: Set[]).view('place/s1.r', place)
    expect(told[:announced].map { |one| one[:id] }).to eq(['b'])
  end

  it 'is none when nobody recorded' do
    quiet = sitting.tap { |hall| hall.do(odalys, 'class.end') }
    expect(described_class.new(quiet.state).any?).to be(false)
  end
end
