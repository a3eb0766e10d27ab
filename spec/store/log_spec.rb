# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Log do
  let(:log) { ARCHIVE.log }
  let(:board) { fresh_lesson[:board] }
  let(:stream) { "board/#{board}" }

  def put(id, **options) = perform('odalys', 'board.put', stream, marks: [stroke(id)], **options)

  it 'numbers entries without gaps and gives them back as they were' do
    3.times { |i| put("m#{i}") }
    entries = log.entries(stream)
    expect(entries.map(&:seq)).to eq([1, 2, 3])
    expect(entries.first.body[:ops].first[:mark]).to include(id: 'm0', ink: 'lake', points: [0, 0, 30, 5, 60, -5])
  end

  it 'keeps nothing of a commit that failed' do
    put('m1')
    twice = log.entries(stream).first.dup.tap { |entry| entry.seq = 2 }
    expect { log.append([stream]) { [twice] } }.to raise_error(Sequel::UniqueConstraintViolation)
    expect(log.entries(stream).length).to eq(1)
  end

  it 'lets a stream go while a worker keeps its state' do
    put('m1')
    kept = Queue.new
    keeper = Thread.new do
      ARCHIVE.db.transaction do
        log.snapshots.keep(stream, 1, 1, log.state(stream).first)
        kept << true
        sleep(0.3)
      end
    end
    kept.pop
    log.forget([stream])
    keeper.join
    expect(ARCHIVE.db[:snapshots].where(stream: stream).count).to eq(0)
    expect(log.heads([stream])).to be_empty
  end

  it 'refuses streams that are not there' do
    expect { log.append(['board/nowhere']) { [] } }.to refusing(:unknown_stream)
  end

  it 'gives the state at any earlier time, with and without snapshots' do
    performer = Veranda::Deciding::Performer.new(log)
    orders = Array.new(1_200) do |i|
      Veranda::Deciding::Order.of('board.put', JSON.parse(JSON.generate(marks: [stroke("m#{i}")])), stream: stream, by: Demo::School.person('odalys'))
    end
    orders.each_slice(100).with_index { |batch, i| performer.perform(batch, at: 1_000 * (i + 1)) }

    [400, 900].each { |seq| Veranda::Workshop::KeepSnapshot.keep(log, stream, seq) }
    2.times { Veranda::Workshop::KeepSnapshot.keep(log, stream, 900) }
    expect(ARCHIVE.db[:snapshots].where(stream: stream).select_order_map(:seq)).to eq([400, 900])
    [0, 999, 1_000, 4_500, 7_000, 12_000].each do |at|
      expect(log.state_at(stream, at).marks.length).to eq(at / 1_000 * 100)
    end
    expect(log.state(stream).first.to_h).to eq(Veranda::Core::Streams::Fold.over(stream, log.entries(stream)).to_h)
  end

  # Each writes what the other has looked at: if both were stored, neither was decided on what was true. A server that is alone spares itself
  # the locks on what it looks at; workers, and requests, do not.
  [[false, false], [true, false]].each do |alone|
    it "stores one of two commits at most that each look at what the other writes, #{alone.first ? 'one from a server that is alone' : 'on two servers'}" do
      one, other = Array.new(2) { "board/#{fresh_lesson[:board]}" }
      logs = Array.new(2) { described_class.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 1)) }
      40.times do |round|
        gate = Queue.new
        stood = log.heads([one, other])
        tries = [[one, other], [other, one]].zip(logs, alone).map do |(written, looked), each, unlocked|
          Thread.new do
            gate.pop
            entry = Veranda::Core::Streams::Entry.new(stream: written, seq: stood[written] + 1, at: round, actor: 'house', kind: 'pointed', body: {})
            each.append_at(Veranda::Store::Log::Commit.new([entry]), expected: { written => stood[written] }, looked: { looked => stood[looked] }, alone: unlocked)
            true
          rescue described_class::Moved
            false
          end
        end
        2.times { gate << true }
        expect(tries.map(&:value)).to contain_exactly(true, false)
      end
      logs.each { |each| each.instance_variable_get(:@db).disconnect }
    end
  end

  it 'copies a stream with its history' do
    put('m1')
    log.fork(stream, 'board/fork-of-it')
    expect(log.state('board/fork-of-it').first.marks.keys).to eq(['m1'])
  end
end

RSpec.describe Veranda::Deciding::Performer do
  # A log into which another process writes just before everything that is written without a lock.
  class Contended < SimpleDelegator
    def initialize(log, &other)
      super(log)
      @other = other
    end

    def append_at(...)
      @other.call
      __getobj__.append_at(...)
    end
  end

  let(:stream) { "board/#{fresh_lesson[:board]}" }
  let(:odalys) { Demo::School.person('odalys') }

  def order(mark, id: "c-#{mark}", again: false)
    Veranda::Deciding::Order.of('board.put', JSON.parse(JSON.generate(marks: [stroke(mark)])), stream: stream, by: odalys, id: id,
                                                                                               again: again)
  end

  # Of somebody whose own process has not heard yet of what another one did a moment ago.
  [false, true].each do |shared|
    it "refuses nothing because of what it has not heard of yet, where others write to the stream as well: #{shared}" do
      made = fresh_class
      room = "place/#{made[:sitting]}.main"
      show = lambda { |board|
        Veranda::Deciding::Order.of('class.show', { 'board' => board, 'page' => 'p1' }, stream: room, by: odalys, id: "show-#{board}")
      }
      performer = described_class.new(ARCHIVE.log)
      performer.perform([show.call(made[:board])], at: Lessons::NOW.call)
      performer.copy(room).share if shared
      board = ARCHIVE.lessons.add_board(made[:lesson], name: 'What the room made')
      Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
      outcome = performer.perform([show.call(board)], at: Lessons::NOW.call).first
      expect(outcome.refusal&.code).to be_nil
      expect(ARCHIVE.log.state(room).first.shown[:board]).to eq(board)
      expect(performer.perform([show.call('nowhere')], at: Lessons::NOW.call).first.refusal.code).to eq(:no_such_board)
    end
  end

  it 'takes what somebody says of a post in a thread of which this process has not heard yet that it was begun with them' do
    sitting = fresh_class[:sitting]
    %w[farah jonas].each { |who| perform(who, 'class.join', "sitting/#{sitting}") }
    performer = described_class.new(ARCHIVE.log)
    performer.copy("own/#{sitting}.jonas")
    begun = { id: 't1', people: ['jonas'], staff: false, post: { id: 'first', text: 'Port?' } }
    perform('farah', 'exchange.begin_thread', "exchange/#{sitting}.main", sitting: sitting, **begun)
    clap = { 'id' => 'first', 'sign' => 'thanks' }
    order = Veranda::Deciding::Order.of('thread.react', clap, stream: "thread/#{sitting}.t1", by: Demo::School.person('jonas'), sitting: sitting)
    expect(performer.perform([order], at: Lessons::NOW.call).first.refusal&.code).to be_nil
  end

  it 'gets its turn while another process writes to the same stream without a pause' do
    other = described_class.new(ARCHIVE.log)
    theirs = 0
    contended = Contended.new(ARCHIVE.log) { other.perform([order("theirs#{theirs += 1}")], at: Lessons::NOW.call) }
    told = []
    performer = described_class.new(contended) { |entry| told << entry.seq }
    outcomes = Array.new(3) { |i| performer.perform([order("mine#{i}")], at: Lessons::NOW.call).first }
    expect(outcomes.map(&:refusal)).to all(be_nil)
    expect(ARCHIVE.log.state(stream).first.marks.keys).to include('mine0', 'mine1', 'mine2', 'theirs1')
    expect(told).to eq(told.sort.uniq)
  end

  def perform_with(performer, *orders) = performer.perform(orders, at: 1_000)

  it 'carries out the same command once, however often it comes' do
    first = perform_with(described_class.new(ARCHIVE.log), order('m1')).first
    again = perform_with(described_class.new(ARCHIVE.log), order('m1', again: true)).first
    expect(again.seq).to eq(first.seq)
    expect(ARCHIVE.log.entries(stream).length).to eq(1)
  end

  it 'notices a repeated id even when nobody says that it is one, and spares the rest of the batch' do
    performer = described_class.new(ARCHIVE.log)
    perform_with(performer, order('m1', id: 'same'))
    outcomes = perform_with(performer, order('m2', id: 'same'), order('m3'), order('m3b', id: 'c-m3'))
    expect(outcomes.map(&:refusal)).to all(be_nil)
    expect(outcomes.map(&:seq)).to eq([1, 2, 2])
    expect(ARCHIVE.log.state(stream).first.marks.keys).to eq(%w[m1 m3])
  end

  it 'decides on what other processes have added, and publishes all of it once and in order' do
    heard = []
    here = described_class.new(ARCHIVE.log) { |entry| heard << entry.seq }
    there = described_class.new(ARCHIVE.log)
    perform_with(here, order('m1'))
    perform_with(there, order('m2'))
    refused = perform_with(here, order('m2', id: 'other')).first
    perform_with(here, order('m3'))

    expect(refused.refusal.code).to eq(:mark_exists)
    expect(heard).to eq([1, 2, 3])
  end

  it 'holds on to nothing that a failed commit had decided, and tells what others did meanwhile' do
    heard = []
    performer = described_class.new(ARCHIVE.log) { |entry| heard << entry.seq }
    perform_with(performer, order('m1'))
    perform_with(described_class.new(ARCHIVE.log), order('m2'))
    allow(ARCHIVE.log).to receive(:write).and_raise(Sequel::DatabaseError, 'gone')
    expect { perform_with(performer, order('lost')) }.to raise_error(Sequel::DatabaseError)
    allow(ARCHIVE.log).to receive(:write).and_call_original
    perform_with(performer, order('m3'))

    expect(performer.copy(stream).state.marks.keys).to eq(%w[m1 m2 m3])
    expect(heard).to eq([1, 2, 3])
  end

  it 'stays in order when several processes write to one board at once' do
    stream # made before the threads begin
    performers = Array.new(4) { described_class.new(Veranda::Store::Log.new(ARCHIVE.db)) }
    performers.each_with_index.map do |performer, n|
      Thread.new do
        20.times do |i|
          performer.perform([order("t#{n}-#{i}")], at: 1_000)
        end
      end
    end.each(&:join)
    expect(ARCHIVE.log.entries(stream).map(&:seq)).to eq((1..80).to_a)
  end
end
