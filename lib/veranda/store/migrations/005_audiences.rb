# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- A board may be for people by name. What was handed out in a class is copied for each: `copy_of` one board, in one class.
      ALTER TABLE boards DROP CONSTRAINT boards_audience_check,
        ADD CONSTRAINT boards_audience_check CHECK (audience IN ('everyone', 'staff', 'people')),
        ADD COLUMN people text[] NOT NULL DEFAULT '{}',
        ADD COLUMN sitting_id text REFERENCES sittings ON DELETE CASCADE,
        ADD COLUMN copy_of text REFERENCES boards ON DELETE CASCADE,
        ADD COLUMN owner_id text REFERENCES people ON DELETE CASCADE,
        ADD CONSTRAINT boards_own_copy UNIQUE (sitting_id, copy_of, owner_id);
      -- Whether what was written to staff in private is part of what is saved of a class.
      ALTER TABLE courses ADD COLUMN private_in_transcripts boolean NOT NULL DEFAULT false;
      -- A picture from the shelf for those who wait.
      ALTER TABLE lessons ADD COLUMN welcome_picture text REFERENCES materials ON DELETE SET NULL;
      -- Files that were posted in a class are materials that lie on no shelf. Who reads one of the streams it was posted in, sees it.
      ALTER TABLE materials ADD COLUMN sitting_id text REFERENCES sittings ON DELETE CASCADE;
      ALTER TABLE uploads ADD COLUMN sitting_id text REFERENCES sittings ON DELETE CASCADE;
      CREATE TABLE posted_files (
        material_id text NOT NULL REFERENCES materials ON DELETE CASCADE,
        stream text NOT NULL,
        post_id text NOT NULL,
        PRIMARY KEY (material_id, stream, post_id)
      );
      CREATE INDEX ON posted_files (stream, post_id);
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM boards WHERE copy_of IS NOT NULL;
      UPDATE boards SET audience = 'staff' WHERE audience = 'people';
      DROP TABLE posted_files;
      DELETE FROM materials WHERE sitting_id IS NOT NULL;
      ALTER TABLE uploads DROP COLUMN sitting_id;
      ALTER TABLE materials DROP COLUMN sitting_id;
      ALTER TABLE lessons DROP COLUMN welcome_picture;
      ALTER TABLE courses DROP COLUMN private_in_transcripts;
      ALTER TABLE boards DROP COLUMN people, DROP COLUMN sitting_id, DROP COLUMN copy_of, DROP COLUMN owner_id,
        DROP CONSTRAINT boards_audience_check,
        ADD CONSTRAINT boards_audience_check CHECK (audience IN ('everyone', 'staff'));
    SQL
  end
end
