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
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM boards WHERE copy_of IS NOT NULL;
      UPDATE boards SET audience = 'staff' WHERE audience = 'people';
      ALTER TABLE lessons DROP COLUMN welcome_picture;
      ALTER TABLE courses DROP COLUMN private_in_transcripts;
      ALTER TABLE boards DROP COLUMN people, DROP COLUMN sitting_id, DROP COLUMN copy_of, DROP COLUMN owner_id,
        DROP CONSTRAINT boards_audience_check,
        ADD CONSTRAINT boards_audience_check CHECK (audience IN ('everyone', 'staff'));
    SQL
  end
end
