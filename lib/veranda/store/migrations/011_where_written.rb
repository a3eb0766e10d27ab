# frozen_string_literal: true

# Words that were found lead to the page that they stand on, whatever was on show meanwhile.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE recorded_words ADD COLUMN board text, ADD COLUMN page text;
      -- All is read again when somebody next looks for something.
      UPDATE recordings SET read_at = NULL;
    SQL
  end

  down do
    run 'ALTER TABLE recorded_words DROP COLUMN board, DROP COLUMN page;'
  end
end
