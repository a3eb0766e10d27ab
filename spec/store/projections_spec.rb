# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Projections do
  let(:course) { begin_course(odalys: 'instructor', farah: 'student') }
  let(:made) { fresh_class }

  def facts
    db = ARCHIVE.db
    { course: db[:courses].first(id: course), people: db[:memberships].where(course_id: course).order(:person_id).all,
      lesson: db[:lessons].first(id: made[:lesson]), status: db[:sittings].where(id: made[:sitting]).get(:status),
      out: db[:turned_out].where(sitting_id: made[:sitting]).order(:person_id).all }
  end

  it 'makes the tables anew as the streams have them, whatever became of them' do
    hall = "sitting/#{made[:sitting]}"
    %w[farah jonas hana].each { |who| perform(who, 'class.join', hall) }
    perform('odalys', 'class.let_in', hall, people: %w[farah jonas hana])
    perform('odalys', 'class.remove', hall, person: 'jonas', place: 'main')
    perform('odalys', 'class.send_to_wait', hall, person: 'hana', place: 'main')
    perform('odalys', 'plan.set_step', "plan/#{made[:lesson]}", step: 'one', seen: 1, set: { notes: 'Mind the tide' })
    kept = facts
    expect(kept[:out].to_h { |row| row.values_at(:person_id, :removed) }).to eq('hana' => false, 'jonas' => true)
    ARCHIVE.db[:turned_out].where(sitting_id: made[:sitting]).delete
    ARCHIVE.db[:sittings].where(id: made[:sitting]).update(status: 'ended')
    ARCHIVE.db[:lessons].where(id: made[:lesson]).update(title: 'Lost', steps: Sequel.pg_jsonb([]))
    ARCHIVE.db[:memberships].where(course_id: course).delete
    counts = described_class.new(ARCHIVE).rebuild
    expect(facts).to eq(kept)
    expect(counts.values).to all(be_positive)
  end

  # What was taken off the shelf since is nobody's picture any more.
  it 'lets a plan name a picture that is gone' do
    ARCHIVE.db[:entries].where(stream: "plan/#{made[:lesson]}", seq: 1)
           .update(body: Sequel.lit("body || '{\"welcome_picture\": \"gone\"}'::jsonb"))
    described_class.new(ARCHIVE).rebuild
    expect(facts[:lesson][:welcome_picture]).to be_nil
  end
end
