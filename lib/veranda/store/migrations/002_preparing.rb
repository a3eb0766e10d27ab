# frozen_string_literal: true

require 'que'

Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE people ADD COLUMN sticks jsonb, ADD COLUMN address text;

      -- A material is what somebody brought; each file they brought for it is a version, with the
      -- slides that were made of it. Versions stay, because boards and recordings show them.
      CREATE TABLE materials (
        id text PRIMARY KEY,
        course_id text NOT NULL REFERENCES courses ON DELETE CASCADE,
        title text NOT NULL,
        labels text[] NOT NULL DEFAULT '{}',
        version integer NOT NULL DEFAULT 1,
        first_slide integer NOT NULL DEFAULT 1,
        link text,
        made_by text REFERENCES people ON DELETE SET NULL,
        made_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        taken_off_at timestamptz
      );
      CREATE INDEX ON materials (course_id);
      CREATE TABLE material_versions (
        material_id text NOT NULL REFERENCES materials ON DELETE CASCADE,
        version integer NOT NULL,
        name text NOT NULL,
        type text NOT NULL,
        kind text NOT NULL CHECK (kind IN ('document', 'picture', 'sound', 'clip', 'link')),
        size bigint NOT NULL,
        original text,
        state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'working', 'ready', 'failed')),
        slide_count integer,
        findings jsonb NOT NULL DEFAULT '[]',
        facts jsonb NOT NULL DEFAULT '{}',
        made_by text REFERENCES people ON DELETE SET NULL,
        made_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        PRIMARY KEY (material_id, version)
      );
      -- `tones` are the colours of a coarse grid over the slide, to judge what is written on it.
      CREATE TABLE material_slides (
        material_id text NOT NULL,
        version integer NOT NULL,
        slide integer NOT NULL,
        w integer NOT NULL,
        h integer NOT NULL,
        picture text NOT NULL,
        type text NOT NULL,
        thumbnail text NOT NULL,
        words text NOT NULL DEFAULT '',
        tones jsonb NOT NULL DEFAULT '[]',
        PRIMARY KEY (material_id, version, slide),
        FOREIGN KEY (material_id, version) REFERENCES material_versions ON DELETE CASCADE
      );
      CREATE TABLE uploads (
        id text PRIMARY KEY,
        course_id text NOT NULL REFERENCES courses ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        replaces text REFERENCES materials ON DELETE CASCADE,
        purpose text NOT NULL DEFAULT 'material' CHECK (purpose IN ('material', 'lesson')),
        name text NOT NULL,
        label text,
        size bigint NOT NULL,
        received bigint NOT NULL DEFAULT 0,
        made_at timestamptz NOT NULL DEFAULT clock_timestamp()
      );

      ALTER TABLE boards
        ADD COLUMN template boolean NOT NULL DEFAULT false,
        ADD COLUMN outside text NOT NULL DEFAULT 'read' CHECK (outside IN ('closed', 'read', 'work')),
        ADD COLUMN material_id text REFERENCES materials ON DELETE SET NULL,
        ADD COLUMN first_page text NOT NULL DEFAULT 'p1';
      CREATE INDEX ON boards (lesson_id);
      -- Which boards ever showed something of a material; written with the entries that do.
      CREATE TABLE material_uses (
        material_id text NOT NULL REFERENCES materials ON DELETE CASCADE,
        board_id text NOT NULL REFERENCES boards ON DELETE CASCADE,
        PRIMARY KEY (material_id, board_id)
      );
      -- What boards are searched by. Made again from the stream when it has grown since `seq`.
      CREATE TABLE board_digests (
        board_id text PRIMARY KEY REFERENCES boards ON DELETE CASCADE,
        seq bigint NOT NULL,
        at bigint NOT NULL,
        pages integer NOT NULL,
        marks integer NOT NULL,
        words text NOT NULL,
        authors text NOT NULL
      );
      -- How far each person has seen each board.
      CREATE TABLE board_visits (
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        board_id text NOT NULL REFERENCES boards ON DELETE CASCADE,
        seq bigint NOT NULL,
        at timestamptz NOT NULL DEFAULT clock_timestamp(),
        PRIMARY KEY (person_id, board_id)
      );
    SQL
    Que.connection = self
    Que.migrate!(version: Que::Migrations::CURRENT_VERSION)
  end

  down { raise Sequel::Error, 'Going back would lose materials; restore a backup instead.' }
end
