# frozen_string_literal: true

Sequel.migration do
  change do
    # Clients that were erased, by their ids alone: a back-up of before may bring them back.
    create_table(:erasures) do
      uuid :client_id, primary_key: true
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
  end
end
