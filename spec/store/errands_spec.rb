# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Errands do
  let(:errands) { ARCHIVE.errands }
  # Nobody carries out what has no task.
  let(:key) { "nothing #{SecureRandom.hex(6)}" }
  let(:later) { 3_600 }

  def ask(within: later) = errands.ask(Veranda::Core::Errands::Errand.new(key, 'nothing', { a: [1] }), within: within)
  def row = ARCHIVE.db[:errands].first(key: key)

  after { ARCHIVE.db[:errands].where(key: key).delete }

  it 'keeps what is asked for until it is done, once' do
    ids = [ask, ask]
    expect(ids.uniq.length).to eq(1)
    expect(errands.find(ids.first)).to include(task: 'nothing', facts: { a: [1] }, asked: 2, tries: 0)
    errands.done(errands.find(ids.first))
    expect(row).to be_nil
  end

  it 'has done again what was asked for while it was under way' do
    begun = errands.find(ask)
    ask
    errands.done(begun)
    expect(row).to include(asked: 2, tries: 0)
    expect(errands.find(row[:id])).not_to be_nil
  end

  it 'tries again after growing pauses, and waits for somebody to look after many' do
    ask
    pauses = Array.new(described_class::TRIES) do
      errands.failed(errands.find(row[:id]), 'It is broken.')
      (row[:due_at] - Time.now).round
    end
    expect(pauses.first(4)).to eq([1, 8, 27, 64])
    expect(pauses.last).to eq(12**3)
    ARCHIVE.db[:errands].where(key: key).update(due_at: Time.now - 10)
    expect(errands.due.map { |one| one[:key] }).not_to include(key)
    expect(errands.given_up).to include(key: key, task: 'nothing', tries: 12, says: 'It is broken.')
    ask(within: 0)
    until_true('it is tried again when it is asked for') { row[:says].include?('nothing') }
  end

  it 'is written with the entries or not at all' do
    made = fresh_class
    stream = "sitting/#{made[:sitting]}"
    perform('odalys', 'class.hand_out', stream, board: made[:board], on: true)
    twice = ARCHIVE.log.entries(stream).last.dup.tap { |entry| entry.seq += 1 }
    errand = Veranda::Core::Errands::Errand.new(key, 'nothing', {})
    expect { ARCHIVE.log.append([stream]) { Veranda::Store::Log::Commit.new([twice], [], [errand]) } }.to raise_error(Sequel::UniqueConstraintViolation)
    expect(row).to be_nil
    twice.command_id = nil
    ARCHIVE.log.append([stream]) { Veranda::Store::Log::Commit.new([twice], [], [errand]) }
    expect(row).to include(task: 'nothing', asked: 1)
  end
end

RSpec.describe Veranda::Preparing::Errands do
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:errands) { described_class.new(ARCHIVE) }

  # That its lesson was held follows from every class whose doors are opened, and may be done or not.
  def waiting
    ARCHIVE.db[:errands].where(Sequel.lit("facts->>'sitting' = ?", sitting)).exclude(task: 'note_held').select_order_map(:task)
  end

  it 'is carried out by one at a time' do
    held, go = Queue.new, Queue.new
    id = ARCHIVE.errands.ask(Veranda::Core::Errands::Errand.new("k #{sitting}", 'keep_snapshots', { sitting: sitting }), within: 3_600)
    other = Thread.new { Veranda::Store::Turn.alone(ARCHIVE.db, 'errand', id) { [held << true, go.pop] } }
    held.pop
    ARCHIVE.db[:errands].where(id: id).update(due_at: Time.now - 1)
    errands.call
    expect(waiting).to eq(['keep_snapshots'])
    go << true
    other.join
    until_true('it is done') { errands.call && waiting.empty? }
  end

  it 'tells staff why a cue could not be done, until it is fired again' do
    made = fresh_lesson
    cue!(made, { id: 'two', kind: 'pairs', size: 2, board: made[:staff_board] })
    sitting = fresh_class(**made)[:sitting]
    %w[farah jonas].each { |who| perform(who, 'class.join', "sitting/#{sitting}") }
    staff = -> { ARCHIVE.log.state("staff/#{sitting}").first }
    perform('odalys', 'class.cue', "staff/#{sitting}", cue: 'two')
    until_true('they are told') { staff.call.refused == { 'two' => 'Not everyone can see that board. Change its audience first.' } }
    expect(Veranda::Core::Sittings::StaffFacts.from(staff.call.to_h).refused).to eq(staff.call.refused)
    CarriedErrands.without do
      perform('odalys', 'class.cue', "staff/#{sitting}", cue: 'two')
      expect(staff.call.refused).to eq({})
    end
  end

  it 'tells whoever asked that what failed half way goes on by itself, and goes on' do
    broken = Class.new(Veranda::Preparing::Errands::Tasks) { def add_room(**) = raise(IOError, 'half way') }.new(ARCHIVE)
    errands.instance_variable_set(:@tasks, broken)
    act = Veranda::Store::Ids.call
    expect { errands.now(:add_room, act: act, sitting: sitting, activity: 'none', name: 'Pell') }.to refusing(:goes_on)
    expect(waiting).to eq(['add_room'])
    ARCHIVE.db[:errands].where(key: act).update(due_at: Time.now - 1)
    until_true('somebody else has gone on') { waiting.empty? }
  end

  it 'is tried again when it fails, and stands in nobody’s way' do
    id = ARCHIVE.errands.ask(Veranda::Core::Errands::Errand.new("x #{sitting}", 'no_such_task', { sitting: sitting }))
    until_true('it has failed') { ARCHIVE.errands.find(id)[:tries].positive? }
    perform('odalys', 'class.end', "sitting/#{sitting}")
    until_true('others are done') { waiting == ['no_such_task'] }
    ARCHIVE.db[:errands].where(id: id).delete
  end
end
