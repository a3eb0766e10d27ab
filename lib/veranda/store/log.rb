# frozen_string_literal: true

module Veranda
  module Store
    # The permanent log of all streams.
    #
    #   log.append(%w[board/1 sitting/9]) do |heads|
    #     # read what others added, decide, and answer with the new entries
    #     [entry, entry]
    #   end
    #
    # Heads are locked in name order, so two processes that append to the same streams wait for
    # each other and never deadlock. Listeners hear `stream:seq` on {CHANNEL} once it is committed.
    class Log
      CHANNEL = 'veranda_entries'
      ENTRY_COLUMNS = %i[stream seq at actor kind body command_id].freeze

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param name [String] begins an empty stream, unless it is there
      def begin(name)
        @db[:streams].insert_conflict.insert(name: name)
      end

      # Lets go of the connections at rest: when one is found dead the others most likely are, and each
      # would cost somebody a failed try.
      def disconnect = @db.disconnect

      # Begins a stream with all that is in another.
      def fork(from, to)
        @db.transaction do
          head = @db[:streams].where(name: from).for_update.get(:head)
          @db[:streams].insert(name: to, head: head)
          others = ENTRY_COLUMNS - [:stream]
          @db[:entries].insert([:stream, *others], @db[:entries].where(stream: from).select(to, *others))
        end
      end

      # Appends what the block returns, in one transaction.
      # @param names [Array<String>] every stream that the block reads or writes
      # @yieldparam heads [Hash{String => Integer}] present head of each stream
      # @yieldreturn [Array<Core::Streams::Entry>]
      # @return [Array<Core::Streams::Entry>]
      # @raise [Sequel::UniqueConstraintViolation] when a command id is already in its stream
      def append(names)
        @db.transaction do
          entries = yield lock(names)
          write(entries) unless entries.empty?
          MaterialUses.note(@db, entries)
          entries
        end
      end

      # @param name [String]
      # @param after [Integer] seq
      # @param upto [Integer, nil] ms since the epoch; entries later than that are left out
      # @param last [Integer, nil] seq; entries after that one are left out
      # @param without [Array<String>] kinds to leave out
      # @return [Array<Core::Streams::Entry>]
      def entries(name, after: 0, upto: nil, last: nil, without: [])
        rows = @db[:entries].where(stream: name) { seq > after }.order(:seq)
        rows = rows.where { seq <= last } if last
        rows = rows.exclude(kind: without) if without.any?
        rows = rows.where { at <= upto } if upto
        rows.select(*ENTRY_COLUMNS).select_append(Sequel.cast(:body, String).as(:body)).map { |row| entry(row) }
      end

      # @param names [Array<String>]
      # @param from [Integer] ms since the epoch
      # @param to [Integer]
      # @return [Array<Core::Streams::Entry>] in order of time
      def between(names, from, to)
        rows = @db[:entries].where(stream: names, at: from..to).order(:at, :stream, :seq)
        rows.select(*ENTRY_COLUMNS).select_append(Sequel.cast(:body, String).as(:body)).map { |row| entry(row) }
      end

      # @return [Array<Hash>] bodies of all entries of one kind in a stream
      def bodies(name, kind)
        @db[:entries].where(stream: name, kind: kind).order(:seq).select_map(Sequel.cast(:body, String))
                     .map { |body| JSON.parse(body, symbolize_names: true) }
      end

      # @param pairs [Array<Array(String, String)>] stream and command id
      # @return [Hash{Array(String, String) => Integer}] the seq of those that are already there
      def known(pairs)
        return {} if pairs.empty?

        @db[:entries].where(%i[stream command_id] => pairs).select_hash(%i[stream command_id], :seq)
      end

      # The state of a stream as it is now, from its latest snapshot and what followed.
      # @return [Array(Object, Integer, Integer)] state, and the seq and time of the last entry in it
      def state(name)
        state, seq, at = snapshot(name)
        entries = entries(name, after: seq)
        [Core::Streams::Fold.over(name, entries, from: state), entries.last&.seq || seq, entries.last&.at || at]
      end

      # @param at [Integer] ms since the epoch
      # @return [Object] the state of a stream at an earlier time
      def state_at(name, at)
        state, seq, = snapshot(name, upto: at)
        entries = entries(name, after: seq, upto: at, without: Core::Streams::Fold::IDLE_KINDS)
        Core::Streams::Fold.over(name, entries, from: state)
      end

      # @param seq [Integer]
      # @return [Object] the state of a stream as it was after one of its entries
      def state_after(name, seq)
        state, kept, = snapshot(name, last: seq)
        Core::Streams::Fold.over(name, entries(name, after: kept, last: seq, without: Core::Streams::Fold::IDLE_KINDS),
                                 from: state)
      end

      # @param name [String]
      # @param seq [Integer]
      # @param at [Integer] time of the entry `seq`
      # @param state [Object]
      def keep_snapshot(name, seq, at, state)
        body = Sequel.lit('?::jsonb', JSON.generate(state.to_h))
        @db[:snapshots].insert_conflict.insert(stream: name, seq: seq, at: at, body: body)
      end

      private

      def lock(names)
        rows = @db[:streams].where(name: names).order(:name).for_update.select_hash(:name, :head)
        missing = names - rows.keys
        raise Core::Refusal.new(:unknown_stream, 'There is no such board or class.') if missing.any?

        rows
      end

      # One statement for the entries, the heads and the word to other processes, since
      # every round trip is time that someone's stroke waits.
      def write(entries)
        values = entries.map do |entry|
          [entry.stream, entry.seq, entry.at, entry.actor, entry.kind, JSON.generate(entry.body), entry.command_id]
        end
        heads = entries.group_by(&:stream).transform_values { |own| own.last.seq }
        @db[WRITE, row_list(values, '(?, ?::bigint, ?::bigint, ?, ?, ?::jsonb, ?)'), row_list(heads.to_a, '(?, ?::bigint)')].all
      end

      WRITE = <<~SQL.freeze
        WITH fresh AS (
          INSERT INTO entries (stream, seq, at, actor, kind, body, command_id) VALUES ?
        ), heads (name, head) AS (
          VALUES ?
        ), moved AS (
          UPDATE streams SET head = heads.head FROM heads WHERE streams.name = heads.name
        )
        SELECT pg_notify('#{CHANNEL}', name || ':' || head) FROM heads
      SQL
      private_constant :WRITE

      def row_list(rows, template)
        Sequel.lit(([template] * rows.length).join(', '), *rows.flatten(1))
      end

      def snapshot(name, upto: nil, last: nil)
        rows = @db[:snapshots].where(stream: name)
        rows = rows.where { seq <= last } if last
        rows = rows.where { at <= upto } if upto
        row = rows.reverse(:seq).select(:seq, :at, Sequel.cast(:body, String).as(:body)).first
        return [Core::Streams::Fold.start(name), 0, 0] unless row

        [Core::Streams::Fold.restore(name, JSON.parse(row[:body], symbolize_names: true)), row[:seq], row[:at]]
      end

      def entry(row)
        Core::Streams::Entry.new(**row, body: JSON.parse(row[:body], symbolize_names: true))
      end
    end
  end
end
