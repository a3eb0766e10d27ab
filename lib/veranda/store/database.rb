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

      module_function

      # @param url [String] `postgres://…`
      # @param connections [Integer] most connections at once in this process
      # @return [Sequel::Database]
      def connect(url, connections: 12)
        # Under the server every request is a fiber, not a thread.
        Sequel.extension :fiber_concurrency
        Sequel.default_timezone = :utc
        db = Sequel.connect(url, max_connections: connections, pool_timeout: 20, keep_reference: false)
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
