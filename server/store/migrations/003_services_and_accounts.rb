# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:services) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :name, null: false, text: true
      # The made-up service that ships with Kippen: its accounts open by one press.
      TrueClass :demo, null: false, default: false
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:name_there, Sequel.lit("length(name) BETWEEN 1 AND 120"))
    end

    create_table(:accounts) do
      primary_key :id, type: :Bignum
      foreign_key :service_id, :services, type: :uuid, null: false, on_delete: :cascade, index: true
      String :email, null: false, text: true, unique: true
      String :name, null: false, text: true
      String :role, null: false, text: true
      String :password_hash, null: false, text: true
      # As Rodauth counts: 2 open, 3 closed.
      Integer :status, null: false, default: 2
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:email_plain, Sequel.lit("email = lower(email) AND email LIKE '%_@_%' AND length(email) <= 200"))
      constraint(:name_there, Sequel.lit("length(name) BETWEEN 1 AND 120"))
      constraint(:role_known, role: %w[lead specialist viewer])
      constraint(:status_known, status: [2, 3])
    end

    # What Rodauth keeps: failed tries, lock-outs, sessions that are in use.
    create_table(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      Integer :number, null: false, default: 1
    end

    create_table(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false, text: true
      timestamptz :deadline, null: false
    end

    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      String :session_id, text: true
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      timestamptz :last_use, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end

    # Clients of before there were services go to one of their own.
    alter_table(:clients) do
      add_foreign_key :service_id, :services, type: :uuid, on_delete: :cascade
      add_column :name, String, text: true, null: false, default: ""
      add_column :about, String, text: true, null: false, default: ""
      add_column :revision, Integer, null: false, default: 0
      add_column :open, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      add_column :seen_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    unless from(:clients).empty?
      service = from(:services).returning(:id).insert(name: "Saltmarsh Row", demo: true).first.fetch(:id)
      from(:clients).update(service_id: service)
      run <<~SQL
        UPDATE clients SET revision = newest.number, seen_at = newest.created_at,
          name = coalesce(newest.document -> 'client' ->> 'name', ''), about = coalesce(newest.document -> 'client' ->> 'about', '')
        FROM (SELECT DISTINCT ON (client_id) * FROM revisions ORDER BY client_id, number DESC) AS newest WHERE newest.client_id = clients.id
      SQL
    end
    alter_table(:clients) { set_column_not_null :service_id }
    # For the search by any part of name or description, and for the list by when last seen.
    run "CREATE EXTENSION IF NOT EXISTS pg_trgm"
    run "ALTER TABLE clients ADD COLUMN words text GENERATED ALWAYS AS (lower(name || ' ' || about)) STORED"
    run "CREATE INDEX clients_words ON clients USING gin (words gin_trgm_ops) WITH (fastupdate = off)"
    run "CREATE INDEX clients_seen ON clients (service_id, seen_at DESC, id)"

    # Which clients a viewer may look at.
    create_table(:viewings) do
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      primary_key %i[account_id client_id]
    end

    # Who changed what. Of a client only the id stays when the client is erased.
    create_table(:audit) do
      primary_key :id, type: :Bignum
      foreign_key :service_id, :services, type: :uuid, null: false, on_delete: :cascade
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null
      String :author, null: false, text: true
      uuid :client_id
      String :what, null: false, text: true
      jsonb :detail, null: false, default: Sequel.lit("'{}'::jsonb")
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[service_id id]
      index %i[client_id]
    end
  end

  down do
    drop_table(:audit, :viewings, :account_active_session_keys, :account_lockouts, :account_login_failures)
    run "DROP INDEX clients_words, clients_seen"
    alter_table(:clients) do
      %i[words seen_at open revision about name service_id].each { |column| drop_column column }
    end
    drop_table(:accounts, :services)
  end
end
