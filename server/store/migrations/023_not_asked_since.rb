# frozen_string_literal: true

# After a restore nobody knows what is on a device until it was asked: the record is older than it may be.
Sequel.migration do
  change do
    alter_table(:carriers) { add_column :unasked, TrueClass, null: false, default: false }
  end
end
