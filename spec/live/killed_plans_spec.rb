# frozen_string_literal: true

require_relative '../spec_helper'
require 'io/wait'

# Whatever two processes do to a plan and a course that are killed at any moment: what they were told is stored is, once, and the tables say
# what the streams do. `HISTORIES=200` has as many histories as that.
RSpec.describe 'Plans and courses, in the hands of processes that are killed' do
  # A process that works on both until it is killed, and says which of its steps are stored.
  def child(lesson, course, seed, acks)
    fork do
      archive = Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 2), files: Veranda::Environment.files)
      dice = Random.new(seed)
      (1..).each do |i|
        something(archive, lesson, course, dice, "s#{seed}-#{i}") { |step| acks.syswrite("#{step}\n") }
      rescue Core::Refusal
        nil # random things may be refused
      end
    ensure
      exit!
    end
  end

  def something(archive, lesson, course, dice, fresh)
    plan = "plan/#{lesson}"
    act = ->(name, on, **input) { Veranda::Deciding::Perform.call(archive.log, name, input, stream: on, by: Demo::School.person('odalys')) }
    step = archive.log.state(plan).first.steps.sample(random: dice)&.fetch(:id)
    seen = archive.log.heads([plan]).values.first
    case dice.rand(6)
    when 0, 1 then act.call('plan.add_step', plan, step: fresh, after: step, set: { title: fresh }).then { yield fresh }
    when 2 then act.call('plan.take_step', plan, step: step, seen: seen)
    when 3 then act.call('plan.move_step', plan, step: step, after: nil)
    when 4 then act.call('plan.set', plan, seen: seen, set: { title: fresh, starts_at: 1_800_000_000_000 + dice.rand(999) })
    else act.call('course.set', "course/#{course}", name: fresh, keep_recordings: [nil, 30].sample(random: dice))
    end
  end

  def expect_whole(lesson, course, acked)
    plan = ARCHIVE.log.state("plan/#{lesson}").first
    added = ARCHIVE.log.entries("plan/#{lesson}").select { |entry| entry.kind == 'step_added' }.map { |entry| entry.body.dig(:step, :id) }
    expect(added.uniq).to eq(added)
    expect(acked - added).to eq([])
    expect(Veranda::Store::PlanTables.facts(ARCHIVE.db[:lessons].first(id: lesson))).to eq(plan.facts)
    expect(ARCHIVE.course(course)).to include(ARCHIVE.log.state("course/#{course}").first.facts)
  end

  Array.new(Integer(ENV.fetch('HISTORIES', 3))) { |i| i + 1 }.each do |seed|
    it "keep what was stored, and are one with their tables (history #{seed})" do
      lesson, course = fresh_lesson[:lesson], begin_course(odalys: 'instructor')
      dice = Random.new(seed)
      acked = Array.new(3) do |round|
        heard, acks = IO.pipe
        children = Array.new(2) { |i| child(lesson, course, (seed * 100) + (round * 10) + i, acks) }
        acks.close
        heard.wait_readable(Patience::SECONDS) or raise 'Nothing was done'
        sleep(dice.rand(0.8))
        children.each { |pid| Process.kill(:KILL, pid) }.each { |pid| Process.wait(pid) }
        heard.read.split("\n")
      end
      expect_whole(lesson, course, acked.flatten)
    end
  end
end
