# frozen_string_literal: true

Sequel.migration do
  up do
    # Wrong passwords and codes, to stop whoever tries many: by who it was, an address or an account.
    create_table(:tries) do
      primary_key :id, type: :Bignum
      String :kind, null: false, text: true
      String :who, null: false, text: true
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP, index: true
      index %i[kind who at]
    end
    drop_table(:join_failures)
  end

  down do
    create_table(:join_failures) do
      primary_key :id, type: :Bignum
      timestamptz :at, null: false, default: Sequel::CURRENT_TIMESTAMP, index: true
    end
    drop_table(:tries)
  end
end
