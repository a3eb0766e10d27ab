# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::PlanTables do
  let(:lesson) { fresh_lesson[:lesson] }

  def plan = ARCHIVE.log.state("plan/#{lesson}").first
  def row = ARCHIVE.db[:lessons].first(id: lesson)

  def something(rng)
    stream, seen = "plan/#{lesson}", ARCHIVE.log.heads(["plan/#{lesson}"]).values.first
    step = plan.steps.sample(random: rng)&.fetch(:id) || 'none'
    case rng.rand(6)
    when 0 then perform('odalys', 'plan.add_step', stream, step: "s#{rng.rand(9)}", after: step, set: { title: 'More', minutes: 5 + rng.rand(9) })
    when 1 then perform('odalys', 'plan.take_step', stream, step: step, seen: seen)
    when 2 then perform('odalys', 'plan.move_step', stream, step: step, after: nil)
    when 3 then perform('odalys', 'plan.set', stream, seen: seen, set: { title: "Title #{rng.rand(3)}", starts_at: 1_800_000_000_001 + rng.rand(9), record_from: step })
    when 4 then ARCHIVE.lessons.lay(lesson, welcome: "Welcome #{rng.rand(3)}")
    else perform('tomas', 'plan.set_step', stream, step: step, seen: seen, set: { notes: "Notes #{rng.rand(9)}", cues: [{ id: 'c', kind: 'record' }] })
    end
  end

  # Random histories: the table is what the streams say, and the same when it is made anew.
  it 'are kept as the streams say' do
    rng = Random.new(20_261_202)
    60.times { something(rng) }
    kept = row
    expect(described_class.facts(kept)).to eq(plan.facts)
    expect(kept[:version]).to eq(ARCHIVE.log.heads(["plan/#{lesson}"]).values.first)
    ARCHIVE.db[:lessons].where(id: lesson).update(title: 'Lost', steps: Sequel.pg_jsonb([]), minutes: 5)
    described_class.rebuild(ARCHIVE.db, lesson, plan, kept[:version])
    expect(row).to eq(kept)
  end

  it 'are written with the entry, or neither is' do
    before = row
    expect { perform('odalys', 'plan.set', "plan/#{lesson}", seen: 1, set: { welcome_picture: 'nowhere' }) }.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect(row).to eq(before)
    expect(plan[:welcome_picture]).to be_nil
  end
end
