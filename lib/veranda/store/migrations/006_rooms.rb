# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- A breakout room of a class has boards of its own; who may read them is told by the streams of the class.
      ALTER TABLE boards DROP CONSTRAINT boards_audience_check,
        ADD CONSTRAINT boards_audience_check CHECK (audience IN ('everyone', 'staff', 'people', 'room')),
        ADD COLUMN room_id text,
        ADD CONSTRAINT boards_room_check CHECK ((audience = 'room') = (room_id IS NOT NULL));
      CREATE INDEX ON boards (room_id) WHERE room_id IS NOT NULL;
      -- Who sat with whom in a course is looked up whenever people are dealt into rooms.
      CREATE INDEX entries_rooms_closed ON entries (stream) WHERE kind = 'rooms_closed';
    SQL
  end

  down do
    run <<~SQL
      DROP INDEX entries_rooms_closed;
      DELETE FROM boards WHERE room_id IS NOT NULL;
      ALTER TABLE boards DROP COLUMN room_id, DROP CONSTRAINT boards_audience_check,
        ADD CONSTRAINT boards_audience_check CHECK (audience IN ('everyone', 'staff', 'people'));
    SQL
  end
end
