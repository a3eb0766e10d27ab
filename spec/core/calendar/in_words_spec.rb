# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Calendar::InWords do
  def words(rule, start: '2026-11-06T20:30', except: [])
    described_class.new({ start: start, zone: 'Europe/London', minutes: 90, rule: rule, except: except, from: nil }).to_s
  end

  {
    'FREQ=WEEKLY;COUNT=10' => 'Fridays at 20:30, ten times from 6 November 2026',
    'FREQ=WEEKLY;COUNT=14;BYDAY=TH,TU' => 'Tuesdays and Thursdays at 20:30, 14 times from 6 November 2026',
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=20270129' => 'every other week on Friday at 20:30, from 6 November 2026 until 29 January 2027',
    'FREQ=WEEKLY;INTERVAL=3;COUNT=2;BYDAY=MO,WE,FR' => 'every three weeks on Monday, Wednesday and Friday at 20:30, twice from 6 November 2026',
    'FREQ=DAILY;COUNT=1' => 'every day at 20:30, once from 6 November 2026',
    'FREQ=MONTHLY;COUNT=5;BYDAY=1FR' => 'every month on the first Friday at 20:30, five times from 6 November 2026',
    'FREQ=MONTHLY;COUNT=5;BYDAY=-1FR' => 'every month on the last Friday at 20:30, five times from 6 November 2026',
    'FREQ=MONTHLY;COUNT=5;BYMONTHDAY=22' => 'every month on the 22nd at 20:30, five times from 6 November 2026',
    'FREQ=MONTHLY;COUNT=5;BYMONTHDAY=-1' => 'every month on the last day at 20:30, five times from 6 November 2026',
    'FREQ=YEARLY;COUNT=3' => 'every year on 6 November at 20:30, three times from 6 November 2026',
    'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3' => 'by the rule FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3, at 20:30, ' \
                                                        'three times from 6 November 2026'
  }.each do |rule, said|
    it("says #{rule} as people do") { expect(words(rule)).to eq(said) }
  end

  it 'says which days it leaves out, while they are few' do
    days = %w[2026-12-25T20:30 2027-01-01T20:30]
    expect(words('FREQ=WEEKLY;COUNT=10', except: days)).to end_with('from 6 November 2026, not on 25 December and 1 January')
    many = (1..6).map { |day| "2027-01-0#{day}T20:30" }
    expect(words('FREQ=DAILY;COUNT=90', except: many)).to end_with('without 6 of these days')
  end
end
