# frozen_string_literal: true

# What is pruned by its age is found without looking at all there is.
Sequel.migration do
  change do
    add_index :streams, :started_at
    add_index :audit, :at
    add_index :fits, :ended_at
  end
end
