# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Live::Views do
  subject(:views) { described_class.new }

  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }
  let(:performer) { Veranda::Deciding::Performer.new(ARCHIVE.log) { |entry| views.heard(entry, entry.seq.to_s) } }
  let(:copy) { performer.copy(board) }

  def draw(*ids)
    ids.each_slice(50) { |some| perform('odalys', 'board.put', board, marks: some.map { |id| stroke(id) }) }
    performer.catch_up(board)
  end

  # Six entries.
  def fill = draw(*Array.new(300) { |i| "m#{i}" })
  def plain(value) = JSON.parse(JSON.generate(value))

  it 'makes that of a large stream once, and then tells what has happened since' do
    fill
    first = views.of(copy)
    expect([first.seq, first.since]).to eq([6, []])
    expect(JSON.parse(first.json)).to eq(plain(copy.state.view))
    before = first.json
    draw('later')
    draw('last')
    expect(views.of(copy).json.equal?(before)).to be(true)
    expect(views.of(copy)).to have_attributes(seq: 6, since: %w[7 8], head: copy.seq)
  end

  it 'makes it anew once too much has happened, and where it missed something' do
    fill
    views.of(copy)
    (described_class::BEHIND + 1).times { |i| views.heard(Veranda::Core::Streams::Entry.new(stream: board, seq: 7 + i), '') }
    expect(views.of(copy)).to have_attributes(seq: 6, since: [])
    # What was folded by another performer, nobody told of.
    other = Veranda::Deciding::Performer.new(ARCHIVE.log)
    perform('odalys', 'board.put', board, marks: [stroke('elsewhere')])
    expect(views.of(other.copy(board))).to have_attributes(seq: 7, since: [])
    expect(JSON.parse(views.of(other.copy(board)).json)['marks'].last['id']).to eq('elsewhere')
  end

  it 'keeps none that is small, and not many' do
    draw('one')
    expect(views.of(copy).equal?(views.of(copy))).to be(false)
    fill
    kept = views.of(copy)
    expect(views.of(copy).equal?(kept)).to be(true)
    others = Array.new(described_class::MOST) { |i| copy.dup.tap { |other| other.instance_variable_set(:@name, "board/other#{i}") } }
    others.each { |other| views.of(other) }
    expect(views.of(others.last).equal?(views.of(others.last))).to be(true)
    expect(views.of(copy).equal?(kept)).to be(false)
  end

  it 'brings whoever comes to where the others are, however much they draw meanwhile' do
    fill
    server = Server.shared
    odalys, farah = %w[odalys farah].map { |who| Wire.join(server, who, { sitting: made[:sitting] }) }
    drawing = Thread.new { 30.times { |i| odalys.do('board.put', board, marks: [stroke("o#{i}")]) } }
    wires = %w[jonas nils hana].map { |who| Wire.join(server, who, { sitting: made[:sitting] }) }
    drawing.join
    # All by the one that was made for the first.
    expect(wires.map { |wire| wire.part(board)['head'] }.uniq).to eq([6])
    last = ARCHIVE.log.heads([board])[board]
    [farah, *wires].each do |wire|
      wire.wait { |message| message['stream'] == board && message['seq'] == last }
      expect(plain(as_known(wire).view)).to eq(plain(ARCHIVE.log.state(board).first.view))
    end
  end

  # The board as a page folds it from its welcome and what comes after it.
  def as_known(wire)
    part = wire.heard.find { |message| message['t'] == 'welcome' }['streams'].find { |one| one['stream'] == board }
    view = JSON.parse(JSON.generate(part['view']), symbolize_names: true)
    known = Veranda::Core::Boards::Board.from(view.merge(history: copy_of_history(part['head'])))
    entries = wire.heard.select { |message| message['t'] == 'entry' && message['stream'] == board }
    expect(entries.map { |entry| entry['seq'] }).to eq(((part['head'] + 1)..entries.last['seq']).to_a)
    entries.each { |entry| known.apply(ARCHIVE.log.entries(board, after: entry['seq'] - 1, last: entry['seq']).first) }
    known
  end

  # A page is told how much each could undo, not what.
  def copy_of_history(seq) = ARCHIVE.log.state_after(board, seq).history.to_h
end
