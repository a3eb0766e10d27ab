# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- Who was sent out of a class, to wait or for good, and not let in again since: kept with the entries that say so, since every door asks.
      CREATE TABLE turned_out (
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        removed boolean NOT NULL,
        PRIMARY KEY (sitting_id, person_id)
      );
      -- The last thing that is said of each in classes that go on.
      INSERT INTO turned_out (sitting_id, person_id, removed)
      SELECT sitting_id, person_id, kind = 'removed' FROM (
        SELECT DISTINCT ON (s.id, person.id) s.id AS sitting_id, person.id AS person_id, e.kind
        FROM sittings s JOIN entries e ON e.stream IN ('sitting/' || s.id, 'staff/' || s.id)
        CROSS JOIN LATERAL (
          SELECT e.body->>'id' AS id WHERE e.kind = 'removed'
          UNION ALL SELECT jsonb_array_elements_text(e.body->'people') WHERE e.kind IN ('out', 'let_back')
          UNION ALL SELECT one->>'id' FROM jsonb_array_elements(e.body->'people') AS one WHERE e.kind = 'joined'
        ) AS person
        WHERE s.status = 'open' AND e.kind IN ('removed', 'out', 'let_back', 'joined')
        ORDER BY s.id, person.id, e.at DESC, e.kind = 'removed' DESC
      ) AS last
      WHERE kind IN ('removed', 'out') AND person_id IN (SELECT id FROM people);
      -- Words are dated anew, by when they were there: all is read again when somebody next looks for something.
      UPDATE recordings SET read_at = NULL;
    SQL
  end

  down { run 'DROP TABLE turned_out;' }
end
