# frozen_string_literal: true

# What is settled on a bench is kept as what happened, not as a page shows it. All of it is worked out again from
# the messages where it is missing.
Sequel.migration do
  up do
    %i[benches rests tiles].each { |table| self[table].delete }
    alter_table(:tiles) { rename_column :tile, :story }
  end

  down do
    %i[benches rests tiles].each { |table| self[table].delete }
    alter_table(:tiles) { rename_column :story, :tile }
  end
end
