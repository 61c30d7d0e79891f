# frozen_string_literal: true

# Clients of before there were accounts are somebody's: they wait for the first service that is set up here,
# and were never the demo's.
Sequel.migration do
  up do
    alter_table(:services) { add_column :waiting, TrueClass, null: false, default: false }
    demo = from(:services).where(demo: true).order(:created_at).first
    older = demo && from(:clients).where(service_id: demo[:id]).where { created_at < demo[:created_at] }
    unless older.nil? || older.empty?
      waiting = from(:services).returning(:id).insert(name: "From before there were accounts", waiting: true).first.fetch(:id)
      older.update(service_id: waiting)
      from(:viewings).where(client_id: from(:clients).where(service_id: waiting).select(:id)).delete
    end
  end

  down do
    alter_table(:services) { drop_column :waiting }
  end
end
