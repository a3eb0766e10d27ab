# frozen_string_literal: true

module Veranda
  module Store
    class Log
      # How entries are written: in one statement, since every round trip is time that someone's stroke waits.
      #
      # All streams of a commit are held until it is through, those that are written to by a lock of their own and those that were looked
      # at by one that is shared: else two commits, each writing what the other has looked at, could both be stored. They are locked in the
      # order of their names, so that no two commits wait for each other. It is enough that one of the two does so: a server process that is
      # `alone` reads what it looked at once those are held that it writes to, and spares itself the other locks.
      module Writing
        # Named parameters of prepared statements; see https://www.postgresql.org/docs/15/explicit-locking.html#LOCKING-ROWS.
        HOLD = <<~SQL
          SELECT stream, stands FROM hold_streams(string_to_array(CAST(:written AS text), ' '), string_to_array(CAST(:looked AS text), ' '),
                                                     CAST(:alone AS boolean))
        SQL
        # What follows when it is `still` so: entries, heads, errands, and the word to other processes and to workers.
        STORE = <<~SQL.freeze
          fresh AS (
            INSERT INTO entries (stream, seq, at, actor, kind, body, command_id)
            SELECT new.* FROM still, json_to_recordset(CAST(:rows AS json))
              AS new (stream text, seq bigint, at bigint, actor text, kind text, body jsonb, command_id text)
            WHERE still.so
          ), heads AS (
            SELECT key AS name, value::bigint AS head FROM still, json_each_text(CAST(:heads AS json)) WHERE still.so
          ), moved AS (
            UPDATE streams SET head = heads.head FROM heads WHERE streams.name = heads.name
          ), asked AS (
            SELECT new.* FROM still, json_to_recordset(CAST(:errands AS json)) AS new (key text, task text, facts jsonb) WHERE still.so
          ), kept AS (
            INSERT INTO errands (key, task, facts) SELECT key, task, facts FROM asked ORDER BY key
            ON CONFLICT (key)
            DO UPDATE SET asked = errands.asked + 1, facts = excluded.facts, tries = 0, due_at = now()
          )
          SELECT pg_notify('#{CHANNEL}', name || ':' || head) FROM heads
          UNION ALL SELECT pg_notify('#{Errands::CHANNEL}', task) FROM asked
        SQL
        # Of streams that are held already.
        WRITE = "WITH still AS (SELECT true AS so), #{STORE}".freeze
        # Holds them, and writes if each is where it is expected to be; answers with nothing if not. A row that another transaction has
        # changed is read anew once it can be locked (PostgreSQL 15, 13.2.1), so what is compared is what is true then. A stream that was
        # looked at before it was there may be missing still.
        WRITE_AT = <<~SQL.freeze
          WITH held AS MATERIALIZED (#{HOLD}), still AS (
            SELECT NOT EXISTS (
              SELECT FROM json_each_text(CAST(:expected AS json)) AS known LEFT JOIN held ON held.stream = known.key
              WHERE coalesce(held.stands, 0) <> known.value::bigint
            ) AS so
          ), #{STORE}
        SQL
        private_constant :HOLD, :STORE, :WRITE, :WRITE_AT

        private

        def prepare
          names = { written: :$written, looked: :$looked, alone: :$alone }
          @hold = @db[HOLD, **names].prepare(:select, :hold_streams)
          facts = %i[rows heads errands].to_h { |name| [name, :"$#{name}"] }
          @write = @db[WRITE, **facts].prepare(:select, :write_entries)
          @write_at = @db[WRITE_AT, **names, expected: :$expected, **facts].prepare(:select, :write_entries_at)
        end

        # @return [Hash{String => Integer}] where each stands, of those that are written to
        # @raise [Moved] when one that was looked at is elsewhere
        def hold(names, looked, alone)
          rows = @hold.call(**words(names, looked, alone)).to_h { |row| row.values_at(:stream, :stands) }
          missing = names - rows.keys
          raise Core::Refusal.new(:unknown_stream, 'There is no such board or class.') if missing.any?

          moved = looked.reject { |name, seq| rows.fetch(name, 0) == seq }.keys
          raise Moved, moved if moved.any?

          rows.slice(*names)
        end

        def write(commit) = @write.call(**facts(commit))

        def write_at(commit, expected, looked, alone)
          known = looked.merge(expected)
          told = @write_at.call(expected: JSON.generate(known), **words(expected.keys, looked, alone), **facts(commit))
          raise Moved, known.keys if told.empty?
        end

        def words(names, looked, alone) = { written: names.join(' '), looked: looked.keys.join(' '), alone: alone }

        def facts(commit)
          { rows: JSON.generate(commit.entries.map(&:to_h)), errands: JSON.generate(commit.errands.uniq(&:key).map(&:to_h)),
            heads: JSON.generate(commit.entries.group_by(&:stream).transform_values { |own| own.last.seq }) }
        end
      end
    end
  end
end
