# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Database do
  let(:db) { described_class.connect(Veranda::Environment.database_url, connections: 1) }

  after { db.disconnect }

  it 'takes a server that only reads for a moment for one that is away, and lets go of the connection' do
    db.run('SET SESSION CHARACTERISTICS AS TRANSACTION READ ONLY')
    backend = db.get(Sequel.function(:pg_backend_pid))
    expect { db[:uploads].insert(id: 'x') }.to(raise_error { |error| expect(described_class::AWAY).to include(error.class) })
    # The next one is to a server that writes.
    expect(db.get(Sequel.function(:pg_backend_pid))).not_to eq(backend)
    expect(db[:server_processes].where(id: 'nobody').delete).to eq(0)
  end

  it 'knows of server processes on whichever machine, and forgets those that are gone' do
    now = 0.0
    one, other = %w[one other].map { |id| Veranda::Store::Processes.new(db, id, clock: -> { now }) }
    db[:server_processes].delete
    # Nobody is alone before they have looked.
    expect([one.others?, one.alone?]).to eq([true, false])
    [one, other].each(&:beat)
    expect([one, other].map { |each| [each.others?, each.alone?] }).to eq([[false, true], [true, false]])
    one.beat
    expect([one.others?, one.alone?]).to eq([true, false])
    db[:server_processes].where(id: 'other').update(beat_at: Time.now - 60)
    one.beat
    expect([one.others?, one.alone?]).to eq([false, true])
    # Whoever has stood still for so long that others may count them as gone is sure of nothing.
    now = Veranda::Store::Processes::SURE
    expect([one.others?, one.alone?]).to eq([false, false])
    one.arrival
    expect(one.others?).to be(true)
  end
end
