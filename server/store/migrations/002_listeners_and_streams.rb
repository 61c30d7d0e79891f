# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:listeners) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      String :name, null: false, text: true
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:bindings) do
      foreign_key :listener_id, :listeners, type: :uuid, null: false, on_delete: :cascade
      String :heard, null: false, text: true
      String :button, null: false, text: true
      primary_key %i[listener_id heard]
      constraint(:heard_short, Sequel.lit("length(heard) BETWEEN 1 AND 120"))
    end

    create_table(:streams) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :listener_id, :listeners, type: :uuid, null: false, on_delete: :cascade, index: true
      timestamptz :started_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:messages) do
      foreign_key :stream_id, :streams, type: :uuid, null: false, on_delete: :cascade
      Integer :number, null: false
      Bignum :time_us, null: false
      String :source, null: false, text: true
      String :kind, null: false, text: true
      String :value, null: false, text: true
      primary_key %i[stream_id number]
      constraint(:time_in_range, time_us: 0..(2**53))
      constraint(:number_from_one, Sequel.lit("number >= 1"))
    end
  end
end
