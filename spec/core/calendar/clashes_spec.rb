# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Calendar::Clashes do
  let(:hour) { 3_600_000 }
  let(:zone) { Core::Calendar::Zone.of('Europe/London') }
  let(:people) { { 'farah' => 'student', 'odalys' => 'instructor', 'jonas' => 'student' } }

  def ms(*utc) = Time.utc(*utc).to_i * 1000
  def busy(id, from, *people) = { id: id, from: from, to: from + (2 * hour), people: people }

  it 'are of those who are in both, staff first; one lesson may end as the other begins' do
    evening = ms(2026, 12, 15, 18)
    clashes = described_class.new(people, [busy('fronts', evening, 'odalys', 'farah', 'nils'), busy('other', evening, 'nils')])
    expect(clashes.at(evening + hour, evening + (2 * hour))).to eq([{ person: 'odalys', role: 'instructor', lesson: 'fronts' },
                                                                    { person: 'farah', role: 'student', lesson: 'fronts' }])
    expect(clashes.at(evening + (2 * hour), evening + (3 * hour))).to eq([])
    expect(clashes.at(evening - hour, evening)).to eq([])
  end

  it 'name the nearest day without one, at the same time on the wall, and none that is over' do
    friday = ms(2027, 10, 29, 17) # 18:00 in London, two days before the clocks go back
    taken = [-1, 0, 1, 2].map { |days| busy("b#{days}", friday + (days * 24 * hour), 'farah') }
    clashes = described_class.new(people, taken)
    expect(clashes.free_near(friday, hour, zone: zone, after: 0)).to eq(ms(2027, 10, 27, 17))
    expect(clashes.free_near(friday, hour, zone: zone, after: friday)).to eq(ms(2027, 11, 1, 18))
    always = described_class.new(people, [{ id: 'all', from: 0, to: ms(2030, 1, 1), people: ['jonas'] }])
    expect(always.free_near(friday, hour, zone: zone, after: 0)).to be_nil
  end
end
