# frozen_string_literal: true

Sequel.migration do
  # Courses, and who belongs to them, are streams from now on; their tables follow what these say.
  up do
    run <<~SQL
      INSERT INTO streams (name, head) SELECT 'course/' || id, 1 FROM courses;
      INSERT INTO entries (stream, seq, at, actor, kind, body, command_id)
        SELECT 'course/' || id, 1, (extract(epoch FROM now()) * 1000)::bigint, 'house', 'course_begun', to_jsonb(courses) - 'id', 'begun-before'
        FROM courses;
      INSERT INTO streams (name, head)
        SELECT 'people/' || id, (EXISTS (SELECT FROM memberships WHERE course_id = courses.id))::int FROM courses;
      INSERT INTO entries (stream, seq, at, actor, kind, body, command_id)
        SELECT 'people/' || course_id, 1, (extract(epoch FROM now()) * 1000)::bigint, 'house', 'enrolled',
               jsonb_build_object('people', jsonb_agg(jsonb_build_object('id', people.id, 'name', people.name, 'role', role)
                                                      ORDER BY role, people.name)),
               'enrolled-before'
        FROM memberships JOIN people ON people.id = person_id GROUP BY course_id;
    SQL
  end

  down do
    run <<~SQL
      DELETE FROM snapshots WHERE stream LIKE 'course/%' OR stream LIKE 'people/%';
      DELETE FROM entries WHERE stream LIKE 'course/%' OR stream LIKE 'people/%';
      DELETE FROM streams WHERE name LIKE 'course/%' OR name LIKE 'people/%';
    SQL
  end
end
