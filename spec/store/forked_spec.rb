# frozen_string_literal: true

require_relative '../spec_helper'

# What is decided is decided on states that may have to be put back as they were: a copy of one goes its own way.
RSpec.describe 'A copy of a state' do
  include RandomClass

  # @return [Array<String>] streams with something in them, of every kind
  def streams = ARCHIVE.db[:streams].where { head > 0 }.select_order_map(:name)

  it 'is changed by nothing that happens to the other, in any kind of stream' do
    rng = Random.new(7)
    3.times { |seed| random_class(Random.new(seed)) }
    kinds = streams.group_by { |name| Core::Streams::StreamName.kind(name) }
    expect(kinds.keys).to include(:board, :sitting, :staff, :place, :own, :exchange, :poll, :answers)
    kinds.values.flat_map { |names| names.sample(25, random: rng) }.each do |name|
      entries = ARCHIVE.log.entries(name)
      at = rng.rand(entries.length)
      state = Core::Streams::Fold.over(name, entries.first(at))
      before, other = JSON.generate(state.to_h), state.dup
      after = JSON.generate(Core::Streams::Fold.over(name, entries.drop(at), from: state).to_h)
      expect(JSON.generate(other.to_h)).to eq(before), name
      expect(JSON.generate(Core::Streams::Fold.over(name, entries.drop(at), from: other).to_h)).to eq(after), name
    end
  end

  describe Veranda::Deciding::Performer do
    let(:made) { fresh_class }
    let(:board) { "board/#{made[:board]}" }
    let(:farah) { Core::Person.new(id: 'farah', name: 'Farah Lindqvist', role: 'student') }

    def order(id, mark, **more)
      dot = { id: mark, page: 'p1', kind: 'stroke', x: 1, y: 2, ink: 'lake', width: 4, points: [0, 0, 5, 5] }
      Veranda::Deciding::Order.of('board.put', JSON.parse(JSON.generate(marks: [dot])), stream: board, by: farah, id: id, outside: 'work', **more)
    end

    def performer = described_class.new(ARCHIVE.log) { |entry| published << entry.seq }
    def published = @published ||= []
    def now = (Time.now.to_f * 1000).round

    it 'reads nothing again when an order comes twice without a word, or another process was there first' do
      mine, theirs = performer, described_class.new(ARCHIVE.log)
      mine.perform([order('a', 'one')], at: now)
      expect(Core::Streams::Fold).to receive(:restore).never
      allow(ARCHIVE.log).to receive(:state).and_call_original
      again = mine.perform([order('a', 'one'), order('b', 'two')], at: now)
      expect(again.map(&:refusal)).to eq([nil, nil])
      theirs.copy(board)
      expect(ARCHIVE.log).not_to receive(:state).with(board)
      mine.perform([order('c', 'three')], at: now)
      outcome = theirs.perform([order('d', 'four')], at: now).first
      expect(outcome.refusal).to be_nil
      mine.catch_up(board)
      expect([mine, theirs].map { |one| one.copy(board).state.marks.keys }).to all(eq(%w[one two three four]))
      expect(published).to eq(published.uniq.sort)
    end
  end
end
