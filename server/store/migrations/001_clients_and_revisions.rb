# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:clients) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:revisions) do
      foreign_key :client_id, :clients, type: :uuid, null: false, on_delete: :cascade
      Integer :number, null: false
      Integer :parent
      jsonb :document, null: false
      String :author, null: false, text: true
      String :note, null: false, text: true, default: ""
      timestamptz :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP

      primary_key %i[client_id number]
      # Each revision has one child at most, and the numbers follow: of two who save
      # on the same parent, the database itself refuses the second.
      unique %i[client_id parent]
      foreign_key %i[client_id parent], :revisions, key: %i[client_id number]
      constraint(:revisions_follow, Sequel.lit("number = coalesce(parent, 0) + 1"))
      constraint(:revisions_whole, Sequel.lit("document ->> 'kippen' = 'fitting/1'"))
    end

    run <<~SQL
      CREATE FUNCTION revisions_stay() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        RAISE EXCEPTION 'a saved revision is never changed';
      END $$;
      CREATE TRIGGER revisions_stay BEFORE UPDATE ON revisions FOR EACH ROW EXECUTE FUNCTION revisions_stay();
    SQL
  end

  down do
    drop_table(:revisions, :clients)
    run "DROP FUNCTION revisions_stay()"
  end
end
