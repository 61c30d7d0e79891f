# frozen_string_literal: true

Sequel.migration do
  change do
    # What is to be confirmed by a press, one a client at most: from which revision's state what
    # is assigned to these buttons comes back where it is not.
    create_table(:confirmations) do
      foreign_key :client_id, :clients, type: :uuid, primary_key: true, on_delete: :cascade
      Integer :revision, null: false
      Integer :before, null: false
      column :lost, "text[]", null: false
      column :now, "text[]", null: false
      timestamptz :until, null: false
      constraint(:whole, Sequel.lit("cardinality(lost) > 0 AND cardinality(now) > 0 AND before < revision"))
    end
  end
end
