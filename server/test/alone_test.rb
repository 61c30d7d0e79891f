# frozen_string_literal: true

require_relative "committed"

module Kippen
  # Two who stand in each other's way: the one that the database stops tries again, with one statement as with many.
  class AloneTest < CommittedCase
    # Each holds what the other wants; the database stops the one that looks first.
    def test_a_statement_that_stands_alone_is_done_again
      add_client
      one, other = Array.new(2) { add_listener }
      held = Queue.new
      waits = Thread.new do
        DATABASE.transaction do
          DATABASE.run("SET LOCAL deadlock_timeout = '20s'")
          DATABASE[:listeners].where(id: other).update(name: "b")
          held << true
          sleep 0.2
          DATABASE[:listeners].where(id: one).update(name: "b")
        end
      end
      held.pop
      # A statement that takes both, in the other order.
      sql = "WITH first AS (UPDATE listeners SET name = 'a' WHERE id = '#{one}' RETURNING id, pg_sleep(0.4)) " \
            "UPDATE listeners SET name = 'a' WHERE id = '#{other}' AND EXISTS (SELECT 1 FROM first)"
      DATABASE.run(sql)
      waits.join
      assert_equal [%w[a]], [DATABASE[:listeners].where(id: [one, other]).select_map(:name).uniq]
    end

    def add_listener = send_json(:post, "/api/clients/#{@client}/listeners", "name" => "Bench")["id"]

    def test_within_a_transaction_the_whole_is_done_again_not_a_part
      tries = 0
      assert_raises(Sequel::SerializationFailure) do
        DATABASE.transaction do
          tries += 1
          DATABASE.run("DO $$ BEGIN RAISE EXCEPTION 'so' USING ERRCODE = '40001'; END $$")
        end
      end
      assert_equal 1, tries
    end
  end
end
