# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Live::Welcomes do
  # Somebody who is told things and does nothing.
  class Ear
    attr_reader :person, :sitting_id, :outbox, :told
    attr_accessor :rights, :welcomed, :following, :standing

    def initialize(who, sitting_id)
      @person = Demo::School.person(who)
      @sitting_id = sitting_id
      @rights = {}
      @following = []
      @told = []
      @outbox = Struct.new(:messages) { def push_transient(bytes) = messages << bytes }.new([])
    end

    def send_message(_since = [], **facts) = @told << JSON.parse(JSON.generate(facts))
    def of(type) = @told.select { |message| message['t'] == type }
  end

  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }
  let(:listeners) { Veranda::Live::Listeners.new }
  let(:welcomes) { described_class.new(ARCHIVE, Veranda::Live::Greetings.new(ARCHIVE.log, listeners), listeners, clock: Lessons::NOW) }
  let(:performer) { Veranda::Deciding::Performer.new(ARCHIVE.log) }

  def come(who)
    perform(who, 'class.join', "sitting/#{made[:sitting]}")
    performer.catch_up("sitting/#{made[:sitting]}")
    Ear.new(who, made[:sitting]).tap { |ear| welcomes.teach(ear, performer, {}) }
  end

  it 'tells nothing twice when another process is ahead of this one' do
    3.times { |i| perform('odalys', 'board.put', board, marks: [stroke("m#{i}")]) }
    copy = performer.copy(board)
    expect(copy.seq).to eq(3)
    4.times { |i| perform('odalys', 'board.put', board, marks: [stroke("later#{i}")]) }
    farah = Ear.new('farah', made[:sitting])
    perform('farah', 'class.join', "sitting/#{made[:sitting]}")
    welcomes.teach(farah, performer, { board => 1 })
    part = farah.of('welcome').first['streams'].find { |one| one['stream'] == board }
    expect(part['head']).to eq(3)
    expect(part['entries'].map { |entry| entry['seq'] }).to eq([2, 3])
  end

  it 'tells how the class goes as soon as one is in, and what could be squeezed to staff alone' do
    perform('odalys', 'class.move', "sitting/#{made[:sitting]}", step: 'one')
    odalys, farah = come('odalys'), come('farah')
    expect(odalys.outbox.messages.last).to include('"timing"', '"squeeze"')
    expect(farah.outbox.messages.last).to include('"timing"')
    expect(farah.outbox.messages.join).not_to include('squeeze')
  end

  it 'tells of rights only when they have changed, each place its own' do
    farah, odalys = come('farah'), come('odalys')
    room = "place/#{made[:sitting]}.main"
    [farah, odalys].each { |ear| welcomes.tell_rights(ear, performer) }
    expect(farah.of('rights') + odalys.of('rights')).to be_empty
    perform('odalys', 'class.rule', room, right: 'draw', allow: false)
    performer.catch_up(room)
    [farah, odalys].each { |ear| welcomes.tell_rights(ear, performer) }
    expect(farah.of('rights').last['rights'].keys).to eq([room])
    expect(farah.of('rights').last['rights'][room]['draw']).to include('allowed' => false)
    expect(odalys.of('rights')).to be_empty
    expect([welcomes.may?(farah, :draw, board), welcomes.may?(farah, :post, "exchange/#{made[:sitting]}.main"), welcomes.may?(odalys, :draw, board)])
      .to eq([false, true, true])
  end

  it 'turns away who has no part, with the reason' do
    ruth = Ear.new('farah', made[:sitting]).tap { |ear| ear.person.role = 'stand_in' }
    expect(welcomes.turned_away(ruth, performer).code).to eq(:not_invited)
    expect(welcomes.turned_away(Ear.new('jonas', made[:sitting]), performer)).to be_nil
    perform('odalys', 'class.end', "sitting/#{made[:sitting]}")
    performer.catch_up("sitting/#{made[:sitting]}")
    expect(welcomes.turned_away(Ear.new('jonas', made[:sitting]), performer).code).to eq(:class_ended)
  end
end
