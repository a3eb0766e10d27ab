# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Live::Arrivals do
  let(:server) { Server.shared }
  let(:made) { fresh_class }

  it 'lets a crowd in together, everybody of it, and who comes with nobody at once' do
    sitting = made[:sitting]
    people = Array.new(40) do |i|
      id = ARCHIVE.people.add("Crew #{i}")
      ARCHIVE.people.admit(made[:lesson], id)
      id
    end
    first = Wire.join(server, 'odalys', { sitting: sitting })
    visitors = people.map { |id| VisitorClient.new(server, as: id) }
    wires = visitors.map { |one| Thread.new { Wire.new(one).tap { |wire| wire.hello({ sitting: sitting }) } } }.map(&:value)
    state = ARCHIVE.log.state("sitting/#{sitting}").first
    expect(people.reject { |id| state.in?(id) }).to eq([])
    joined = ARCHIVE.log.of_kind("sitting/#{sitting}", 'joined')
    expect(joined.map(&:actor).tally.values.uniq).to eq([1])
    # Those of one company have one time: they were stored in one go.
    companies = joined.group_by(&:at).values.map(&:length)
    expect(companies.max).to be_between(2, described_class::MOST + described_class::AT_ONCE[:burst])
    # All of them hear what is said afterwards, and what one does who was let in last.
    first.do('class.lend_floor', "place/#{sitting}.main", person: people.last)
    expect(wires.map { |wire| wire.wait { |message| message['t'] == 'entry' && message['kind'] == 'floor_lent' } }).to all(be_truthy)
  end
end
