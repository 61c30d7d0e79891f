# frozen_string_literal: true

Sequel.migration do
  up do
    # Which open page saved it: what a page saved itself is no conflict with it.
    alter_table(:revisions) { add_column :page, String, text: true }

    # All that is taken back where it is not confirmed, oldest first. What was waiting when this
    # came about is taken back by the revision that asked for it alone.
    alter_table(:confirmations) do
      add_column :revisions, "integer[]"
      drop_constraint :whole
    end
    run "UPDATE confirmations SET revisions = ARRAY[revision]"
    alter_table(:confirmations) do
      set_column_not_null :revisions
      drop_column :before
      add_constraint(:whole, Sequel.lit("cardinality(lost) > 0 AND cardinality(now) > 0 AND cardinality(revisions) > 0"))
    end
  end
end
