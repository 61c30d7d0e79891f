# frozen_string_literal: true

Sequel.migration do
  up do
    # Kinds of device that a service keeps, edition by edition: one that was saved is never changed. Without a document
    # the kind was taken away with it.
    create_table(:kinds) do
      foreign_key :service_id, :services, type: :uuid, null: false, on_delete: :cascade
      String :id, null: false, text: true
      Integer :edition, null: false
      jsonb :document
      foreign_key :account_id, :accounts, type: :bigint, on_delete: :set_null
      String :author, null: false, text: true
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP

      primary_key %i[service_id id edition]
    end

    # Of which kinds a client has devices.
    alter_table(:clients) { add_column :kinds, "text[]", null: false, default: Sequel.lit("'{}'") }
    run <<~SQL
      UPDATE clients SET kinds = coalesce((
        SELECT array_agg(DISTINCT device ->> 'kind') FROM revisions, jsonb_array_elements(coalesce(document -> 'devices', '[]')) AS device
        WHERE client_id = clients.id AND number = clients.revision AND device ->> 'kind' IS NOT NULL), '{}')
    SQL
    # They may be named after somebody: see 016.
    run "ALTER TABLE clients ALTER COLUMN kinds SET STATISTICS 0"
    %w[id document author].each { |column| run "ALTER TABLE kinds ALTER COLUMN #{column} SET STATISTICS 0" }
  end

  down do
    alter_table(:clients) { drop_column :kinds }
    drop_table(:kinds)
  end
end
