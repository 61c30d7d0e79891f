# frozen_string_literal: true

# The planner keeps samples of what stands in a column, and they outlive what was erased: of columns that hold words of
# or about a client it keeps none. What it had goes too: a column whose type is set anew has none.
WORDS = {
  revisions: %i[document author note], listeners: %i[name], bindings: %i[heard], messages: %i[source value],
  audit: %i[author detail],
  benches: %i[state heard], tiles: %i[tile], rests: %i[state], screens: %i[state], joins: %i[host],
  sittings: %i[offered prompt trace asked author note], trials: %i[worked_with trace note heard_by],
  fits: %i[sittings file trials fixed error result author], accounts: %i[name email], clients: %i[name about open words]
}.freeze

Sequel.migration do
  up do
    # It is made of name and about, whose types could not be set else.
    run "ALTER TABLE clients DROP COLUMN words"
    WORDS.each do |table, columns|
      types = schema(table).to_h.transform_values { |column| column[:db_type] }
      (columns - %i[words]).each { |column| run "ALTER TABLE #{table} ALTER COLUMN #{column} TYPE #{types.fetch(column)}" }
    end
    run "ALTER TABLE clients ADD COLUMN words text GENERATED ALWAYS AS (lower(name || ' ' || about)) STORED"
    run "CREATE INDEX clients_words ON clients USING gin (words gin_trgm_ops) WITH (fastupdate = off)"
    WORDS.each { |table, columns| columns.each { |column| run "ALTER TABLE #{table} ALTER COLUMN #{column} SET STATISTICS 0" } }
  end

  down do
    WORDS.each do |table, columns|
      columns.each do |column|
        run "ALTER TABLE #{table} ALTER COLUMN #{column} SET STATISTICS " \
            "-1"
      end
    end
  end
end
