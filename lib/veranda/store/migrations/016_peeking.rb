# frozen_string_literal: true

Sequel.migration do
  # A server process that is alone need not lock what it only looks at: it is read once those are held that are written to, and everybody
  # else who writes to it holds what this one writes to, or waits for it.
  up do
    run <<~SQL
      DROP FUNCTION hold_streams(text[], text[]);
      CREATE FUNCTION hold_streams(written text[], looked text[], alone boolean) RETURNS TABLE (stream text, stands bigint) LANGUAGE plpgsql AS $$
      DECLARE
        one text;
      BEGIN
        FOR one IN SELECT DISTINCT each FROM unnest(CASE WHEN alone THEN written ELSE written || looked END) AS each ORDER BY each LOOP
          IF one = ANY (written) THEN
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR NO KEY UPDATE;
          ELSE
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR SHARE;
          END IF;
        END LOOP;
        IF alone THEN
          -- A statement of its own, so that it sees what was committed while one waited for the locks.
          RETURN QUERY SELECT name, head FROM streams WHERE name = ANY (looked);
        END IF;
      END $$;
    SQL
  end

  down do
    run <<~SQL
      DROP FUNCTION hold_streams(text[], text[], boolean);
      CREATE FUNCTION hold_streams(written text[], looked text[]) RETURNS TABLE (stream text, stands bigint) LANGUAGE plpgsql AS $$
      DECLARE
        one text;
      BEGIN
        FOR one IN SELECT DISTINCT each FROM unnest(written || looked) AS each ORDER BY each LOOP
          IF one = ANY (written) THEN
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR NO KEY UPDATE;
          ELSE
            RETURN QUERY SELECT name, head FROM streams WHERE name = one FOR SHARE;
          END IF;
        END LOOP;
      END $$;
    SQL
  end
end
