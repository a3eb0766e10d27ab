# frozen_string_literal: true

require_relative '../spec_helper'

# A database as version 1 left it: two classes that were held and recorded (with cuts, snapshots and a board that lost the height of
# two marks), one that goes on, and one at whose doors somebody waits. `log-1.json` is what that version said of it.
RSpec.describe 'A log of an earlier version' do
  said = JSON.parse(File.read(File.join(__dir__, '../fixtures/log-1.json')), symbolize_names: true)

  before(:all) do
    @name = "#{ARCHIVE.db.opts[:database]}_earlier"
    ARCHIVE.db.run("DROP DATABASE IF EXISTS #{@name.inspect} WITH (FORCE)")
    ARCHIVE.db.run("CREATE DATABASE #{@name.inspect}")
    url = Veranda::Environment.database_url.sub(%r{/[^/]+\z}, "/#{@name}")
    db = Veranda::Store::Database.connect(url, connections: 2)
    Veranda::Store::Database.migrate(db, to: 2)
    db.run(File.read(File.join(__dir__, '../fixtures/log-1.sql')))
    Veranda::Store::Database.migrate(db)
    @archive = Veranda::Store::Archive.new(db, files: Veranda::Environment.files)
  end

  after(:all) do
    @archive&.db&.disconnect
    ARCHIVE.db.run("DROP DATABASE IF EXISTS #{@name.inspect} WITH (FORCE)")
  end

  attr_reader :archive

  def state(name) = archive.log.state(name).first

  said[:recordings].each do |id, expected|
    it "plays the recording of #{id} as it did" do
      recording = archive.recordings.recording(archive.recordings.fetch(id.to_s))
      expect(recording.clock.length).to eq(expected[:length])
      expect(recording.chapters.map { |chapter| chapter.except(:at) }).to eq(expected[:chapters])
      replay = Veranda::Store::Replay.new(archive.log, id.to_s, recording)
      expected[:moments].each do |moment|
        streams = replay.at(moment[:t])[:streams]
        expect(streams["place/#{id}.main"][:shown]).to eq(moment[:shown])
        here = streams["sitting/#{id}"][:seats].select { |seat| seat[:presence] == 'here' }
        expect(here.map { |seat| seat[:id] }).to match_array(moment[:here])
        board = streams.find { |name, _| name.start_with?('board/') }&.last || { marks: [] }
        expect(board[:marks].map { |mark| mark[:id] }).to eq(moment[:marks])
        # What was written in a pause or a cut is no part of it any more.
        posts = streams["exchange/#{id}.main"][:posts].map { |post| post[:text] }
        expect(moment[:posts] & posts).to eq(posts)
      end
    end
  end

  it 'goes on with a class that was under way' do
    was = said[:class]
    sitting, room, staff = %w[sitting/rules-class place/rules-class.main staff/rules-class].map { |name| state(name) }
    expect(sitting.step[:id]).to eq(was[:step])
    expect(sitting.extra.transform_keys(&:to_sym)).to eq(was[:extra])
    expect(sitting.recording?).to eq(was[:recording])
    expect(sitting.seats.values.map { |seat| seat.to_h.slice(:id, :name, :role, :presence) }).to match_array(was[:seats])
    expect(sitting.seats.values.map(&:place).uniq).to eq(['main'])
    expect([room.shown, room.hands, room.timer]).to eq([was[:shown], was[:hands], was[:timer]])
    expect(room.rules.to_h).to eq(was[:rules].merge(by_step: %w[post props draw], for_all: Veranda::Core::Rights::HouseRules::DEFAULT.merge(was[:rules][:for_all])))
    expect(staff.cued).to eq(was[:cued])
    expect(state('exchange/rules-class.main').view[:posts]).to eq(was[:posts])
    expect(state('own/rules-class.jonas').place).to eq('main')
    expect(archive.sittings.open_of('rules')).to eq('rules-class')

    farah = Demo::School.person('farah')
    done = Veranda::Deciding::Perform.call(archive.log, 'class.raise_hand', {}, stream: 'place/rules-class.main', by: farah)
    expect(done.entries.length).to eq(1)
  end

  it 'keeps who waits for the staff, and the plan from everyone else' do
    expect(state('staff/passage-class').waiting.keys).to eq(['jonas'])
    expect(state('own/passage-class.jonas').place).to eq('waiting')
    expect(state('sitting/passage-class').seats).to be_empty
    public_words = %w[sitting place own].flat_map do |kind|
      archive.log.entries("#{kind}/rules-class#{'.main' if kind == 'place'}#{'.jonas' if kind == 'own'}").map(&:body)
    end
    expect(JSON.generate(public_words)).not_to match(/cues|shortest|notes/)
  end

  # What was planned then has its stream now, and goes on in it.
  it 'has the plans of its lessons as streams' do
    rows = archive.db[:lessons].order(:id).all
    expect(rows.length).to be > 1
    rows.each do |row|
      kept = Core::Lessons::Plan.from(Veranda::Store::PlanTables.facts(row))
      expect(state("plan/#{row[:id]}").facts).to eq(kept.facts)
    end
    lesson = rows.find { |row| row[:steps].any? }
    stream, step = "plan/#{lesson[:id]}", lesson[:steps].first['id']
    by = Core::Person.new(id: 'odalys', name: 'Odalys', role: 'instructor')
    Veranda::Deciding::Perform.call(archive.log, 'plan.set_step', { step: step, seen: 1, set: { notes: 'Written since' } }, stream: stream, by: by)
    expect(archive.lessons.fetch(lesson[:id])).to include(title: lesson[:title], version: lesson[:version] + 1, steps: include(include(id: step, notes: 'Written since')))
    expect(archive.db.table_exists?(:lesson_versions)).to be(false)
    # Those whose classes were held know it.
    held = archive.db[:sittings].where(rehearsal: false).exclude(status: 'planned').select_map(:lesson_id).uniq
    expect(rows.select { |row| row[:held] }.map { |row| row[:id] }).to match_array(held)
  end

  it 'numbers every stream without gaps and knows its commands again' do
    archive.db[:streams].select_map(%i[name head]).each do |name, head|
      expect(archive.db[:entries].where(stream: name).select_order_map(:seq)).to eq((1..head).to_a)
    end
    ids = archive.db[:entries].where(stream: 'place/rules-class.main').exclude(command_id: nil).select_map(:command_id)
    expect(archive.log.known([['place/rules-class.main', ids.first]]).length).to eq(1)
  end

  it 'mends marks that lost their height, and saves their board' do
    board = state('board/rules-names')
    expect(%w[b1 b2].map { |id| board.marks[id] }).to all(include(:z, :x, :y))
    files = Veranda::Workshop::BoardFiles.new(archive)
    board.pages.each { |page| expect(files.svg(board, page)).to include('<svg') }
    expect(Core::Streams::Fold.over('board/rules-names', archive.log.entries('board/rules-names')).to_h[:marks]).to all(include(:z))
    Veranda::Deciding::Perform.call(archive.log, 'board.clear', { page: 'p2' }, stream: 'board/rules-names')
  end
end
