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
      -- How many days recordings of a course are kept (for ever where it does not say), and whether what was not recorded may be added.
      ALTER TABLE courses ADD COLUMN keep_recordings integer CHECK (keep_recordings > 0), ADD COLUMN add_missed boolean NOT NULL DEFAULT true;
      ALTER TABLE recordings ADD COLUMN deleted_at timestamptz;
      -- How loud each second of a sound is at most, 0 to 100; none of those that were kept before.
      ALTER TABLE tracks ADD COLUMN levels smallint[];
      -- Words are found by their stems in the language of the course (ISO 639-1).
      ALTER TABLE courses ADD COLUMN language text NOT NULL DEFAULT 'en';
      ALTER TABLE recorded_words DROP COLUMN found;
      ALTER TABLE recorded_words ADD COLUMN stems regconfig NOT NULL DEFAULT 'english';
      ALTER TABLE recorded_words ADD COLUMN found tsvector GENERATED ALWAYS AS (to_tsvector(stems, words)) STORED;
      CREATE INDEX ON recorded_words USING gin (found);
      -- A zip of which a recorded class is made.
      ALTER TABLE uploads DROP CONSTRAINT uploads_purpose_check,
        ADD CONSTRAINT uploads_purpose_check CHECK (purpose IN ('material', 'lesson', 'recording'));
    SQL
  end

  down do
    run <<~SQL
      DROP TABLE exports;
      DROP TABLE notes;
      ALTER TABLE recorded_words DROP COLUMN found, DROP COLUMN stems;
      ALTER TABLE recorded_words ADD COLUMN found tsvector GENERATED ALWAYS AS (to_tsvector('english', words)) STORED;
      CREATE INDEX ON recorded_words USING gin (found);
      ALTER TABLE courses DROP COLUMN keep_recordings, DROP COLUMN add_missed, DROP COLUMN language;
      ALTER TABLE recordings DROP COLUMN deleted_at;
      ALTER TABLE tracks DROP COLUMN levels;
      DELETE FROM uploads WHERE purpose = 'recording';
      ALTER TABLE uploads DROP CONSTRAINT uploads_purpose_check, ADD CONSTRAINT uploads_purpose_check CHECK (purpose IN ('material', 'lesson'));
    SQL
  end
end
