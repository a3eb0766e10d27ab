# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- Polls that are prepared. What came of one in a class is in the streams of the class.
      CREATE TABLE polls (
        id text PRIMARY KEY,
        course_id text NOT NULL REFERENCES courses ON DELETE CASCADE,
        question jsonb NOT NULL,
        labels text[] NOT NULL DEFAULT '{}',
        place integer NOT NULL DEFAULT 0,
        made_by text,
        changed_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX ON polls (course_id, place);

      -- Answers without names of rounds that were not counted yet, by token, see Store::Ballots. jsonb keeps keys in their own order, so
      -- nothing tells who came after whom. `told` is what staff last saw of them.
      CREATE TABLE ballots (
        poll text NOT NULL,
        round integer NOT NULL,
        answers jsonb NOT NULL DEFAULT '{}',
        told jsonb NOT NULL DEFAULT '{}',
        PRIMARY KEY (poll, round)
      );
      -- By which tokens are made; goes into no backup. 244 random bits.
      CREATE TABLE poll_secrets (
        poll text PRIMARY KEY,
        secret text NOT NULL DEFAULT gen_random_uuid()::text || gen_random_uuid()::text
      );
      -- Which polls show a picture is looked up when somebody asks for it.
      CREATE INDEX entries_poll_staged ON entries (stream) WHERE kind = 'poll_staged';
    SQL
  end

  down do
    run 'DROP INDEX entries_poll_staged; DROP TABLE poll_secrets, ballots, polls'
  end
end
