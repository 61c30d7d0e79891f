# frozen_string_literal: true

require_relative "committed"

module Kippen
  # The planner's samples outlive what was erased: of columns that may hold words of or about a client there are none.
  class NoStatisticsTest < CommittedCase
    # Kinds, codes and digests that Kippen itself makes; of accounts and services, which are nobody's client; of the job queue.
    NO_WORDS = %w[account_active_session_keys.session_id account_lockouts.key accounts.password_hash accounts.role
                  audit.what benches.basis bindings.button carriers.device carriers.kind clients.works_by
                  confirmations.lost confirmations.now confirmations.revisions fits.button fits.digest fits.state
                  hand_ticks.device hand_ticks.mark handovers.device handovers.digest handovers.part handovers.state
                  handovers.was handovers.what joins.code joins.lists joins.token_digest messages.kind proposals.state
                  revisions.how revisions.page screens.host services.name services.reach sittings.button sittings.way
                  sittings.whose tiles.key trials.button trials.intended tries.kind tries.who].freeze
    KEPT = <<~SQL
      SELECT c.relname || '.' || a.attname FROM pg_attribute a JOIN pg_class c ON c.oid = a.attrelid JOIN pg_namespace n ON n.oid = c.relnamespace
      JOIN pg_type t ON t.oid = a.atttypid
      WHERE n.nspname = 'public' AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped AND a.attstattarget <> 0
        AND (t.typname IN ('text', 'varchar', 'jsonb', 'json') OR t.typcategory = 'A') AND c.relname !~ '^(que_|schema_info)'
    SQL

    def test_each_column_that_may_hold_words_is_left_out
      assert_equal NO_WORDS, DATABASE[KEPT].select_map(:"?column?").sort
    end

    def test_after_looking_at_it_all_the_planner_knows_no_word
      add_client(MOUSE)
      other = other()
      3.times { save(other, { "kind" => "client", "name" => "Quillonde" }) }
      DATABASE.run("ANALYZE")
      known = %i[most_common_vals histogram_bounds].flat_map do |column|
        DATABASE[:pg_stats].where(schemaname: "public").select_map(Sequel.cast(column, :text).as(:known))
      end
      assert_operator known.compact.size, :>, 10, "it was looked at"
      refute_includes known.join, "Quillonde"
    end
  end
end
