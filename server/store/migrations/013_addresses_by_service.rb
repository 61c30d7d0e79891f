# frozen_string_literal: true

# Each service has its own accounts: whether an address has one in another can't be told by making one.
Sequel.migration do
  up do
    alter_table(:accounts) do
      drop_constraint(:accounts_email_key)
      add_unique_constraint %i[email service_id], name: :accounts_email_in_service
    end
  end

  down do
    alter_table(:accounts) do
      drop_constraint(:accounts_email_in_service)
      add_unique_constraint %i[email], name: :accounts_email_key
    end
  end
end
