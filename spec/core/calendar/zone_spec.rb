# frozen_string_literal: true

require_relative '../../core_helper'

# When clocks change: in London on 29 March and 25 October 2026 at 01:00 UTC, in New York on 8 March and 1 November 2026 at 02:00 local
# time (IANA database, `europe` and `northamerica`).
RSpec.describe Veranda::Core::Calendar::Zone do
  let(:london) { described_class.of('Europe/London') }
  let(:new_york) { described_class.of('America/New_York') }

  def utc(zone, *wall) = Time.at(zone.moment(Time.utc(*wall)) / 1000).utc.strftime('%d %H:%M')

  it 'keeps the time on the wall when the clocks change' do
    expect([utc(london, 2026, 3, 28, 18), utc(london, 2026, 3, 29, 18)]).to eq(['28 18:00', '29 17:00'])
    expect([utc(london, 2026, 10, 24, 18), utc(london, 2026, 10, 25, 18)]).to eq(['24 17:00', '25 18:00'])
    expect([utc(new_york, 2026, 3, 7, 18), utc(new_york, 2026, 3, 8, 18)]).to eq(['07 23:00', '08 22:00'])
    expect([utc(new_york, 2026, 10, 31, 18), utc(new_york, 2026, 11, 1, 18)]).to eq(['31 22:00', '01 23:00'])
  end

  it 'puts a time that there is not as far on as the clocks, and takes the first of one that there is twice' do
    expect(utc(london, 2026, 3, 29, 1, 30)).to eq('29 01:30') # 02:30 by the clocks that were put on
    expect(utc(new_york, 2026, 3, 8, 2, 30)).to eq('08 07:30') # the RFC's own example (3.3.5): 03:30 EDT
    expect(utc(london, 2026, 10, 25, 1, 30)).to eq('25 00:30')
    expect(utc(new_york, 2026, 11, 1, 1, 30)).to eq('01 05:30')
  end

  it 'reads the wall as it writes it, but for the hour that is left out' do
    random = Random.new(RSpec.configuration.seed)
    zones = %w[Europe/London America/New_York Australia/Lord_Howe Asia/Kolkata Pacific/Apia America/St_Johns Etc/UTC].map { |name| described_class.of(name) }
    400.times do
      zone = zones.sample(random: random)
      at = random.rand(Time.utc(2020).to_i..Time.utc(2030).to_i) / 60 * 60_000
      again = zone.moment(zone.wall(at))
      expect([at, at - 3_600_000, at - 1_800_000]).to include(again)
      expect(zone.wall(again)).to eq(zone.wall(at))
    end
  end

  it 'has the zones that the database names' do
    expect([described_class.known?('Europe/Lisbon'), described_class.known?('Europe/Atlantis')]).to eq([true, false])
    expect { described_class.of('CET+1; DROP') }.to raise_error(Core::Refusal, /no zone of time/)
  end
end
