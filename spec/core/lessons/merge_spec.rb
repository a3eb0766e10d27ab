# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Lessons::Merge do
  def step(id, **fields) = { id: id, title: id.upcase, minutes: 10, notes: '', **fields }
  def lesson(*steps, **fields) = { title: 'Rules', minutes: 60, record_from: nil, steps: steps, **fields }
  def merge(base, theirs, mine) = described_class.call(base: base, theirs: theirs, mine: mine)

  let(:base) { lesson(step('a'), step('b'), step('c')) }

  it 'takes what only one of them changed' do
    merged = merge(base, lesson(step('a', minutes: 5), step('b'), step('c'), title: 'Fog'), { minutes: 90, steps: [step('a', notes: 'n'), step('b'), step('c')] })
    expect(merged.facts).to eq(minutes: 90, steps: [step('a', minutes: 5, notes: 'n'), step('b'), step('c')])
    expect(merged.conflicts).to be_empty
  end

  it 'keeps what is saved where both changed the same, and tells' do
    merged = merge(base, lesson(step('a', title: 'Theirs'), step('b'), step('c'), title: 'Fog'), { title: 'Mine', steps: [step('a', title: 'Mine'), step('b'), step('c')] })
    expect(merged.facts[:title]).to eq('Fog')
    expect(merged.facts[:steps].first[:title]).to eq('Theirs')
    expect(merged.conflicts).to contain_exactly({ step: nil, field: :title, title: 'Fog', mine: 'Mine', theirs: 'Fog' },
                                                { step: 'a', field: :title, title: 'Theirs', mine: 'Mine', theirs: 'Theirs' })
  end

  it 'brings added, removed and reordered steps together' do
    theirs = lesson(step('a'), step('new'), step('b'), step('c'))
    merged = merge(base, theirs, { steps: [step('c'), step('a'), step('mine'), step('b')] })
    expect(merged.facts[:steps].map { |one| one[:id] }).to eq(%w[c a mine new b])
    expect(merge(base, lesson(step('c'), step('b'), step('a')), { steps: [step('a'), step('c')] }).facts[:steps].map { |one| one[:id] }).to eq(%w[c a])
  end

  it 'keeps a step that one took out while the other changed it' do
    changed = step('b', notes: 'hours of work')
    expect(merge(base, lesson(step('a'), changed, step('c')), { steps: [step('a'), step('c')] }).facts[:steps]).to include(changed)
    expect(merge(base, lesson(step('a'), step('c')), { steps: [step('a'), changed, step('c')] }).facts[:steps]).to include(changed)
    expect(merge(base, lesson(step('a'), step('c')), { steps: base[:steps] }).facts[:steps].map { |one| one[:id] }).to eq(%w[a c])
  end

  # Whoever saves alone gets exactly what they sent; and nothing that only one of them typed is lost.
  30.times do |seed|
    it "loses nothing that only one typed (random edits #{seed})" do
      rng = Random.new(seed)
      edit = lambda do |who|
        steps = base[:steps].map { |one| rng.rand(3).zero? ? one.merge(notes: "#{who} #{rng.rand(99)}") : one }
        steps = steps.shuffle(random: rng) if rng.rand(3).zero?
        steps.delete_at(rng.rand(steps.length)) if rng.rand(3).zero?
        steps.insert(rng.rand(steps.length + 1), step("#{who}#{rng.rand(99)}")) if rng.rand(2).zero?
        steps
      end
      theirs, mine = edit.call('t'), edit.call('m')
      expect(merge(base, base, { steps: mine }).facts[:steps]).to eq(mine)
      merged = merge(base, lesson(*theirs), { steps: mine })
      ids = merged.facts[:steps].map { |one| one[:id] }
      expect(ids.uniq).to eq(ids)
      typed = (theirs + mine).map { |one| one[:notes] }.reject(&:empty?)
      told = merged.facts[:steps].map { |one| one[:notes] } + merged.conflicts.map { |one| one[:mine] }
      expect(typed - told).to be_empty
    end
  end
end
