# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- Server processes that live, on whichever machine, so that each knows whether it is the only one.
      CREATE UNLOGGED TABLE server_processes (
        id text PRIMARY KEY,
        beat_at timestamptz NOT NULL DEFAULT now()
      );
    SQL
  end

  down { run 'DROP TABLE server_processes;' }
end
