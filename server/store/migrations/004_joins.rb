# frozen_string_literal: true

Sequel.migration do
  change do
    # A code by which a client's own phone, tablet or computer joins as a listener.
    create_table(:joins) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null
      String :host, null: false, text: true
      String :code, null: false, text: true
      # Of the token that the joined browser shows from then on; the token itself is kept nowhere.
      String :token_digest, text: true, unique: true
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      timestamptz :expires_at, null: false
      timestamptz :joined_at
      timestamptz :ended_at
      constraint(:code_plain, Sequel.lit("code ~ '^[A-Z0-9]{6}$'"))
    end
    # One code leads to one place as long as it leads anywhere.
    add_index :joins, :code, unique: true, where: Sequel.lit("joined_at IS NULL AND ended_at IS NULL"), name: :joins_open_code

    # Wrong codes, to stop whoever tries many.
    create_table(:join_failures) do
      primary_key :id, type: :Bignum
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP, index: true
    end

    alter_table(:listeners) do
      add_foreign_key :join_id, :joins, type: :uuid, on_delete: :cascade, index: true
    end

    alter_table(:streams) do
      # Sources are what was heard ("key:F6"), not yet the buttons they stand for.
      add_column :raw, TrueClass, null: false, default: false
    end
  end
end
