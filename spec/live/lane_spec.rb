# frozen_string_literal: true

require_relative '../spec_helper'
require 'async'

RSpec.describe Veranda::Live::Lane do
  # Stands in for a performer whose database does what a spec wants. Orders are words here.
  class Balky
    attr_reader :batches

    def initialize(&act)
      @act = act
      @batches = []
    end

    def perform(orders, at:)
      @batches << orders
      @act.call(orders, @batches.length)
      orders.map { |order| Veranda::Deciding::Outcome.new(order: order, entries: [], seq: at) }
    end
  end

  # @return [Hash{String => Veranda::Deciding::Outcome}] answers to orders that were submitted together
  def answers(performer, *orders)
    told = {}
    Sync do |task|
      lane = described_class.new(performer, clock: -> { 7 })
      orders.each { |order| lane.submit(order) { |outcome| told[order] = outcome } }
      runner = task.async { lane.run }
      task.with_timeout(Patience::SECONDS) { task.yield until told.length == orders.length }
      yield lane, task if block_given?
    ensure
      runner&.stop
    end
    told
  end

  before { allow(Veranda::Complaint).to receive(:of) }

  it 'takes orders that came together in one go' do
    performer = Balky.new { nil }
    expect(answers(performer, 'a', 'b', 'c').values.map(&:seq)).to eq([7, 7, 7])
    expect(performer.batches).to eq([%w[a b c]])
  end

  it 'pays a visit again that met a database which was away, and no other; and says when it gives one up' do
    tries = Hash.new(0)
    given_up = []
    visit = ->(lane, name, &job) { lane.visit(given_up: -> { given_up << name }, &job) }
    answers(Balky.new { nil }, 'a') do |lane, task|
      visit.call(lane, :away) { (tries[:away] += 1) < 3 && raise(Sequel::DatabaseDisconnectError, 'gone') }
      visit.call(lane, :odd) { (tries[:odd] += 1) && raise(ArgumentError, 'odd') }
      visit.call(lane, :never) { (tries[:never] += 1) && raise(Sequel::DatabaseDisconnectError, 'gone') }
      task.with_timeout(Patience::SECONDS) { sleep 0.05 until tries[:never] == described_class::TRIES }
      sleep described_class::PAUSE * 2
    end
    expect(tries).to eq(away: 3, odd: 1, never: described_class::TRIES)
    # Nobody is left waiting for an answer.
    expect(given_up).to eq(%i[odd never])
  end

  [ArgumentError.new('invalid byte sequence'), NoMethodError.new('undefined method'), Sequel::DatabaseError.new('invalid'), ZeroDivisionError.new('x')].each do |error|
    it "refuses the one order that raises #{error.class}, and carries out its neighbours" do
      performer = Balky.new { |orders| raise error if orders.include?('bad') }
      told = answers(performer, 'a', 'bad', 'c')
      expect(told.transform_values { |outcome| outcome.refusal&.code }).to eq('a' => nil, 'bad' => :fault, 'c' => nil)
    end
  end

  [Sequel::PoolTimeout.new('full'), Sequel::DatabaseDisconnectError.new('gone'), Veranda::Store::Log::Moved.new(['sitting/1'])].each do |error|
    it "says that it is worth sending again after #{error.class}, and goes on when that is over" do
      performer = Balky.new { |_, count| raise error if count == 1 }
      told = answers(performer, 'a', 'b') do |lane, task|
        later = nil
        lane.submit('c') { |outcome| later = outcome }
        task.with_timeout(Patience::SECONDS) { task.yield until later }
        expect(later.refusal).to be_nil
      end
      expect(told.values.map { |outcome| outcome.refusal.code }).to eq(%i[not_saved not_saved])
    end
  end

  it 'passes a refusal of a whole batch on to the one it is meant for' do
    refusal = Veranda::Core::Refusal.new(:unknown_stream, 'There is no such board or class.')
    told = answers(Balky.new { |orders| raise refusal if orders.include?('nowhere') }, 'a', 'nowhere')
    expect(told.transform_values { |outcome| outcome.refusal&.code }).to eq('a' => nil, 'nowhere' => :unknown_stream)
  end

  it 'goes on when not even its complaint can be written' do
    allow(Veranda::Complaint).to receive(:of).and_call_original
    allow(Console).to receive(:error).and_raise(NoMethodError, 'undefined method `timeout\'')
    told = nil
    expect { told = answers(Balky.new { |orders| raise NoMethodError, 'x' if orders == ['bad'] }, 'bad') }.to output(/NoMethodError/).to_stderr
    expect(told['bad'].refusal.code).to eq(:fault)
  end

  it 'goes on after visits and answers that fail' do
    told = []
    Sync do |task|
      lane = described_class.new(Balky.new { nil }, clock: -> { 7 })
      lane.visit { raise 'a visitor stumbles' }
      lane.submit('a') { raise 'whoever asked has gone' }
      lane.submit('b') { told << 'b' }
      lane.visit { told << 'visit' }
      runner = task.async { lane.run }
      task.with_timeout(Patience::SECONDS) { task.yield until told.length == 2 }
    ensure
      runner&.stop
    end
    expect(told).to eq(%w[b visit])
  end
end

RSpec.describe Veranda::Deciding::Followers do
  let(:entry) { Veranda::Core::Streams::Entry.new(stream: 'sitting/7', seq: 3, kind: 'ended') }

  it 'knows what follows an entry by its stream and kind' do
    followers = described_class.new({ 'sitting.ended' => %i[one two] }, self)
    expect(followers.after(entry)).to eq(%i[one two])
    expect(followers.after(entry.dup.tap { |other| other.stream = 'board/7' })).to eq([])
  end

  it 'has a failed one tried again, and not for ever' do
    allow(Veranda::Complaint).to receive(:of)
    target = Object.new.tap { |object| object.define_singleton_method(:fail_again) { |_| raise 'no' } }
    followers = described_class.new({}, target)
    tries = []
    try = lambda do |number|
      tries << number
      followers.call(:fail_again, entry, tries: number, &try)
    end
    try.call(1)
    expect(tries).to eq([1, 2, 3])
  end
end
