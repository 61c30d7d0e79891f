# frozen_string_literal: true

require_relative "../helper"
require_relative "generated"

module Kippen
  class AccountTest < CoreTest
    PLACES = [{ "id" => "letters", "app" => "rookery" }, { "id" => "log", "app" => "tidebook" }].freeze

    def accounts(fitting, *rows)
      stories = Press::Stories.new
      events = Press::Events.new(fitting)
      Press::Replay.run(fitting, rows.map { |row| row(events, row) }, recorder: stories)
      stories.stories.map { |story| Press::Account.of(fitting, story) }
    end

    def test_the_whole_account_of_a_filtered_tap
      read = fitting("timing" => { "gap_bridge_ms" => 20, "brush_guard_ms" => 30, "bounce_guard_ms" => 50 },
                     "assignments" => [assignment("tap"), assignment("double_tap")])
      account = accounts(read, [1000, "down"], [1050, "up"], [1058, "down"], [1100, "up"], [2000, "end"]).first

      assert_equal({ "began_us" => 1_000_000, "ended_us" => 1_100_000, "gaps" => [[1_050_000, 1_058_000]], "verdict" => "press",
                     "guards" => [{ "guard" => "brush", "lasted_us" => 100_000, "needed_us" => 30_000, "passed" => true }],
                     "known_us" => 1_030_000 },
                   account["touches"][0])
      assert_equal({ "mode" => "base", "mode_from" => nil, "where" => "", "places" => ["everywhere"], "kind" => "assigned",
                     "top" => 2, "long" => nil },
                   account["burst"])
      outcome = account["outcomes"][0]
      assert_equal ["gap_over", 300_000, { "gap_bridge" => 20_000, "tap_gap" => 280_000 }],
                   outcome.values_at("why", "wait_us", "wait_parts")
      assert_equal [{ "assignment" => 0, "gesture" => "tap", "place" => "everywhere", "mode" => "base", "result" => "won" }],
                   outcome["candidates"]
    end

    def test_guards_tell_their_numbers
      read = fitting("timing" => { "brush_guard_ms" => 40, "bounce_guard_ms" => 100 }, "assignments" => [assignment("tap")])
      guards = accounts(read, [0, "down"], [50, "up"], [80, "down"], [90, "up"], [200, "down"], [210, "up"]).map do |account|
        account["touches"][0]["guards"]
      end
      assert_equal [[{ "guard" => "brush", "lasted_us" => 50_000, "needed_us" => 40_000, "passed" => true }],
                    [{ "guard" => "bounce", "from" => "press", "since_us" => 80_000, "needed_us" => 100_000, "passed" => false }],
                    [{ "guard" => "bounce", "from" => "press", "since_us" => 200_000, "needed_us" => 100_000, "passed" => true },
                     { "guard" => "brush", "lasted_us" => 10_000, "needed_us" => 40_000, "passed" => false }]], guards
    end

    # Every reason to lose.
    def test_candidates_and_why_they_lost
      read = fitting("places" => PLACES, "modes" => [{ "id" => "calls" }, { "id" => "quiet", "otherwise" => "nothing" }],
                     "assignments" => [assignment("tap", "one"), assignment("tap", "two", place: "letters"),
                                       assignment("tap", "three", place: "log"),
                                       assignment("tap", "four", mode: "calls", off: true),
                                       assignment("tap", "five", mode: "quiet")])
      button = read.button(OK)
      spot = Press::Resolver.new(read).spot("rookery")
      results = lambda do |mode|
        Press::Candidates.new(read, mode, spot).of(button, "tap").map { |one| [one.assignment.action["what"], one.result] }
      end
      assert_equal([%w[two won], %w[one covered], %w[three place], %w[five mode], %w[four off]],
                   results.call("base").sort_by do |_, r|
                     %w[won covered place mode off].index(r)
                   end)
      assert_equal [%w[five won], %w[two otherwise], %w[one otherwise]], results.call("quiet").first(3)
      assert_equal [%w[four off], %w[two won], %w[one covered]], results.call("calls").first(3)
    end

    HELD = { "modes" => [{ "id" => "calls" }], "timing" => { "gap_bridge_ms" => 20 } }.freeze

    # A held mode ends while two counts wait and one press is still down.
    def test_a_count_that_the_modes_end_closes
      held = { "button" => "d/hold", "gesture" => "hold", "action" => { "kind" => "mode", "mode" => "calls", "how" => "held" } }
      counted = %w[d/a d/b d/c].product(%w[tap double_tap]).map do |ref, gesture|
        { "button" => ref, "gesture" => gesture, "mode" => "calls", "action" => { "kind" => "key" } }
      end
      read = Fitting.read("kippen" => "fitting/1",
                          "devices" => [{ "id" => "d", "buttons" => %w[a b c hold].map { |id| { "id" => id } } }],
                          "assignments" => [held, *counted], **HELD)
      rows = [[0, "d/hold", "down", ""], [100, "d/b", "down", ""], [150, "d/b", "up", ""], [160, "d/a", "down", ""],
              [200, "d/a", "up", ""],
              [210, "d/c", "down", ""], [300, "d/hold", "up", ""], [330, "d/c", "up", ""], [900, "end"]]
      told = accounts(read, *rows).reject { |account| account["button"] == "d/hold" }.flat_map { |account| account["outcomes"] }

      # In the order of the buttons, at the moment the release of the held one is known.
      assert_equal([["d/a", 320_000], ["d/b", 320_000], ["d/c", 350_000]],
                   told.map { |one| one["row"].values_at("button", "at_us") }.sort)
      assert_equal(%w[d/a d/b d/c],
                   Press::Replay.run(read, rows.map { |row| row(Press::Events.new(read), row) }).map(&:button) - ["d/hold"])
      assert_equal(["closed"], told.map { |one| one["why"] }.uniq)
      assert_equal({ "d/a" => [120_000, { "gap_bridge" => 20_000, "tap_gap" => 100_000 }],
                     "d/b" => [170_000, { "gap_bridge" => 20_000, "tap_gap" => 150_000 }],
                     "d/c" => [20_000, { "gap_bridge" => 20_000 }] },
                   told.to_h { |one| [one["row"]["button"], one.values_at("wait_us", "wait_parts")] })
    end

    # For every fitting and trace: the winner told is the assignment that acted, and the parts of
    # the wait add up.
    def test_accounts_agree_with_the_outcomes
      PropCheck.forall(Generated.fitting, Generated.trace).with_config(n_runs: 150) do |document, trace|
        fitting = Fitting.read(document)
        events = Press::Events.new(fitting)
        stories = Press::Stories.new
        rows = trace.map { |time, *fields| [time, events.read(*fields)] }
        outcomes = Press::Replay.run(fitting, rows, recorder: stories)
        told = stories.stories.flat_map { |story| Press::Account.of(fitting, story)["outcomes"] }

        assert_equal outcomes.map(&:to_h).sort_by(&:to_s), told.map { |one| one["row"] }.sort_by(&:to_s)
        told.each { |one| assert_account(fitting, one) }
      end
    end

    def assert_account(fitting, account)
      row = account["row"]
      assert_equal account["wait_us"], account["wait_parts"].values.sum, account if account["wait_us"]
      return unless account["candidates"]

      won = account["candidates"].find { |one| one["result"] == "won" }
      return assert_nil(won, account) if row["phase"] == "unassigned"

      assert_equal row.values_at("place", "action"), [won["place"], fitting.assignments[won["assignment"]].action], account
    end

    def test_the_command_prints_accounts
      Dir.mktmpdir do |folder|
        path = File.join(folder, "fitting.json")
        File.write(path, JSON.generate(document("assignments" => [assignment("tap")])))
        status, output, = command("explain", "--fitting", path, "--trace", "-",
                                  input: "t_us,source,kind,value\n0,remote/ok,down,\n9,remote/ok,up,\n")
        assert_equal [0, ["press_known"]], [status, JSON.parse(output)["outcomes"].map { |one| one["why"] }]
        assert_equal 2, command("explain", "--fitting", path)[0]

        many = "t_us,source,kind,value\n#{"5,,end,\n" * (Limits::EXPLAINED_ROWS + 1)}"
        assert_equal [2, "", "row 100002: at most 100000 rows are taken here\n"],
                     command("explain", "--fitting", path, "--trace", "-", input: many)
      end
    end
  end
end
