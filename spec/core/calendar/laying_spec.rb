# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Calendar::Laying do
  let(:series) do
    Core::Calendar::Series.new(title: 'Evening', parts: [{ start: '2026-11-06T20:30', zone: 'Etc/UTC', minutes: 90, rule: 'FREQ=WEEKLY;COUNT=4',
                                                           except: [], from: nil }])
  end
  # The lessons of the series as it is, by the order in which they were made.
  let(:lessons) { laid(series, []) }

  # Does what is to be done, as whoever keeps the lessons would.
  def laid(series, lessons)
    laying = described_class.new(series, lessons)
    kept = lessons.map { |lesson| lesson.merge(laying.changes.fetch(lesson[:id], {})) }
    kept + laying.missing.each_with_index.map do |slot, i|
      { id: "l#{kept.length + i}", slot: slot, starts_at: slot[:at], cancelled: false, held: false, **slot.slice(:minutes, :title) }
    end
  end

  def days(lessons) = lessons.reject { |one| one[:cancelled] }.to_h { |one| [one[:id], Time.at(one[:starts_at] / 1000).utc.strftime('%m-%d %H:%M')] }
  def with(lessons, id, **set) = lessons.map { |one| one[:id] == id ? one.merge(set) : one }

  it 'makes every lesson once' do
    expect(days(lessons)).to eq('l0' => '11-06 20:30', 'l1' => '11-13 20:30', 'l2' => '11-20 20:30', 'l3' => '11-27 20:30')
    again = described_class.new(series, lessons)
    expect([again.missing, again.changes]).to eq([[], {}])
    # Left in the midst of it, it goes on.
    expect(described_class.new(series, lessons.first(2)).missing.map { |slot| slot[:of] }).to eq(%w[2026-11-20T20:30 2026-11-27T20:30])
  end

  it 'puts all elsewhere when the time is another, and leaves alone what was held, and what somebody moved or named' do
    touched = with(with(with(lessons, 'l0', held: true), 'l1', title: 'Night approaches'), 'l2', starts_at: 5)
    later = laid(series.changed(nil, start: '2026-11-07T10:00', minutes: 60), touched)
    expect(later.map { |one| one[:starts_at] == 5 ? 'moved' : days([one]).values.first }).to eq(['11-06 20:30', '11-14 10:00', 'moved', '11-28 10:00'])
    expect(later.map { |one| one[:minutes] }).to eq([90, 60, 60, 60])
    named = laid(series.changed(nil, title: 'Fog'), touched)
    expect(named.map { |one| one[:title] }).to eq(['Evening', 'Night approaches', 'Fog', 'Fog'])
  end

  it 'calls off what is excepted and what is too many, and has it back when it is said again' do
    excepted = laid(series.changed(nil, except: ['2026-11-13T20:30']), lessons)
    expect(days(excepted).keys).to eq(%w[l0 l2 l3])
    fewer = laid(series.changed(nil, rule: 'FREQ=WEEKLY;COUNT=2'), lessons)
    expect(days(fewer).keys).to eq(%w[l0 l1])
    expect(days(laid(series, fewer))).to eq(days(lessons))
    # Whoever called one off by hand meant it.
    by_hand = with(lessons, 'l1', cancelled: true)
    expect(days(laid(series.changed(nil, start: '2026-11-06T18:00'), by_hand)).keys).to eq(%w[l0 l2 l3])
  end

  it 'makes more where there are more, and none that would be before one that was held' do
    more = laid(series.changed(nil, rule: 'FREQ=WEEKLY;COUNT=5;BYDAY=TU,FR'), with(lessons, 'l1', held: true))
    expect(days(more)).to eq('l0' => '11-06 20:30', 'l1' => '11-13 20:30', 'l2' => '11-20 20:30', 'l3' => '11-17 20:30')
  end

  # Changed at random, left at random: what takes place is what the series says, but for what somebody did by hand.
  it 'comes to what the series says, from whatever was laid before' do
    random = Random.new(RSpec.configuration.seed)
    40.times do
      now, rows = series, lessons
      6.times do
        set = [{ start: "2026-11-0#{random.rand(1..9)}T#{random.rand(10..20)}:00" }, { rule: "FREQ=WEEKLY;COUNT=#{random.rand(1..7)}" },
               { rule: "FREQ=WEEKLY;BYDAY=MO,TH;COUNT=#{random.rand(1..7)}" }, { minutes: random.rand(30..90) }].sample(random: random)
        from = now.slots.sample(random: random).of if random.rand < 0.4
        now = from ? now.changed(from, start: from, rule: "FREQ=WEEKLY;COUNT=#{random.rand(1..5)}") : now.changed(nil, **set)
        next if random.rand < 0.3

        rows = laid(now, rows)
        expect(rows.reject { |row| row[:cancelled] }.map { |row| [row[:starts_at], row[:minutes]] }.sort)
          .to eq(now.slots.map { |slot| [slot.starts_at, slot.minutes] }.sort)
      end
    end
  end
end
