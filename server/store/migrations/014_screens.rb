# frozen_string_literal: true

# What stands on the screen of a client's stand-in hosts.
Sequel.migration do
  change do
    create_table(:screens) do
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      String :host, null: false, size: 64
      column :state, :jsonb, null: false
      primary_key %i[client_id host]
    end
  end
end
