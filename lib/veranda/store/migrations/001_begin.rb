# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      CREATE TABLE accounts (
        id bigserial PRIMARY KEY,
        email text NOT NULL UNIQUE CHECK (email = lower(email)),
        status_id integer NOT NULL DEFAULT 2,
        password_hash text NOT NULL
      );
      CREATE TABLE account_login_failures (
        id bigint PRIMARY KEY REFERENCES accounts ON DELETE CASCADE,
        number integer NOT NULL DEFAULT 1
      );
      CREATE TABLE account_lockouts (
        id bigint PRIMARY KEY REFERENCES accounts ON DELETE CASCADE,
        key text NOT NULL,
        deadline timestamptz NOT NULL,
        email_last_sent timestamptz
      );

      CREATE TABLE people (
        id text PRIMARY KEY,
        name text NOT NULL,
        account_id bigint UNIQUE REFERENCES accounts ON DELETE SET NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE TABLE courses (
        id text PRIMARY KEY,
        name text NOT NULL
      );
      CREATE TABLE memberships (
        course_id text NOT NULL REFERENCES courses ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        role text NOT NULL CHECK (role IN ('instructor', 'assistant', 'student')),
        PRIMARY KEY (course_id, person_id)
      );
      CREATE TABLE lessons (
        id text PRIMARY KEY,
        course_id text NOT NULL REFERENCES courses ON DELETE CASCADE,
        number integer NOT NULL,
        title text NOT NULL,
        starts_at timestamptz NOT NULL,
        minutes integer NOT NULL,
        steps jsonb NOT NULL DEFAULT '[]',
        record_from text,
        version integer NOT NULL DEFAULT 1
      );
      CREATE TABLE sittings (
        id text PRIMARY KEY,
        lesson_id text NOT NULL REFERENCES lessons ON DELETE CASCADE,
        rehearsal boolean NOT NULL DEFAULT false,
        made_at timestamptz NOT NULL DEFAULT clock_timestamp()
      );
      CREATE INDEX ON sittings (lesson_id);
      -- A board of a rehearsal is a copy, so that practice leaves the real one alone.
      CREATE TABLE boards (
        id text PRIMARY KEY,
        lesson_id text NOT NULL REFERENCES lessons ON DELETE CASCADE,
        rehearsal_id text REFERENCES sittings ON DELETE CASCADE,
        name text NOT NULL,
        audience text NOT NULL DEFAULT 'everyone' CHECK (audience IN ('everyone', 'staff')),
        made_at timestamptz NOT NULL DEFAULT clock_timestamp()
      );
      -- People let into one class by link who are not on the course's roster.
      CREATE TABLE guests (
        lesson_id text NOT NULL REFERENCES lessons ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        PRIMARY KEY (lesson_id, person_id)
      );
      CREATE TABLE recordings (
        sitting_id text PRIMARY KEY REFERENCES sittings ON DELETE CASCADE,
        shared boolean NOT NULL DEFAULT false,
        cuts jsonb NOT NULL DEFAULT '[]'
      );
      -- A link's token is known only to those who have it; here lies its SHA-256.
      CREATE TABLE links (
        id text PRIMARY KEY,
        token_hash bytea NOT NULL UNIQUE,
        kind text NOT NULL CHECK (kind IN ('personal', 'class', 'recording')),
        person_id text REFERENCES people ON DELETE CASCADE,
        lesson_id text REFERENCES lessons ON DELETE CASCADE,
        sitting_id text REFERENCES sittings ON DELETE CASCADE,
        made_at timestamptz NOT NULL DEFAULT now(),
        expires_at timestamptz,
        revoked_at timestamptz
      );

      CREATE TABLE streams (
        name text PRIMARY KEY,
        head bigint NOT NULL DEFAULT 0
      );
      CREATE TABLE entries (
        stream text NOT NULL REFERENCES streams,
        seq bigint NOT NULL,
        at bigint NOT NULL,
        actor text NOT NULL,
        kind text NOT NULL,
        body jsonb NOT NULL,
        command_id text NOT NULL,
        PRIMARY KEY (stream, seq),
        UNIQUE (stream, command_id)
      );
      CREATE INDEX ON entries (stream, at);
      CREATE TABLE snapshots (
        stream text NOT NULL REFERENCES streams,
        seq bigint NOT NULL,
        at bigint NOT NULL,
        body jsonb NOT NULL,
        PRIMARY KEY (stream, seq)
      );
      -- Which server process holds how many connections of whom. A process that stops
      -- renewing beat_at is gone, and its rows count for nothing.
      CREATE TABLE presences (
        process text NOT NULL,
        sitting_id text NOT NULL REFERENCES sittings ON DELETE CASCADE,
        person_id text NOT NULL REFERENCES people ON DELETE CASCADE,
        tabs integer NOT NULL,
        beat_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (process, sitting_id, person_id)
      );
      CREATE INDEX ON presences (sitting_id);
    SQL
  end

  down { raise Sequel::Error, 'The first migration is where everything begins; drop the database instead.' }
end
