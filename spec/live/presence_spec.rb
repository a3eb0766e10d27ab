# frozen_string_literal: true

require_relative '../spec_helper'

# Presence with a clock, a table and a class that the spec holds in its hands.
RSpec.describe Veranda::Live::Presence do
  # What the server would store, as a class that commands are carried out on.
  class SmallGathering
    attr_reader :hall, :seen

    def initialize(hall)
      @hall = hall
      @seen = []
      @later = []
    end

    def sittings = ['s1']
    def look(_id) = @later << -> { yield @hall.state, @hall.staff }

    def observe(wire_name, _id, person, **input)
      @later << -> { @seen << [wire_name, person.id] if @hall.do(person, wire_name, input, at: @now) }
    end

    # Does what waits, as a lane would, one after the other.
    def settle(now)
      @now = now
      @later.shift.call while @later.any?
    end
  end

  class Connections
    def initialize = @people = Hash.new(0)

    def set(_sitting, person, tabs)
      raise Sequel::DatabaseDisconnectError if @away

      @people[person] = tabs
    end

    attr_writer :away

    def beat(connected) = @people.select! { |person, _| connected.include?(['s1', person]) }
    def connected(_sitting) = @people.select { |_, tabs| tabs.positive? }.keys
    def sweep = nil
    def drop_all = @people.clear
  end

  let(:hall) { sitting }
  let(:gathering) { SmallGathering.new(hall) }
  let(:connections) { Connections.new }
  let(:presence) { described_class.new(connections, clock: -> { @now }) }
  let(:farah) { person(:farah) }

  before do
    @now = 2_000_000
    %w[odalys farah jonas].each { |id| presence.arrive('s1', id) }
  end

  def settle(at = @now) = gathering.settle(at)

  it 'keeps the seat of who has another tab' do
    presence.arrive('s1', 'farah')
    presence.part(gathering, 's1', farah, on_purpose: false)
    settle
    expect(gathering.seen).to be_empty
  end

  it 'drops who goes, and lets them leave who say goodbye' do
    presence.part(gathering, 's1', farah, on_purpose: false)
    presence.part(gathering, 's1', person(:jonas), on_purpose: true)
    settle
    expect(gathering.seen).to eq([%w[class.drop farah], %w[class.leave jonas]])
  end

  it 'drops who went while the database was away' do
    connections.away = true
    expect { presence.part(gathering, 's1', farah, on_purpose: false) }.to raise_error(Sequel::DatabaseDisconnectError)
    connections.away = false
    presence.beat
    @now += 6_000
    presence.sweep(gathering)
    settle
    expect(gathering.seen).to eq([%w[class.drop farah]])
  end

  it 'counts nobody whose coming could not be written' do
    connections.away = true
    expect { presence.arrive('s1', 'farah') }.to raise_error(Sequel::DatabaseDisconnectError)
    connections.away = false
    presence.part(gathering, 's1', farah, on_purpose: false)
    settle
    expect(gathering.seen).to eq([%w[class.drop farah]])
  end

  it 'drops nobody who came back before it was their turn' do
    presence.part(gathering, 's1', farah, on_purpose: false)
    presence.arrive('s1', 'farah')
    settle
    expect(gathering.seen).to be_empty
  end

  it 'sends nobody off who came back between being looked at and being seen off' do
    presence.part(gathering, 's1', farah, on_purpose: false)
    settle
    @now += 200_000
    presence.sweep(gathering)
    gathering.instance_variable_get(:@later).shift.call
    hall.do(farah, 'class.join', {}, at: @now)
    settle
    expect(hall.state.seats['farah']).to be_here
  end

  it 'lets seats go after two minutes, with the hand, and not before' do
    hall.do(farah, 'class.raise_hand')
    presence.part(gathering, 's1', farah, on_purpose: false)
    settle
    @now += Core::Sittings::Seat::GRACE - 1
    presence.sweep(gathering)
    settle
    expect(hall.state.seats['farah'].presence).to eq('dropped')
    expect(hall.place.hands).to eq(['farah'])
    @now += 2
    presence.sweep(gathering)
    settle
    expect(hall.state.seats['farah'].presence).to eq('left')
    expect(hall.place.hands).to be_empty
  end

  it 'notices people whose process died, and people who are here and count as gone' do
    hall.do(farah, 'class.drop', {}, at: @now)
    presence.sweep(gathering)
    settle
    expect(gathering.seen).to eq([%w[class.join farah]])

    other = described_class.new(connections, clock: -> { @now })
    connections.drop_all
    @now += described_class::GRACE + 1
    other.sweep(gathering)
    settle
    expect(gathering.seen.drop(1)).to match_array([%w[class.drop odalys], %w[class.drop farah], %w[class.drop jonas]])
  end

  it 'forgets who waited and went away' do
    doors = SmallGathering.new(sitting(open: false))
    doors.hall.do(person(:oona), 'class.join', {}, at: @now)
    presence.arrive('s1', 'oona')
    presence.part(doors, 's1', person(:oona), on_purpose: true)
    doors.settle(@now)
    expect(doors.hall.staff.waiting).to be_empty
  end

  it 'takes no part for who was turned away' do
    presence.part(gathering, 's1', person(:oona), on_purpose: false)
    settle
    expect(gathering.seen).to be_empty
  end

  it 'bears the silence of a tab that nobody looks at, which may speak once a minute' do
    expect(Veranda::Live::Hub::SILENCE).to be > 2 * 60
  end
end

RSpec.describe Veranda::Live::Listeners do
  let(:listeners) { described_class.new }

  it 'keeps nothing of a peer that has gone' do
    50.times do |i|
      peer = Object.new
      listeners.add("board/#{i}", peer)
      listeners.add('sitting/1', peer)
      listeners.remove_everywhere(peer)
      expect(listeners.streams_of(peer)).to be_empty
    end
    expect(listeners).to be_empty
    expect(listeners.instance_variable_get(:@streams)).to be_empty
  end
end

RSpec.describe Veranda::Live::Rates do
  it 'is one for all connections of a person, and forgets those who were quiet longest' do
    rates = described_class.new
    expect(rates.of('farah')).to equal(rates.of('farah'))
    first = rates.of('first')
    (described_class::MOST + 1).times { |i| rates.of("p#{i}") }
    expect(rates.of('first')).not_to equal(first)
  end
end
