# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Lessons::Squeeze do
  def step(id, minutes, shortest) = { id: id, minutes: minutes, shortest: shortest }

  it 'takes in proportion to what each can spare' do
    expect(described_class.call([step('a', 20, 10), step('b', 10, 5), step('c', 8, 8)], 6)).to eq('a' => 4, 'b' => 2)
  end

  # Apportionment by largest remainders, the textbook instance of Balinski and Young, "Fair Representation" (1982):
  # weights 47, 16, 16, 12, 6, 3 share 10 as 5, 2, 1, 1, 1, 0 (the tie at 16 falls to one of the two).
  it 'shares remainders as the method of largest remainders does' do
    steps = { 'a' => 47, 'b' => 16, 'c' => 16, 'd' => 12, 'e' => 6, 'f' => 3 }.map { |id, slack| step(id, slack, 0) }
    taken = described_class.call(steps, 10)
    expect(taken.values_at('a', 'd', 'e')).to eq([5, 1, 1])
    expect(taken.values_at('b', 'c').sort).to eq([1, 2])
    expect(taken).not_to have_key('f')
  end

  100.times do |seed|
    it "adds up exactly and respects the shortest (random sheet #{seed})" do
      rng = Random.new(seed)
      steps = Array.new(1 + rng.rand(9)) { |i| rng.rand(60).then { |minutes| step("s#{i}", minutes, rng.rand(minutes + 1)) } }
      over = rng.rand(60)
      taken = described_class.call(steps, over)
      if described_class.slack(steps) < over
        expect(taken).to be_nil
      else
        expect(taken.values.sum).to eq(over)
        steps.each { |one| expect(one[:minutes] - taken.fetch(one[:id], 0)).to be >= one[:shortest] }
      end
    end
  end

  # Reckoned here minute by minute, and not as the class does: what of a step is spent cannot be taken from it any more.
  describe 'in a class that goes back and forth between its steps' do
    let(:minute) { 60_000 }

    # @return [Array] a class of random steps, where it is in minutes, and how many of them each step has had
    def wandered(rng)
      steps = Array.new(2 + rng.rand(5)) { |i| step("s#{i}", 3 + rng.rand(20), 1 + rng.rand(12)) }
      sitting = Core::Sittings::Sitting.new
      tell = ->(seq, kind, at, body) { sitting.apply(Core::Streams::Entry.new(stream: 'sitting/x', seq: seq, at: at, actor: 'o', kind: kind, body: body, command_id: nil)) }
      tell[1, 'planned', 0, { id: 'x', starts_at: 0, minutes: steps.sum { |one| one[:minutes] }, steps: steps.map { |one| one.slice(:id, :minutes) } }]
      tell[2, 'opened', 0, {}]
      had = Hash.new(0)
      now = 0
      (1 + rng.rand(8)).times do |i|
        here = steps.sample(random: rng)[:id]
        tell[3 + i, 'moved', now * minute, { step: here }]
        stay = rng.rand(15)
        stay.times { had[here] += 1 }
        now += stay
      end
      [steps, sitting, now, had]
    end

    300.times do |seed|
      it "takes nothing that is spent already (random class #{seed})" do
        steps, sitting, now, had = wandered(Random.new(seed))
        timing = Core::Lessons::Timing.new(sitting, now * minute, shortest: steps.to_h { |one| one.values_at(:id, :shortest) })
        at = steps.index { |one| one[:id] == sitting.step[:id] }
        left = steps.drop(at).to_h { |one| [one[:id], [one[:minutes] - had[one[:id]], 0].max] }
        late = now + left.values.sum - steps.sum { |one| one[:minutes] }
        most = steps.drop(at + 1).to_h { |one| [one[:id], [left[one[:id]] - [one[:shortest] - had[one[:id]], 0].max, 0].max] }
        taken = timing.squeeze.to_h { |row| row.values_at(:step, :less) }
        taken.each { |id, less| expect(less).to be_between(1, most.fetch(id)) }
        expect(taken.values.sum).to eq(late.clamp(0, most.values.sum))
      end
    end
  end

  it 'is offered on the run sheet, and in class for the steps to come' do
    sheet = Core::Lessons::RunSheet.new([step('a', 20, 10), step('b', 14, 10)], starts_at: 0, minutes: 30)
    expect(sheet.to_h).to include(over: 4, slack: 14, squeeze: [{ step: 'a', less: 3 }, { step: 'b', less: 1 }])

    hall = sitting
    hall.do(person(:odalys), 'class.move', { step: 'names' }, at: 1_000_000)
    late = Core::Lessons::Timing.new(hall.state, 1_000_000 + 16 * 60_000, shortest: hall.staff.shortest)
    expect(late.squeeze.sum { |row| row[:less] }).to eq(6)
    expect(late.squeeze.map { |row| row[:step] }).not_to include('names')
  end
end
