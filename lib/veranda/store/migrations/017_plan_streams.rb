# frozen_string_literal: true

Sequel.migration do
  # The plan of a lesson is a stream from now on; the table of lessons follows what it says. Earlier versions were kept to bring together
  # what several people saved as one form, which nobody does any more.
  up do
    run <<~SQL
      INSERT INTO streams (name, head) SELECT 'plan/' || id, 1 FROM lessons;
      INSERT INTO entries (stream, seq, at, actor, kind, body, command_id)
        SELECT 'plan/' || id, 1, (extract(epoch FROM now()) * 1000)::bigint, 'house', 'plan_begun',
               (to_jsonb(lessons) - 'id' - 'version') || jsonb_build_object('starts_at', round(extract(epoch FROM starts_at) * 1000)::bigint),
               'begun-before'
        FROM lessons;
      UPDATE lessons SET version = 1;
      DROP TABLE lesson_versions;
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM snapshots WHERE stream LIKE 'plan/%';
      DELETE FROM entries WHERE stream LIKE 'plan/%';
      DELETE FROM streams WHERE name LIKE 'plan/%';
      CREATE TABLE lesson_versions (
        lesson_id text NOT NULL REFERENCES lessons ON DELETE CASCADE,
        version integer NOT NULL,
        facts jsonb NOT NULL,
        PRIMARY KEY (lesson_id, version)
      );
    SQL
  end
end
