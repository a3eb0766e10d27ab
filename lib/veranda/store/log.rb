# frozen_string_literal: true

module Veranda
  module Store
    # The permanent log of all streams.
    #
    #   log.append(%w[board/1], looked: { 'sitting/9' => 12 }) do |heads|
    #     # read what others added, decide, and answer with the new entries
    #     [entry, entry]
    #   end
    #
    # All streams of a commit are held, those that are written to and those that were looked at ({Writing}); when one of these is no longer
    # where it was, nothing is written. Listeners hear `stream:seq` on {CHANNEL} once it is committed.
    class Log
      # Something that the new entries were decided on has moved since.
      class Moved < StandardError
        # @return [Array<String>] streams to be read again
        attr_reader :names

        def initialize(names)
          @names = names
          super("#{names.join(', ')} moved")
        end
      end

      CHANNEL = 'veranda_entries'
      # What is noted in tables beside it, in the same commit.
      BESIDE = [MaterialUses, SittingStatus, TurnedOut, CourseTables, PlanTables].freeze
      ENTRY_COLUMNS = %i[stream seq at actor kind body command_id].freeze

      include Counting
      include Writing

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
        prepare
        @snapshots = Snapshots.new(db)
        @ballots = Ballots.new(db)
      end

      # @return [Snapshots]
      attr_reader :snapshots
      # @return [Ballots] answers without names, which are written together with entries and are none
      attr_reader :ballots

      # @param name [String] begins an empty stream, unless it is there
      def begin(name) = @db[:streams].insert_conflict.insert(name: name)

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

      # Lets go of whole streams. They are locked first, so that no worker keeps a state of one meanwhile.
      # @param names [Array<String>]
      def forget(names)
        @db.transaction do
          @db[:streams].where(name: names).order(:name).for_update.select_map(:name)
          %i[snapshots entries].each { |table| @db[table].where(stream: names).delete }
          @db[:streams].where(name: names).delete
        end
      end

      # Stores what the block returns, in one transaction in which all streams stay as they are.
      # @param names [Array<String>] every stream that the block writes to
      # @param looked [Hash{String => Integer}] seq of streams that were looked at
      # @param alone [Boolean] whether no other server process writes, see {Writing}
      # @yieldparam heads [Hash{String => Integer}] present head of each stream that is written to
      # @yieldreturn [Commit, Array<Core::Streams::Entry>]
      # @raise [Sequel::UniqueConstraintViolation] when a command id is already in its stream
      # @raise [Moved, Ballots::Unchanging]
      def append(names, looked: {}, alone: false)
        @db.transaction do
          commit = Commit.of(yield(hold(names, looked, alone)))
          write(commit) if commit.entries.any?
          note(commit.entries)
          cast(commit.ballots)
        end
      end

      # Stores what was decided on before anything was held, if all streams still are where they were then. That is one
      # statement instead of four, and right as long as nobody else writes to the same streams all the time.
      # @param commit [Commit]
      # @param expected [Hash{String => Integer}] seq that each stream that is written to has
      # @param looked [Hash{String => Integer}] as {append}
      # @raise [Sequel::UniqueConstraintViolation, Moved, Ballots::Unchanging] as {append}
      def append_at(commit, expected:, looked: {}, alone: false)
        return write_at(commit, expected, looked, alone) unless beside?(commit.entries) || commit.ballots.any?

        @db.transaction do
          commit.entries.empty? ? hold_at(expected, looked) : write_at(commit, expected, looked, alone)
          note(commit.entries)
          cast(commit.ballots)
        end
      end

      # @param kind [Symbol, String]
      # @return [Array<String>] names of all streams of one kind
      def names(kind) = @db[:streams].where { (name >= "#{kind}/") & (name < "#{kind}0") }.select_order_map(:name)

      # @param kind [Symbol, String]
      # @param id [String] of a class, or of a course
      # @return [Array<String>] names of the streams of one kind that belong to parts of it
      def parts_of(kind, id)
        # What lies between a dot and the sign after it is found by the index.
        @db[:streams].where { (name >= "#{kind}/#{id}.") & (name < "#{kind}/#{id}/") }.select_order_map(:name)
      end

      # @param owner [Symbol] see {Core::Streams::Kind#owner}
      # @param id [String]
      # @return [Array<String>] names of all streams that belong to one class or course
      def of_whole(owner, id)
        kinds = Core::Streams::Kinds.belonging_to(owner)
        @db[:streams].where(name: kinds.map { |kind| kind.name(id) }).select_map(:name) +
          kinds.select(&:part).flat_map { |kind| parts_of(kind.kind, id) }
      end

      # @param names [Array<String>]
      # @return [Hash{String => Integer}] the head of each stream that there is
      def heads(names) = @db[:streams].where(name: names).select_hash(:name, :head)

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

      # @param names [Array<String>]
      # @param stretches [Array<Array(Integer, Integer)>] ms since the epoch
      # @return [Array<String>] those of them to which something happened in one of these
      def moved(names, stretches)
        any = Sequel.|(false, *stretches.map { |from, to| { at: from..to } })
        @db[:entries].where(stream: names).where(any).select(:stream).distinct.map(:stream)
      end

      # @param name [String]
      # @param kind [String, Array<String>]
      # @return [Array<Core::Streams::Entry>] those of that kind, in order
      def of_kind(name, kind)
        rows = @db[:entries].where(stream: name, kind: kind).order(:seq)
        rows.select(*ENTRY_COLUMNS).select_append(Sequel.cast(:body, String).as(:body)).map { |row| entry(row) }
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

      private

      # Nothing is added to any of them meanwhile.
      def hold_at(expected, looked)
        raise Moved, expected.keys unless hold(expected.keys, looked, false) == expected
      end

      # A poll that is closed takes no answer: its stream is held, and where it stands is known.
      def cast(ballots) = ballots.any? && @ballots.cast(ballots)

      # @return [Boolean] whether more than entries has to be written
      def beside?(entries) = BESIDE.any? { |notes| notes.any?(entries) }
      def note(entries) = BESIDE.each { |notes| notes.note(@db, entries) }

      def snapshot(name, upto: nil, last: nil)
        facts, seq, at = @snapshots.latest(name, upto: upto, last: last)
        return [Core::Streams::Fold.start(name), 0, 0] unless facts

        [Core::Streams::Fold.restore(name, facts), seq, at]
      end

      def entry(row)
        Core::Streams::Entry.new(**row, body: JSON.parse(row[:body], symbolize_names: true))
      end
    end
  end
end
