# frozen_string_literal: true

Sequel.migration do
  change do
    # Where a stream's bench stands: everything is worked out from its messages and may be thrown
    # away; then it is worked out again. basis – the fitting and the bindings by which it was decided.
    create_table(:benches) do
      foreign_key :stream_id, :streams, type: :uuid, primary_key: true, on_delete: :cascade
      String :basis, text: true, null: false
      jsonb :state, null: false
      Bignum :last_us
      Integer :last_number
      Integer :rows, null: false
      Integer :received, null: false
      Integer :heard_through, null: false
      jsonb :heard, null: false
    end

    # What is settled, row by row, as it is shown.
    create_table(:tiles) do
      foreign_key :stream_id, :streams, type: :uuid, null: false, on_delete: :cascade
      Integer :row, null: false
      String :key, text: true, null: false
      jsonb :tile, null: false
      primary_key %i[stream_id row]
    end

    # Moments of rest from which it can be decided anew: so many rows were settled before.
    create_table(:rests) do
      foreign_key :stream_id, :streams, type: :uuid, null: false, on_delete: :cascade
      Integer :rows, null: false
      Bignum :at_us, null: false
      Integer :at_number, null: false
      TrueClass :lasting, null: false
      jsonb :state, null: false
      primary_key %i[stream_id rows]
    end

    alter_table(:streams) do
      # The listener's clock against the server's: the first message, and when it came.
      add_column :first_us, :Bignum
      add_column :first_at, :timestamptz
    end
    add_index :messages, %i[stream_id time_us number]
  end
end
