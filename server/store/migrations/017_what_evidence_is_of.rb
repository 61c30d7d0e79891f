# frozen_string_literal: true

# A revision's timing may have been moved by hand from what was fitted; and a press of the bench is one trial, however often
# it is kept: known again by its stream and when it began there.
Sequel.migration do
  change do
    add_column :evidence, :moved, :boolean, null: false, default: false
    alter_table(:trials) do
      add_column :of_stream, :uuid
      add_column :from_us, :bigint
      add_index %i[of_stream from_us button], unique: true, where: Sequel.lit("of_stream IS NOT NULL"), name: :trials_of_a_press
    end
  end
end
