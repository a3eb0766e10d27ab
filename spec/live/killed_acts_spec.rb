# frozen_string_literal: true

require_relative '../spec_helper'

# Whatever is done in a class by processes that are killed at any moment, what follows it comes to its end, once, and nothing is left half
# done: cues for pairs and rooms, boards handed out, polls without names. `HISTORIES=200` has as many histories as that.
RSpec.describe 'Acts of processes that are killed' do
  students = %w[farah jonas nils hana emre ines]

  # A class in which this can be done.
  def fresh_history
    made = fresh_lesson
    cue!(made, { id: 'pairs', kind: 'pairs', size: 2, board: made[:board] },
         { id: 'rooms', kind: 'rooms', plan: { by: 'rooms', number: 2, words: 'Talk.', minutes: 5, grace: 0 }, board: made[:board] })
    fresh_class(**made)
  end

  # A process that does things in the class and carries out errands until it is killed.
  def child(made, seed)
    fork do
      db = Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 2)
      archive = Veranda::Store::Archive.new(db, files: Veranda::Environment.files)
      errands = Veranda::Preparing::Errands.new(archive)
      dice = Random.new(seed)
      Console.logger.off! if Console.logger.respond_to?(:off!)
      loop do
        something(archive, errands, made, dice)
        errands.call
      rescue Core::Refusal
        nil # random things may be refused
      end
    ensure
      exit!
    end
  end

  def something(archive, errands, made, dice)
    sitting = made[:sitting]
    act = lambda do |who, name, kind, **input|
      Veranda::Deciding::Perform.call(archive.log, name, input, stream: "#{kind}/#{sitting}", by: Demo::School.person(who))
    end
    case dice.rand(7)
    when 0 then act.call('odalys', 'class.cue', 'staff', cue: 'pairs')
    when 1 then act.call('odalys', 'class.cue', 'staff', cue: 'rooms')
    when 2 then act.call('odalys', 'class.hand_out', 'sitting', board: made[:board], on: dice.rand(3).positive?)
    when 3 then open_some(archive, errands, sitting)
    when 4 then archive.log.state("staff/#{sitting}").first.activities.open&.then { |one| act.call('odalys', 'rooms.bring_back', 'staff', activity: one[:id]) }
    else polled(archive, act, sitting, dice)
    end
  end

  def open_some(archive, errands, sitting)
    dealt = archive.log.state("staff/#{sitting}").first.activities.to_a.find { |one| one[:state] == 'dealt' } or return
    errands.now(:open_rooms, act: Veranda::Store::Ids.call, sitting: sitting, activity: dealt[:id])
  end

  def polled(archive, act, sitting, dice)
    id = "p#{dice.rand(3)}"
    staff = archive.log.state("staff/#{sitting}").first
    return act.call('odalys', 'poll.stage', 'staff', poll: id, question: { kind: 'yes_no', text: 'Well?', names: false }) unless staff.polls[id]

    rounds = archive.log.state("poll/#{sitting}.#{id}").first.rounds
    open = rounds.find { |round| round[:closed_at].nil? }
    return act.call('odalys', 'poll.open', 'staff', poll: id, round: rounds.length + 1) unless open
    return act.call('odalys', 'poll.close', 'staff', poll: id, round: open[:round]) if dice.rand(2).zero?

    by = Demo::School.person(%w[farah jonas nils].sample(random: dice))
    Veranda::Deciding::Perform.call(archive.log, 'poll.answer', { round: open[:round], value: 'yes' }, stream: "poll/#{sitting}.#{id}", by: by)
  end

  Array.new(Integer(ENV.fetch('HISTORIES', 3))) { |i| i + 1 }.each do |seed|
    it "come to their end once (history #{seed})" do
      made = fresh_history
      students.each { |who| perform(who, 'class.join', "sitting/#{made[:sitting]}") }
      dice = Random.new(seed)
      CarriedErrands.without do
        4.times do |round|
          children = Array.new(2) { |i| child(made, (seed * 100) + (round * 10) + i) }
          sleep(0.1 + dice.rand(0.8))
          children.each { |pid| Process.kill(:KILL, pid) }.each { |pid| Process.wait(pid) }
        end
        settle(made[:sitting])
      end
      whole(made, students)
    end
  end

  # Everything that waits is due, also what somebody was at who is gone.
  def settle(sitting)
    waiting = ARCHIVE.db[:errands].where(Sequel.lit("facts->>'sitting' = ?", sitting))
    until_true('nothing waits', said: -> { waiting.all }) do
      waiting.update(due_at: Time.now - 1)
      Veranda::Preparing::Errands.new(ARCHIVE).call
      waiting.empty?
    end
  end

  def whole(made, students)
    sitting = made[:sitting]
    staff, state = %w[staff sitting].map { |kind| ARCHIVE.log.state("#{kind}/#{sitting}").first }
    entries = ARCHIVE.log.entries("staff/#{sitting}")
    # Each firing of the cue for pairs has drawn once.
    fired = entries.select { |entry| entry.kind == 'cued' && entry.body[:cue] == 'pairs' }.map { |entry| Veranda::Store::Ids.of("cue #{sitting} #{entry.seq}") }
    refused = entries.count { |entry| entry.kind == 'cue_refused' && entry.body[:cue] == 'pairs' }
    drawn = entries.select { |entry| entry.kind == 'paired' }.map { |entry| entry.body[:round] }
    expect(drawn.uniq).to eq(drawn)
    expect((fired - drawn).length).to eq(refused)
    # Each pair has one copy, and each board that was made for somebody is known to the class.
    copies = entries.select { |entry| entry.kind == 'copies_given' }.flat_map { |entry| entry.body[:copies] }.map { |copy| copy[:board] }
    expect(copies.uniq).to eq(copies)
    expect(ARCHIVE.db[:boards].where(sitting_id: sitting, room_id: nil).select_order_map(:id)).to eq(copies.sort)
    pairs = entries.select { |entry| entry.kind == 'paired' }.sum { |entry| entry.body[:pairs].length }
    expect(copies.length).to be_between(pairs, pairs + students.length)
    expect(Veranda::Core::Sittings::HandOut.missing(state, staff)).to eq({})
    # So is each that was made for a room, and rooms that are open have one each.
    rooms = staff.activities.to_a.flat_map { |activity| activity[:rooms] }
    made = ARCHIVE.db[:boards].where(sitting_id: sitting).exclude(room_id: nil).select_order_map(:id)
    expect(made).to eq(rooms.flat_map { |room| room[:boards].map { |board| board[:id] } }.sort)
    expect(rooms.select { |room| room[:open] }.map { |room| room[:boards].length }.uniq - [1]).to eq([])
    # Every round that is closed is counted once.
    staff.polls.begun.each do |row|
      closed = ARCHIVE.log.state("poll/#{sitting}.#{row[:id]}").first.rounds.select { |round| round[:closed_at] }.map { |round| round[:round] }
      counted = ARCHIVE.log.of_kind("answers/#{sitting}.#{row[:id]}", 'counted').map { |entry| entry.body[:round] }
      expect(counted).to match_array(closed)
    end
  end
end
