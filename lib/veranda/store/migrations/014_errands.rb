# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- What must follow entries, written in their commit and carried out after it.
      CREATE TABLE errands (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        -- What is asked for again while it waits is done once.
        key text NOT NULL UNIQUE,
        task text NOT NULL,
        facts jsonb NOT NULL,
        -- How often it was asked for, so that what came while it was carried out is seen to afterwards.
        asked integer NOT NULL DEFAULT 1,
        tries integer NOT NULL DEFAULT 0,
        due_at timestamptz NOT NULL DEFAULT now(),
        -- Why the last try failed.
        says text
      );
      CREATE INDEX errands_due ON errands (due_at);

      -- Where sound and picture of a class are written: whoever makes them playable need not be told by whoever recorded them.
      CREATE TABLE stage_folders (
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        folder text NOT NULL,
        PRIMARY KEY (sitting_id, folder)
      );

      -- For which act the board of a room was made: one that came to no room is let go of.
      ALTER TABLE boards ADD COLUMN made_for text;

      -- Locks streams one after the other in the order of their names, whether they are written to or only looked at, so that no two commits
      -- wait for each other; and says where each stands.
      CREATE FUNCTION hold_streams(written text[], looked text[]) RETURNS TABLE (stream text, stands bigint) LANGUAGE plpgsql AS $$
      DECLARE
        one text;
      BEGIN
        FOR one IN SELECT DISTINCT each FROM unnest(written || looked) AS each ORDER BY each LOOP
          IF one = ANY (written) THEN
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR NO KEY UPDATE;
          ELSE
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR SHARE;
          END IF;
        END LOOP;
      END $$;
    SQL
  end

  down { run 'DROP FUNCTION hold_streams; DROP TABLE errands; DROP TABLE stage_folders; ALTER TABLE boards DROP COLUMN made_for;' }
end
