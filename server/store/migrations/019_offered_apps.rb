# frozen_string_literal: true

Sequel.migration do
  up do
    # The apps of a client that somebody offers to others of the service; no statistics of their words, see 016.
    alter_table(:clients) { add_column :offered, :jsonb, null: false, default: Sequel.lit("'[]'") }
    run "ALTER TABLE clients ALTER COLUMN offered SET STATISTICS 0"
  end

  down { alter_table(:clients) { drop_column :offered } }
end
