# frozen_string_literal: true

require 'sequel'

module Veranda
  module Store
    # Connects to PostgreSQL and brings its tables up to date.
    module Database
      MIGRATIONS = File.join(__dir__, 'migrations')

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
        db
      end

      # @param db [Sequel::Database]
      def migrate(db)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS)
      end
    end
  end
end
