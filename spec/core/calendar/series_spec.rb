# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Calendar::Series do
  def part(**more) = { start: '2026-10-16T20:30', zone: 'Europe/London', minutes: 90, rule: 'FREQ=WEEKLY;COUNT=4', except: [], from: nil, **more }
  def days(series) = series.slots.map { |slot| slot.of[5..] }
  def series(**more) = described_class.new(title: 'Evening', parts: [part(**more)])

  it 'keeps its time on the wall over the change of clocks' do
    expect(series.slots.map { |slot| Time.at(slot.starts_at / 1000).utc.strftime('%d.%m. %H:%M') })
      .to eq(['16.10. 19:30', '23.10. 19:30', '30.10. 20:30', '06.11. 20:30'])
    expect(series(zone: 'America/New_York').slots.map { |slot| Time.at(slot.starts_at / 1000).utc.strftime('%d.%m. %H:%M') })
      .to eq(['17.10. 00:30', '24.10. 00:30', '31.10. 00:30', '07.11. 01:30'])
  end

  it 'leaves out what is not to be, which counts all the same' do
    expect(days(series(except: ['2026-10-23T20:30']))).to eq(%w[10-16T20:30 10-30T20:30 11-06T20:30])
  end

  it 'is changed as a whole, or from one lesson on' do
    expect(days(series.changed(nil, start: '2026-10-16T18:00'))).to eq(%w[10-16T18:00 10-23T18:00 10-30T18:00 11-06T18:00])
    # Saturdays at ten from the third on, and then from the second on an hour and a half earlier.
    later = series.changed('2026-10-30T20:30', start: '2026-10-31T10:00', rule: 'FREQ=WEEKLY;COUNT=2', minutes: 60)
    expect(days(later)).to eq(%w[10-16T20:30 10-23T20:30 10-31T10:00 11-07T10:00])
    expect(later.slots.map(&:minutes)).to eq([90, 90, 60, 60])
    # What was said of later lessons is gone with that.
    again = later.changed('2026-10-23T20:30', start: '2026-10-23T19:00', rule: 'FREQ=WEEKLY;COUNT=2')
    expect(days(again)).to eq(%w[10-16T20:30 10-23T19:00 10-30T19:00])
    # What is no rule holds for every part, and takes none of them away.
    expect(days(later.changed(nil, minutes: 45))).to eq(days(later))
    expect(later.changed(nil, minutes: 45).slots.map(&:minutes).uniq).to eq([45])
    expect(again.changed(nil, start: '2026-10-16T18:00', rule: 'FREQ=DAILY;COUNT=2').slots.map(&:of)).to eq(%w[2026-10-16T18:00 2026-10-17T18:00])
  end

  it 'goes no further than ten years of a weekly one, and ends where its rule never holds' do
    expect(series(rule: 'FREQ=WEEKLY').slots.length).to eq(530)
    expect(series(rule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30').slots).to eq([])
  end
end
