# frozen_string_literal: true

require_relative 'support/split_sittings'

Sequel.migration do
  up do
    run <<~SQL
      -- The first entry of a command on each stream carries its id; further ones carry none.
      ALTER TABLE entries ALTER COLUMN command_id DROP NOT NULL;
      -- Deflated JSON; those of earlier versions are in `body`.
      ALTER TABLE snapshots ADD COLUMN packed bytea, ALTER COLUMN body DROP NOT NULL;
      -- Simulated people, who are let into rehearsals alone.
      ALTER TABLE people ADD COLUMN stand_in boolean NOT NULL DEFAULT false;
      UPDATE people SET stand_in = true WHERE id LIKE 'stand-in-%';
      DELETE FROM guests USING people WHERE people.id = guests.person_id AND people.stand_in;
      -- Sessions that were ended, until they would have run out by themselves.
      CREATE TABLE ended_sessions (
        id text PRIMARY KEY,
        until timestamptz NOT NULL
      );
      -- Lessons as they were before they were saved anew, so that what several people save can be brought together.
      CREATE TABLE lesson_versions (
        lesson_id text NOT NULL REFERENCES lessons ON DELETE CASCADE,
        version integer NOT NULL,
        facts jsonb NOT NULL,
        PRIMARY KEY (lesson_id, version)
      );
      -- What readiness found, as long as nothing it looks at has changed.
      CREATE TABLE readiness (
        lesson_id text PRIMARY KEY REFERENCES lessons ON DELETE CASCADE,
        key text NOT NULL,
        findings jsonb NOT NULL
      );
      -- Through which link a guest came, so that taking the link back takes them back too.
      ALTER TABLE guests ADD COLUMN link_id text REFERENCES links ON DELETE SET NULL,
        ADD COLUMN revoked_at timestamptz;
      -- A read model, kept with the entries that say so.
      ALTER TABLE sittings ADD COLUMN status text NOT NULL DEFAULT 'planned' CHECK (status IN ('planned', 'open', 'ended'));
      UPDATE sittings SET status = 'open'
        WHERE EXISTS (SELECT FROM entries WHERE stream = 'sitting/' || sittings.id AND kind = 'opened');
      UPDATE sittings SET status = 'ended'
        WHERE EXISTS (SELECT FROM entries WHERE stream = 'sitting/' || sittings.id AND kind = 'ended');
    SQL
    SplitSittings.new(self).call
  end

  down { raise Sequel::Error, 'Going back would lose entries; restore a backup instead.' }
end
