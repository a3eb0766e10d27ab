# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/calendar/other_opinion'

RSpec.describe Veranda::Core::Calendar::Rule do
  def self.refused(*rules)
    rules.each do |rule|
      it("refuses #{rule[0, 60].inspect}") { expect { described_class.parse(rule) }.to raise_error(Core::Refusal, /no rule by which/) }
    end
  end

  refused '', 'FREQ', 'FREQ=', 'COUNT=3', 'FREQ=FORTNIGHTLY', 'FREQ=DAILY;FREQ=DAILY', 'FREQ=DAILY;COUNT=0', 'FREQ=DAILY;COUNT=-3',
          'FREQ=DAILY;COUNT=3;UNTIL=20260101', 'FREQ=DAILY;INTERVAL=0', 'FREQ=DAILY;INTERVAL=1e3', 'FREQ=DAILY;UNTIL=20260230',
          'FREQ=DAILY;UNTIL=20260101T250000', 'FREQ=WEEKLY;BYDAY=XX', 'FREQ=WEEKLY;BYDAY=2FR', 'FREQ=MONTHLY;BYDAY=0FR', 'FREQ=MONTHLY;BYDAY=54FR',
          'FREQ=MONTHLY;BYMONTHDAY=0', 'FREQ=MONTHLY;BYMONTHDAY=32', 'FREQ=WEEKLY;BYMONTHDAY=3', 'FREQ=MONTHLY;BYWEEKNO=20',
          'FREQ=YEARLY;BYWEEKNO=20;BYDAY=1MO', 'FREQ=MONTHLY;BYYEARDAY=3', 'FREQ=MONTHLY;BYSETPOS=1', 'FREQ=DAILY;BYHOUR=24',
          'FREQ=DAILY;BYHOUR=1,,2', 'FREQ=DAILY;X-MINE=3', "FREQ=DAILY;COUNT=1\u00000", "FREQ=DAILY;BYMONTH=#{'1,' * 500}", 'FREQ=DAILY;WKST=1'

  it 'brings an end in UTC into the zone of what recurs' do
    zone = Core::Calendar::Zone.of('America/New_York')
    expect(described_class.parse('FREQ=DAILY;UNTIL=20260702T020000Z', zone: zone).until_at).to eq(Time.utc(2026, 7, 1, 22))
    expect(described_class.parse('FREQ=DAILY;UNTIL=20260702', zone: zone).until_at).to eq(Time.utc(2026, 7, 2, 23, 59, 59))
  end

  # Rules of every kind by chance, as another implementation reads them. It never ends over those that hold nowhere, and is not asked.
  it 'means what others take it to mean' do
    random = Random.new(RSpec.configuration.seed)
    questions = Array.new(150) { [[random.rand(2000..2030), random.rand(1..12), random.rand(1..28), random.rand(24), random.rand(60)], by_chance(random), 15] }
    asked = questions.to_h { |question| [question, found(*question)] }.select { |_, ours| ours.length == 15 }
    answers = asked.to_a.zip(OtherOpinion.on(asked.keys)).select(&:last)
    expect(answers.length).to be > 60
    answers.each { |(question, ours), theirs| expect([question, ours]).to eq([question, theirs]) }
  end

  def found(start, rule, number) = Core::Calendar::Recurrence.new(described_class.parse(rule), Time.utc(*start)).first(number).map(&:to_i)

  def by_chance(random)
    frequency = %w[DAILY WEEKLY MONTHLY YEARLY].sample(random: random)
    parts = lists(random)[frequency].reject { |_, list| list.empty? }.to_a.sample(random.rand(0..2), random: random).to_h
    parts['BYDAY'] ||= counted(random, some(random, DAYS, 2), 20) if frequency == 'YEARLY' && (parts.keys - ['BYMONTH']).empty?
    # The other makes no order of several places or times of day, begins to count in a week with the first moment, and numbers
    # weeks from Monday alone, and from the end as if each year had as many.
    more = frequency == 'WEEKLY' ? 'BYHOUR' : %w[BYSETPOS BYHOUR].sample(random: random)
    parts[more] = [random.rand(1..3)] if parts.any? && random.rand < 0.4
    start = parts['BYWEEKNO'] ? 'MO' : DAYS.sample(random: random)
    parts.merge('FREQ' => frequency, 'INTERVAL' => random.rand(1..4), 'WKST' => start)
         .map { |name, value| "#{name}=#{Array(value).join(',')}" }.join(';')
  end

  def lists(random)
    months, month_days, days = some(random, 1..12, 4), some(random, -31..31, 5), some(random, DAYS, 3)
    { 'DAILY' => { 'BYMONTH' => months, 'BYMONTHDAY' => month_days, 'BYDAY' => days }, 'WEEKLY' => { 'BYMONTH' => months, 'BYDAY' => days },
      'MONTHLY' => { 'BYMONTH' => months, 'BYMONTHDAY' => month_days, 'BYDAY' => counted(random, days, 4) },
      'YEARLY' => { 'BYMONTH' => months, 'BYYEARDAY' => some(random, -366..366, 9), 'BYWEEKNO' => some(random, 1..52, 9) } }
  end

  DAYS = described_class::DAYS

  def some(random, values, most) = values.to_a.sample(random.rand(1..most), random: random) - [0]

  def counted(random, days, most) = random.rand < 0.5 ? days : days.map { |day| "#{(-most..most).to_a.-([0]).sample(random: random)}#{day}" }
end
