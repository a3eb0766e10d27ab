# frozen_string_literal: true

module Veranda
  module Store
    # What must follow entries ({Core::Errands}) and has not been done yet. They are written by {Log} in the commit of their entries.
    class Errands
      # On which one hears that there are new ones.
      CHANNEL = 'veranda_errands'
      # How often one is tried. Whatever fails so often waits until somebody looks at it, or until it is asked for again.
      TRIES = 12
      # s between tries grow up to that.
      LONGEST_PAUSE = 3_600
      # Of those that are due, how many are looked at together.
      MOST = 20

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # Asks for something outside of any commit.
      # @param errand [Core::Errands::Errand]
      # @param within [Numeric] s in which whoever asks does it themselves; after them, and if they are gone, anybody may
      # @return [Integer] its id
      def ask(errand, within: 0)
        row = { key: errand.key, task: errand.task, facts: Sequel.pg_jsonb(errand.facts), due_at: after(within) }
        again = { asked: Sequel[:errands][:asked] + 1, tries: 0, due_at: Sequel[:excluded][:due_at] }
        @db[:errands].insert_conflict(target: :key, update: again).returning(:id).insert(row).first[:id]
      end

      # @param key [String]
      # @return [Hash, nil] what waits by this key
      def waiting(key) = @db[:errands].where(key: key).first&.then { |row| told(row) }

      # @return [Array<Hash>] `{ id:, task:, facts:, asked:, tries: }` of what is to be done now, the longest due first
      def due
        rows = @db[:errands].where { (due_at <= Sequel.function(:now)) & (tries < TRIES) }
        rows.order(:due_at, :id).limit(MOST).map { |row| told(row) }
      end

      # @return [Hash, nil] nil when it was done meanwhile
      def find(id) = @db[:errands].where(id: id).first&.then { |row| told(row) }

      # It is done; unless it was asked for again meanwhile, then it is done once more.
      # @param row [Hash] as it was when it was begun
      def done(row)
        gone = @db[:errands].where(row.slice(:id, :asked)).delete.positive?
        @db[:errands].where(id: row[:id]).update(tries: 0, due_at: after(0)) unless gone
      end

      # @param row [Hash]
      # @param says [String] why
      def failed(row, says)
        tries = row[:tries] + 1
        @db[:errands].where(id: row[:id]).update(tries: tries, says: says[0, 1_000], due_at: after([tries**3, LONGEST_PAUSE].min))
      end

      # @return [Array<Hash>] `{ key:, task:, tries:, says: }` of what failed too often
      def given_up = @db[:errands].where { tries >= TRIES }.order(:id).select(:key, :task, :tries, :says).all

      private

      def after(seconds) = Sequel.lit("now() + ? * interval '1 second'", seconds)

      def told(row)
        { **row.slice(:id, :key, :task, :asked, :tries), facts: JSON.parse(JSON.generate(row[:facts]), symbolize_names: true) }
      end
    end
  end
end
