# frozen_string_literal: true

# Trials of a client, the sittings in which they were taken, and the fits that were made of them.
Sequel.migration do
  change do
    create_table(:sittings) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      String :button, null: false, size: 130
      String :way, null: false, size: 20
      String :whose, null: false, size: 20
      column :offered, :jsonb, null: false
      Bignum :seed, null: false
      # What is asked now, null where nothing is; what it gave so far, on the stream's clock.
      column :prompt, :jsonb
      column :trace, :jsonb, null: false, default: Sequel.lit("'[]'")
      foreign_key :stream_id, :streams, type: :uuid, on_delete: :set_null
      column :asked, :jsonb, null: false, default: Sequel.lit("'[]'")
      TrueClass :paused, null: false, default: false
      String :author, null: false, text: true
      String :note, null: false, text: true, default: ""
      timestamptz :began_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      timestamptz :ended_at
    end
    add_index :sittings, :client_id, unique: true, where: { ended_at: nil }, name: :sittings_one_open

    create_table(:trials) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :sitting_id, :sittings, type: :uuid, null: false, on_delete: :cascade
      Integer :number, null: false
      String :button, null: false, size: 130
      String :worked_with, text: true
      String :intended, null: false, size: 20
      column :trace, :jsonb, null: false
      Float :weight, null: false, default: 1
      TrueClass :counted, null: false, default: true
      String :note, null: false, text: true, default: ""
      String :heard_by, null: false, text: true, default: ""
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[sitting_id number]
    end

    create_table(:fits) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      String :button, null: false, size: 130
      column :sittings, :jsonb, null: false
      # All that it is made from, as trials/1, and how.
      column :file, :jsonb, null: false
      column :trials, :jsonb, null: false
      Float :price, null: false
      column :fixed, :jsonb, null: false
      String :digest, null: false, size: 64
      String :state, null: false, size: 20, default: "waiting"
      Integer :done, null: false, default: 0
      Integer :of, null: false, default: 1
      Integer :attempts, null: false, default: 0
      TrueClass :give_up, null: false, default: false
      String :error, text: true
      column :result, :jsonb
      String :author, null: false, text: true
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      timestamptz :ended_at
      index %i[client_id digest]
    end

    # On what a revision's timing rests.
    create_table(:evidence) do
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      Integer :number, null: false
      foreign_key :fit_id, :fits, type: :uuid, null: false, on_delete: :cascade, index: true
      primary_key %i[client_id number]
    end
  end
end
