# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- What was cut out of recordings is told by a stream of edits now, with everything else that was done to them.
      INSERT INTO streams (name, head)
        SELECT 'recording/' || sitting_id, jsonb_array_length(cuts) FROM recordings WHERE jsonb_array_length(cuts) > 0;
      INSERT INTO entries (stream, seq, at, actor, kind, command_id, body)
        SELECT 'recording/' || sitting_id, number, (cut.value ->> 1)::bigint, 'house', 'part_set', 'cut' || number,
          jsonb_build_object('id', 'cut' || number, 'kind', 'cut', 'from', cut.value -> 0, 'to', cut.value -> 1)
        FROM recordings, jsonb_array_elements(cuts) WITH ORDINALITY AS cut (value, number);
      ALTER TABLE recordings DROP COLUMN cuts;

      -- What is left of a sound or picture where some of it was cut out: a file of its own, so that nothing else can be had.
      CREATE TABLE track_parts (
        id text PRIMARY KEY,
        track_id text NOT NULL REFERENCES tracks ON DELETE CASCADE,
        -- ms since the epoch, and ms
        began_at bigint NOT NULL,
        ended_at bigint NOT NULL,
        length integer NOT NULL,
        size bigint NOT NULL,
        -- None where nothing of it can be heard or seen.
        file text UNIQUE,
        UNIQUE (track_id, began_at, ended_at)
      );

      -- All that was written, said and drawn in words, to be searched: as it may be seen, and as the recording was edited when `read_at`
      -- was the last of its edits.
      CREATE EXTENSION IF NOT EXISTS pg_trgm;
      CREATE TABLE recorded_words (
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        -- ms since the epoch
        at bigint NOT NULL,
        kind text NOT NULL,
        words text NOT NULL,
        found tsvector GENERATED ALWAYS AS (to_tsvector('english', words)) STORED
      );
      CREATE INDEX ON recorded_words (sitting_id, at);
      CREATE INDEX ON recorded_words USING gin (found);
      CREATE INDEX ON recorded_words USING gin (words gin_trgm_ops);
      ALTER TABLE recordings ADD COLUMN read_at bigint;

      -- Who watched what: which minutes of the class, and where they stopped (ms since the epoch).
      CREATE TABLE watching (
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        -- Of a person, or of a browser that came by link.
        watcher text NOT NULL,
        person_id text REFERENCES people ON DELETE CASCADE,
        minutes integer[] NOT NULL DEFAULT '{}',
        stopped_at bigint NOT NULL,
        seen_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (sitting_id, watcher)
      );

      -- Links to recordings may ask for a password or for an account, and show only a stretch of it (ms since the epoch).
      ALTER TABLE links ADD COLUMN password text, ADD COLUMN accounts_only boolean NOT NULL DEFAULT false,
        ADD COLUMN only_from bigint, ADD COLUMN only_to bigint;
    SQL
  end

  down do
    run <<~SQL
      DROP TABLE track_parts;
      DROP TABLE watching;
      DROP TABLE recorded_words;
      ALTER TABLE recordings DROP COLUMN read_at;
      ALTER TABLE links DROP COLUMN password, DROP COLUMN accounts_only, DROP COLUMN only_from, DROP COLUMN only_to;
      ALTER TABLE recordings ADD COLUMN cuts jsonb NOT NULL DEFAULT '[]';
      DELETE FROM snapshots WHERE stream LIKE 'recording/%';
      DELETE FROM entries WHERE stream LIKE 'recording/%';
      DELETE FROM streams WHERE name LIKE 'recording/%';
    SQL
  end
end
