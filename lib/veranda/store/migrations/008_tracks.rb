# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- Sounds and pictures of recorded classes: stretches of what one person sent in one place of the class.
      CREATE TABLE tracks (
        id text PRIMARY KEY,
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        place text NOT NULL,
        person_id text NOT NULL,
        kind text NOT NULL CHECK (kind IN ('sound', 'picture', 'screen')),
        -- ms since the epoch, and ms
        began_at bigint NOT NULL,
        length integer NOT NULL,
        size bigint NOT NULL,
        file text NOT NULL UNIQUE
      );
      CREATE INDEX ON tracks (sitting_id, began_at);
      -- Whether they can be played yet; nothing where there was none.
      ALTER TABLE recordings ADD COLUMN sound text CHECK (sound IN ('waiting', 'ready', 'partly'));
    SQL
  end

  down { run 'ALTER TABLE recordings DROP COLUMN sound; DROP TABLE tracks' }
end
