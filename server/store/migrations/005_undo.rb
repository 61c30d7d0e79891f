# frozen_string_literal: true

Sequel.migration do
  change do
    alter_table(:revisions) do
      # How it came about; of an undo and a redo, which revision's state it is, and of an
      # undo, which revision it took back.
      add_column :how, String, text: true, null: false, default: "change"
      add_column :state_of, Integer
      add_column :took_back, Integer
      add_constraint(:how_known, how: %w[change undo redo restore])
      add_constraint(:how_whole, Sequel.lit("(state_of IS NOT NULL) = (how IN ('undo', 'redo'))"))
    end
  end
end
