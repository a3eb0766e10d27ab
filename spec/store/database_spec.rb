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
    one, other = %w[one other].map { |id| Veranda::Store::Processes.new(db, id) }
    db[:server_processes].delete
    expect([one.beat, other.beat, one.beat]).to eq([false, true, true])
    db[:server_processes].where(id: 'other').update(beat_at: Time.now - 60)
    expect(one.beat).to be(false)
  end
end
