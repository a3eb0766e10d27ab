# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- What is made of a recording to be taken away: films and zips. It shows the recording as it was edited when `edits` was the last of
      -- its edits, and is given to nobody once there is a later one.
      CREATE TABLE exports (
        id text PRIMARY KEY,
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        kind text NOT NULL,
        wishes jsonb NOT NULL DEFAULT '{}',
        edits bigint NOT NULL DEFAULT 0,
        state text NOT NULL DEFAULT 'waiting',
        -- Share of it that is done, 0 to 1.
        done real NOT NULL DEFAULT 0,
        says text,
        files jsonb NOT NULL DEFAULT '[]',
        made_by text REFERENCES people ON DELETE SET NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX ON exports (sitting_id, made_at);
      -- What somebody noted for themselves at a moment of a recording (ms since the epoch).
      CREATE TABLE notes (
        id text PRIMARY KEY,
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        at bigint NOT NULL,
        words text NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX ON notes (sitting_id, person_id);
      -- A zip of which a recorded class is made.
      ALTER TABLE uploads DROP CONSTRAINT uploads_purpose_check,
        ADD CONSTRAINT uploads_purpose_check CHECK (purpose IN ('material', 'lesson', 'recording'));
    SQL
  end

  down do
    run <<~SQL
      DROP TABLE exports;
      DROP TABLE notes;
      DELETE FROM uploads WHERE purpose = 'recording';
      ALTER TABLE uploads DROP CONSTRAINT uploads_purpose_check, ADD CONSTRAINT uploads_purpose_check CHECK (purpose IN ('material', 'lesson'));
    SQL
  end
end
