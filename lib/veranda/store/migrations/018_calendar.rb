# frozen_string_literal: true

Sequel.migration do
  # Lessons recur: which of a series one is, and whether it takes place or was held; by whose clocks a course is
  # planned; and links by which other calendars read it.
  up do
    run <<~SQL
      ALTER TABLE lessons ADD COLUMN series text, ADD COLUMN slot jsonb, ADD COLUMN cancelled boolean NOT NULL DEFAULT false,
                          ADD COLUMN held boolean NOT NULL DEFAULT false;
      UPDATE lessons SET held = true WHERE EXISTS
        (SELECT FROM sittings WHERE lesson_id = lessons.id AND NOT rehearsal AND status <> 'planned');
      INSERT INTO entries (stream, seq, at, actor, kind, body, command_id)
        SELECT name, head + 1, (extract(epoch FROM now()) * 1000)::bigint, 'house', 'plan_set', '{"held":true}', 'held-before'
        FROM lessons JOIN streams ON name = 'plan/' || lessons.id WHERE held;
      UPDATE streams SET head = head + 1 FROM lessons WHERE name = 'plan/' || lessons.id AND held;
      UPDATE lessons SET version = head FROM streams WHERE name = 'plan/' || lessons.id;
      CREATE INDEX lessons_of_series ON lessons (course_id, series) WHERE series IS NOT NULL;
      ALTER TABLE links DROP CONSTRAINT links_kind_check,
                        ADD CONSTRAINT links_kind_check CHECK (kind IN ('personal', 'class', 'recording', 'agenda'));
      ALTER TABLE courses ADD COLUMN zone text NOT NULL DEFAULT 'Etc/UTC';
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM links WHERE kind = 'agenda';
      ALTER TABLE links DROP CONSTRAINT links_kind_check, ADD CONSTRAINT links_kind_check CHECK (kind IN ('personal', 'class', 'recording'));
      ALTER TABLE courses DROP COLUMN zone;
      ALTER TABLE lessons DROP COLUMN held, DROP COLUMN cancelled, DROP COLUMN slot, DROP COLUMN series;
    SQL
  end
end
