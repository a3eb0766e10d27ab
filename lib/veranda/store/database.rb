# frozen_string_literal: true

require 'sequel'

module Veranda
  module Store
    # Connects to PostgreSQL and brings its tables up to date.
    module Database
      MIGRATIONS = File.join(__dir__, 'migrations')
      # Errors of a database that is away for a moment.
      AWAY = [Sequel::DatabaseDisconnectError, Sequel::DatabaseConnectionError, Sequel::PoolTimeout].freeze
      # s at rest after which a connection is tried before it is used: it may have died meanwhile, and a write is not tried again.
      RESTED = 1
      # s until a server that does not answer at all is given up, and by which a connection whose other end is gone without a word is
      # noticed: 3 at rest and 3 tries of 1, or 5 while something is on its way (libpq, 34.1.2). Networks forget connections in silence.
      CONNECTS_WITHIN = 5
      ALIVE = { keepalives: 1, keepalives_idle: 3, keepalives_interval: 1, keepalives_count: 3, tcp_user_timeout: 5_000 }.freeze
      private_constant :CONNECTS_WITHIN, :ALIVE

      # A database that only reads for a moment, as when another takes over from it, is away like one that does not answer: the connection
      # goes, and what was to be written is tried again.
      module ReadingOnlyIsAway
        private

        def database_specific_error_class(exception, opts)
          exception.is_a?(PG::ReadOnlySqlTransaction) ? Sequel::DatabaseDisconnectError : super
        end
      end

      module_function

      # @param url [String] `postgres://…`
      # @param connections [Integer] most connections at once in this process
      # @return [Sequel::Database]
      def connect(url, connections: 12)
        # Under the server every request is a fiber, not a thread.
        Sequel.extension :fiber_concurrency
        Sequel.default_timezone = :utc
        db = Sequel.connect(url, max_connections: connections, pool_timeout: 20, keep_reference: false, connect_timeout: CONNECTS_WITHIN,
                                 driver_options: ALIVE)
        db.extend(ReadingOnlyIsAway)
        db.extension :pg_json
        db.wrap_json_primitives = true
        db.extension :connection_validator
        db.pool.connection_validation_timeout = RESTED
        db
      end

      # @param db [Sequel::Database]
      # @param to [Integer, nil] a version on the way; the latest unless given
      def migrate(db, to: nil)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS, target: to)
      end
    end
  end
end
