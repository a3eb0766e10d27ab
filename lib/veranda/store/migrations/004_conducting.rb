# frozen_string_literal: true

Sequel.migration do
  up do
    run <<~SQL
      -- What those who wait for a class of the lesson are told, and in which ink; and whether the class link lets strangers in.
      ALTER TABLE lessons ADD COLUMN welcome text NOT NULL DEFAULT '',
        ADD COLUMN welcome_ink text,
        ADD COLUMN invited_only boolean NOT NULL DEFAULT false;
    SQL
  end

  down do
    run <<~SQL
      ALTER TABLE lessons DROP COLUMN welcome, DROP COLUMN welcome_ink, DROP COLUMN invited_only;
    SQL
  end
end
