# frozen_string_literal: true

module Kippen
  # Of what was proposed, what no row should be.
  module OddProposals
    DATABASE = ServerTest::DATABASE
    # Of a button and a want that are there no more: this one can be told.
    STEP = { "changes" => 1, "cost_s_a_day" => 3.5, "seconds" => 3, "wrong" => 0, "missing" => ["gone"],
             "put" => [{ "want" => "gone", "button" => "gone/gone", "gesture" => "wave" }],
             "off" => [{ "button" => "gone/gone", "gesture" => "tap" }] }.freeze
    RESULTS = [nil, 7, [], {}, { "kippen" => "proposal/9" }, { "kippen" => "proposal/1" },
               { "kippen" => "proposal/1", "status" => "optimal", "steps" => [7] },
               { "kippen" => "proposal/1", "status" => "optimal", "steps" => [{}] },
               { "kippen" => "proposal/1", "status" => "stopped", "steps" => [STEP] }].freeze

    ROWS = {
      "proposals" => lambda { |test|
        RESULTS.each_with_index do |result, number|
          DATABASE[:proposals].insert(client_id: test.client, revision: 900, state: "done", author: "", error: "\u202e",
                                      pinned: Sequel.pg_jsonb([7]), shut: Sequel.pg_jsonb({ "x" => 1 }),
                                      result: result && Sequel.pg_jsonb_wrap(result), created_at: Time.now + number)
          test.assert_answers("/api/clients/#{test.client}/proposals")
        end
        told = test.ask("/api/clients/#{test.client}/proposals").dig("proposal", "result", "steps")
        test.assert_equal [[], []], told[0].values_at("put", "gives_way")
      }
    }.freeze
  end
end
