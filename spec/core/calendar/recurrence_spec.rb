# frozen_string_literal: true

require_relative '../../core_helper'

# The examples of RFC 5545, 3.8.5.3, in its order and by its words. All begin at 9 in the morning; those that never end are followed as
# far as the RFC lists them. That of every three hours is as erratum 3883 has it.
RSpec.describe Veranda::Core::Calendar::Recurrence do
  def recurs(start, rule)
    first = Time.utc(*start.unpack('A4A2A2').map(&:to_i), 9)
    described_class.new(Core::Calendar::Rule.parse(rule, zone: Core::Calendar::Zone.of('America/New_York')), first)
  end

  # `1997 9:2,4 10:1; 1998 …`
  def days(moments)
    years = moments.chunk_while { |one, next_one| one.year == next_one.year }.map do |year|
      months = year.chunk_while { |one, next_one| one.month == next_one.month }
      "#{year.first.year} #{months.map { |month| "#{month.first.month}:#{month.map(&:day).join(',')}" }.join(' ')}"
    end
    years.join('; ')
  end

  {
    'Daily for 10 occurrences' => ['19970902', 'FREQ=DAILY;COUNT=10', '1997 9:2,3,4,5,6,7,8,9,10,11'],
    'Every 10 days, 5 occurrences' => ['19970902', 'FREQ=DAILY;INTERVAL=10;COUNT=5', '1997 9:2,12,22 10:2,12'],
    'Weekly for 10 occurrences' => ['19970902', 'FREQ=WEEKLY;COUNT=10', '1997 9:2,9,16,23,30 10:7,14,21,28 11:4'],
    'Weekly until December 24, 1997' => ['19970902', 'FREQ=WEEKLY;UNTIL=19971224T000000Z',
                                         '1997 9:2,9,16,23,30 10:7,14,21,28 11:4,11,18,25 12:2,9,16,23'],
    'Weekly on Tuesday and Thursday for five weeks' => ['19970902', 'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
                                                        '1997 9:2,4,9,11,16,18,23,25,30 10:2'],
    'Weekly on Tuesday and Thursday for five weeks, counted' => ['19970902', 'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
                                                                 '1997 9:2,4,9,11,16,18,23,25,30 10:2'],
    'Every other week on Monday, Wednesday, and Friday until December 24, 1997' =>
      ['19970901', 'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
       '1997 9:1,3,5,15,17,19,29 10:1,3,13,15,17,27,29,31 11:10,12,14,24,26,28 12:8,10,12,22'],
    'Every other week on Tuesday and Thursday, for 8 occurrences' =>
      ['19970902', 'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH', '1997 9:2,4,16,18,30 10:2,14,16'],
    'Monthly on the first Friday for 10 occurrences' =>
      ['19970905', 'FREQ=MONTHLY;COUNT=10;BYDAY=1FR', '1997 9:5 10:3 11:7 12:5; 1998 1:2 2:6 3:6 4:3 5:1 6:5'],
    'Monthly on the first Friday until December 24, 1997' =>
      ['19970905', 'FREQ=MONTHLY;UNTIL=19971224T000000Z;BYDAY=1FR', '1997 9:5 10:3 11:7 12:5'],
    'Every other month on the first and last Sunday of the month for 10 occurrences' =>
      ['19970907', 'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU', '1997 9:7,28 11:2,30; 1998 1:4,25 3:1,29 5:3,31'],
    'Monthly on the second-to-last Monday of the month for 6 months' =>
      ['19970922', 'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO', '1997 9:22 10:20 11:17 12:22; 1998 1:19 2:16'],
    'Monthly on the 2nd and 15th of the month for 10 occurrences' =>
      ['19970902', 'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15', '1997 9:2,15 10:2,15 11:2,15 12:2,15; 1998 1:2,15'],
    'Monthly on the first and last day of the month for 10 occurrences' =>
      ['19970930', 'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1', '1997 9:30 10:1,31 11:1,30 12:1,31; 1998 1:1,31 2:1'],
    'Every 18 months on the 10th thru 15th of the month for 10 occurrences' =>
      ['19970910', 'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15', '1997 9:10,11,12,13,14,15; 1999 3:10,11,12,13'],
    'Yearly in June and July for 10 occurrences' =>
      ['19970610', 'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
       '1997 6:10 7:10; 1998 6:10 7:10; 1999 6:10 7:10; 2000 6:10 7:10; 2001 6:10 7:10'],
    'Every other year on January, February, and March for 10 occurrences' =>
      ['19970310', 'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
       '1997 3:10; 1999 1:10 2:10 3:10; 2001 1:10 2:10 3:10; 2003 1:10 2:10 3:10'],
    'Every third year on the 1st, 100th, and 200th day for 10 occurrences' =>
      ['19970101', 'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
       '1997 1:1 4:10 7:19; 2000 1:1 4:9 7:18; 2003 1:1 4:10 7:19; 2006 1:1'],
    'Three months of the third instance of Tuesday, Wednesday, or Thursday' =>
      ['19970904', 'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3', '1997 9:4 10:7 11:6'],
    'WKST matters: weeks begin with Monday' => ['19970805', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997 8:5,10,19,24'],
    'WKST matters: weeks begin with Sunday' => ['19970805', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU', '1997 8:5,17,19,31'],
    'An invalid date (February 30) is ignored' => ['20070115', 'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5', '2007 1:15,30 2:15 3:15,30']
  }.each do |words, (start, rule, listed)|
    it words do
      expect(days(recurs(start, rule).to_a)).to eq(listed)
    end
  end

  {
    'Every other day, forever' => ['19970902', 'FREQ=DAILY;INTERVAL=2', 47,
                                   '1997 9:2,4,6,8,10,12,14,16,18,20,22,24,26,28,30 10:2,4,6,8,10,12,14,16,18,20,22,24,26,28,30 ' \
                                   '11:1,3,5,7,9,11,13,15,17,19,21,23,25,27,29 12:1,3'],
    'Every other week, forever' => ['19970902', 'FREQ=WEEKLY;INTERVAL=2;WKST=SU', 13,
                                    '1997 9:2,16,30 10:14,28 11:11,25 12:9,23; 1998 1:6,20 2:3,17'],
    'Monthly on the third-to-the-last day of the month, forever' => ['19970928', 'FREQ=MONTHLY;BYMONTHDAY=-3', 6,
                                                                     '1997 9:28 10:29 11:28 12:29; 1998 1:29 2:26'],
    'Every Tuesday, every other month' => ['19970902', 'FREQ=MONTHLY;INTERVAL=2;BYDAY=TU', 18,
                                           '1997 9:2,9,16,23,30 11:4,11,18,25; 1998 1:6,13,20,27 3:3,10,17,24,31'],
    'Every 20th Monday of the year, forever' => ['19970519', 'FREQ=YEARLY;BYDAY=20MO', 3, '1997 5:19; 1998 5:18; 1999 5:17'],
    'Monday of week number 20, forever' => ['19970512', 'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO', 3, '1997 5:12; 1998 5:11; 1999 5:17'],
    'Every Thursday in March, forever' => ['19970313', 'FREQ=YEARLY;BYMONTH=3;BYDAY=TH', 11,
                                           '1997 3:13,20,27; 1998 3:5,12,19,26; 1999 3:4,11,18,25'],
    'Every Thursday, but only during June, July, and August, forever' =>
      ['19970605', 'FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8', 39,
       '1997 6:5,12,19,26 7:3,10,17,24,31 8:7,14,21,28; 1998 6:4,11,18,25 7:2,9,16,23,30 8:6,13,20,27; ' \
       '1999 6:3,10,17,24 7:1,8,15,22,29 8:5,12,19,26'],
    'Every Friday the 13th, forever' => ['19970902', 'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', 5, '1998 2:13 3:13 11:13; 1999 8:13; 2000 10:13'],
    'The first Saturday that follows the first Sunday of the month, forever' =>
      ['19970913', 'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13', 10, '1997 9:13 10:11 11:8 12:13; 1998 1:10 2:7 3:7 4:11 5:9 6:13'],
    'Every 4 years, the first Tuesday after a Monday in November, forever' =>
      ['19961105', 'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8', 3, '1996 11:5; 2000 11:7; 2004 11:2'],
    'The second-to-last weekday of the month' => ['19970929', 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2', 7,
                                                  '1997 9:29 10:30 11:27 12:30; 1998 1:29 2:26 3:30']
  }.each do |words, (start, rule, number, listed)|
    it words do
      expect(days(recurs(start, rule).first(number))).to eq(listed)
    end
  end

  it 'Daily until December 24, 1997; Every day in January, for 3 years, said in two ways' do
    daily = recurs('19970902', 'FREQ=DAILY;UNTIL=19971224T000000Z').to_a
    expect([daily.length, daily.last]).to eq([113, Time.utc(1997, 12, 23, 9)])
    yearly = recurs('19980101', 'FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA').to_a
    expect(yearly).to eq([1998, 1999, 2000].flat_map { |year| (1..31).map { |day| Time.utc(year, 1, day, 9) } })
    expect(recurs('19980101', 'FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1').to_a).to eq(yearly)
  end

  it 'Every 3 hours, every 15 minutes, every hour and a half; every 20 minutes of each day, said in two ways' do
    times = ->(rule, number = nil) { recurs('19970902', rule).then { |all| number ? all.first(number) : all.to_a }.map { |at| at.strftime('%-d %H:%M') } }
    expect(times.call('FREQ=HOURLY;INTERVAL=3;UNTIL=19970902T210000Z')).to eq(['2 09:00', '2 12:00', '2 15:00'])
    expect(times.call('FREQ=MINUTELY;INTERVAL=15;COUNT=6')).to eq(%w[09:00 09:15 09:30 09:45 10:00 10:15].map { |time| "2 #{time}" })
    expect(times.call('FREQ=MINUTELY;INTERVAL=90;COUNT=4')).to eq(%w[09:00 10:30 12:00 13:30].map { |time| "2 #{time}" })
    daily = times.call('FREQ=DAILY;BYHOUR=9,10,11,12,13,14,15,16;BYMINUTE=0,20,40', 25)
    expect(daily.values_at(0, 1, 2, 3, 23, 24)).to eq(['2 09:00', '2 09:20', '2 09:40', '2 10:00', '2 16:40', '3 09:00'])
    expect(times.call('FREQ=MINUTELY;INTERVAL=20;BYHOUR=9,10,11,12,13,14,15,16', 25)).to eq(daily)
  end

  it 'ends where it never holds, and where it never ends' do
    expect(recurs('20260101', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30').to_a).to eq([])
    expect(recurs('20260101', 'FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30').to_a).to eq([])
    expect(recurs('20260101', 'FREQ=YEARLY').to_a.last.year).to eq(2066)
    # 29 February comes every fourth year, the 31st in seven months.
    expect(days(recurs('20240229', 'FREQ=YEARLY;COUNT=3').to_a)).to eq('2024 2:29; 2028 2:29; 2032 2:29')
    expect(recurs('20260131', 'FREQ=MONTHLY;COUNT=8').map(&:month)).to eq([1, 3, 5, 7, 8, 10, 12, 1])
  end
end
