# frozen_string_literal: true

# Stand-in devices with a memory of their own, and what was handed over to them. A device outlives what a fitting says of it.
Sequel.migration do
  up do
    create_table(:carriers) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :service_id, :services, type: :uuid, null: false, on_delete: :cascade
      # Null once its client was erased: then it is to be emptied.
      foreign_key :client_id, :clients, type: :uuid, on_delete: :set_null
      String :device, null: false, size: 64
      String :kind, size: 64
      column :memory, :jsonb, null: false
      TrueClass :reach, null: false, default: true
      # Set by people, from a list, and by nothing else.
      TrueClass :by_hand, null: false, default: false
      timestamptz :reach_since, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[client_id device]
      index :service_id
    end

    # By what presses are decided: by the desk's newest revision, or by what is on the devices.
    alter_table(:clients) do
      add_column :works_by, String, null: false, size: 10, default: "desk"
      add_constraint :clients_works_by, works_by: %w[desk devices]
    end

    create_table(:handovers) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      foreign_key :carrier_id, :carriers, type: :uuid, null: false, on_delete: :cascade
      String :device, null: false, size: 64
      Integer :number, null: false
      # put – something; back – what was there before; empty – nothing; hand – a list that was gone through
      String :what, null: false, size: 10
      # Of which revision; null where nothing is put on it.
      Integer :revision
      column :document, :jsonb
      String :digest, size: 64
      # What was on it when this was asked for.
      String :was, size: 64
      # Those that are asked for together on one host: written all, then switched one after the other.
      uuid :together, null: false
      String :state, null: false, size: 20, default: "waiting"
      TrueClass :written, null: false, default: false
      Integer :done, null: false, default: 0
      Integer :of, null: false, default: 1
      String :part, null: false, size: 20, default: ""
      Integer :attempts, null: false, default: 0
      TrueClass :give_up, null: false, default: false
      String :error, text: true
      String :author, null: false, text: true
      timestamptz :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      timestamptz :ended_at
      unique %i[carrier_id number]
      constraint :handovers_what, what: %w[put back empty hand]
      constraint :handovers_state, state: %w[waiting working away done failed given_up]
      index %i[client_id asked_at]
      index :together
    end
    # What somebody set by hand, or couldn't: a tick belongs to where and value.
    create_table(:hand_ticks) do
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      String :device, null: false, size: 64
      String :key, null: false, text: true
      String :mark, null: false, size: 16
      String :value, null: false, text: true
      TrueClass :set, null: false
      String :why, null: false, text: true, default: ""
      String :author, null: false, text: true
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[client_id device key mark]
    end

    # A code for a list opens that list, and nothing else.
    alter_table(:joins) do
      add_column :lists, String, size: 64
      # Who said they were there.
      add_column :who, String, text: true
    end

    # What may hold words of a client has no statistics.
    { carriers: %i[memory], handovers: %i[document author error], hand_ticks: %i[key value why author],
      joins: %i[who] }.each do |table, columns|
      columns.each { |column| run "ALTER TABLE #{table} ALTER COLUMN #{column} SET STATISTICS 0" }
    end
  end

  down do
    alter_table(:joins) do
      drop_column :lists
      drop_column :who
    end
    drop_table(:hand_ticks)
    drop_table(:handovers)
    drop_table(:carriers)
    alter_table(:clients) { drop_column :works_by }
  end
end
