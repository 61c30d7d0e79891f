# frozen_string_literal: true

# What is proposed for a client, worked out by the worker; and what a service counts a day with.
Sequel.migration do
  up do
    create_table(:proposals) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade, index: true
      # Of which revision; pinned – ids of wants; shut – what may not be used.
      Integer :revision, null: false
      column :pinned, :jsonb, null: false
      column :shut, :jsonb, null: false
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
      constraint :proposals_asked, Sequel.lit("jsonb_typeof(pinned) = 'array' AND jsonb_typeof(shut) = 'object'")
      constraint :proposals_state, state: %w[waiting working done failed given_up]
    end
    # Some of Reach::Figures in place of what is usual.
    alter_table(:services) { add_column :reach, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb") }
    # What may hold words of a client has no statistics.
    %w[pinned shut result author error].each { |column| run "ALTER TABLE proposals ALTER COLUMN #{column} SET STATISTICS 0" }
  end

  down do
    alter_table(:services) { drop_column :reach }
    drop_table(:proposals)
  end
end
