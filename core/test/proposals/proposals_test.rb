# frozen_string_literal: true

require_relative "../helper"
require_relative "trying_all"
require_relative "random_table"

# The solver's own gem is none of the core's: where the tests have it, it is given to the core.
begin
  require_relative "../../highs_solver"
rescue LoadError
  nil
end

module Kippen
  # A table of slots: what is read of it, and what is proposed, held against trying everything.
  class ProposalsTest < CoreTest
    TINY = 200

    def solver = @solver ||= HighsSolver.new
    def answer(document, **how) = Proposals::Answer.of(Proposals::Table.read(document), solver, **how)

    # Every number of changes, the least of all, and whether the rules can be kept.
    def test_tiny_tables_against_trying_everything
      kinds = Hash.new(0)
      TINY.times do |seed|
        document = RandomTable.new(seed, wants: 1 + (seed % 3), buttons: 1 + (seed % 4), hosts: 1 + (seed % 2),
                                         offers: 2).document
        least = TryingAll.new(document).least
        answer = answer(document)
        kinds[answer["status"]] += 1
        next assert_equal([{}, "impossible"], [least, answer["status"]], "seed #{seed}") if least.empty?

        assert_in_delta least.values.min, answer["cost_s_a_day"], 1e-6, "seed #{seed}"
        expected = (0..answer["frontier"].last[0]).filter_map do |most|
          least.select { |changes, _| changes <= most }.values.min&.then { |cost| [most, cost.round(6)] }
        end
        assert_equal expected, answer["frontier"], "seed #{seed}"
        kept(document, answer, seed)
      end
      assert_equal %w[impossible optimal], kinds.keys.sort, kinds.to_s
    end

    # What is chosen is what the figures say, and keeps every rule.
    def kept(document, answer, seed)
      chosen = answer["chosen"].map { |one| one.values_at("want", "button", "gesture") }
      spots = chosen.map { |_, *spot| spot }
      assert_equal spots.uniq, spots, "seed #{seed}"
      assert_empty document["fixed"].map { |one| one.values_at("want", "button", "gesture") } - chosen, "seed #{seed}"
      assert_empty spots & document["closed"].map { |one| one.values_at("button", "gesture") }, "seed #{seed}"
      document["buttons"].each do |button|
        offer = button["offers"][answer["offers"].fetch(button["id"])]
        assert_empty spots.select { |id, _| id == button["id"] }.map(&:last) - offer["gestures"].keys, "seed #{seed}"
      end
      assert_equal document["wants"].map { |want|
        want["id"]
      }.sort, (chosen.map(&:first) | answer["missing"]).sort, "seed #{seed}"
    end

    SQUEEZE = { "id" => "grip/squeeze", "device" => "grip", "host" => "desk", "effort_s" => 0.0,
                "offers" => [{ "gestures" => { "tap" => { "presses" => 1, "seconds" => 0.4, "right" => 0.97 } }, "offer_s" => 0 },
                             { "gestures" => { "tap" => { "presses" => 1, "seconds" => 0.7, "right" => 0.95 },
                                               "double_tap" => { "presses" => 2, "seconds" => 0.9, "right" => 0.8 } },
                               "offer_s" => 12.5 }] }.freeze

    def want(id, **more)
      { "id" => id, "host" => "desk", "times" => 6, "wrong_s" => 120, "ways" => 1, "missing_s" => 14_400,
        "missing_second_s" => 1440 }
        .merge(more.transform_keys(&:to_s))
    end

    def table(wants, **more)
      { "kippen" => "slots/1", "second_share" => 0.1, "change_s" => 30, "wants" => wants, "buttons" => [SQUEEZE],
        "today" => [{ "want" => "w1", "button" => "grip/squeeze", "gesture" => "tap" }], "fixed" => [], "closed" => [] }
        .merge(more.transform_keys(&:to_s))
    end

    # 6 × (0.4 + 0.03 × 120) = 24; with a second want on the double-tap the tap costs 6 × (0.7 + 0.05 × 120) = 40.2, the
    # double-tap 6 × (0.9 + 0.2 × 120) = 149.4, the offer 12.5, the change 30.
    def test_the_cost_of_an_offer_that_changes_the_tap_too
      alone = answer(table([want("w1")]))
      assert_equal ["optimal", 24.0, 0, [[0, 24.0]], []],
                   alone.values_at("status", "cost_s_a_day", "changes", "frontier", "missing")
      both = answer(table([want("w1"), want("w2")]))
      assert_equal [232.1, 1, [[0, 14_424.0], [1, 232.1]]], both.values_at("cost_s_a_day", "changes", "frontier")
      assert_equal({ "grip/squeeze" => 1 }, both["offers"])
      assert_equal ["w2"], answer(table([want("w1"), want("w2")]), most: 0)["missing"]
    end

    # A first way that costs more than doing without is worth it where a second can only be beside it: 700 + 70 for 600 + 1440.
    def test_a_first_way_for_the_sake_of_a_second
      slow = { "tap" => { "presses" => 1, "seconds" => 700, "right" => 1 } }
      buttons = %w[a b].map do |id|
        { "id" => "#{id}/#{id}", "device" => id, "host" => "desk", "effort_s" => 0,
          "offers" => [{ "gestures" => slow, "offer_s" => 0 }] }
      end
      twice = want("w1", times: 1, ways: 2, missing_s: 600, missing_second_s: 1440)
      found = answer(table([twice], buttons:, today: [], change_s: 0))
      assert_equal [770.0, [[0, 2040.0], [2, 770.0]]], [found["cost_s_a_day"], found["frontier"].values_at(0, -1)]
    end

    # More doubts than are looked at is told.
    def test_what_is_not_all_looked_at
      doubtful = { "presses" => 1, "seconds" => 1, "right" => 0.9, "low" => 0.5, "high" => 1, "measured" => false }
      [60, 61].each do |count|
        buttons = Array.new(count) do |at|
          { "id" => "d/#{at}", "device" => "d", "host" => "desk", "effort_s" => 0,
            "offers" => [{ "gestures" => { "tap" => doubtful }, "offer_s" => 0 }] }
        end
        made = Proposals::Table.read(table([want("w1")], buttons:, today: []))
        _, whole = Proposals::Why.new(made, Proposals::Answer.of(made, solver), solver).rests_on
        assert_equal count == 60, whole
      end
    end

    # Rules that can't all be kept are named.
    def test_rules_that_stand_against_each_other
      both = table([want("w1"), want("w2")], today: %w[w1 w2].map do |id|
        { "want" => id, "button" => "grip/squeeze", "gesture" => "tap" }
      end)
      both["fixed"] = both["today"]
      assert_equal({ "status" => "impossible", "rules" => both["fixed"] }, answer(both))
      shut = table([want("w1")], fixed: table([])["today"], closed: [{ "button" => "grip/squeeze", "gesture" => "tap" }])
      assert_equal({ "status" => "impossible", "rules" => shut["fixed"] }, answer(shut))
    end

    def test_the_same_comes_to_the_same_end
      document = RandomTable.new(7, wants: 12, buttons: 10, hosts: 2).document.merge("fixed" => [])
      assert_equal answer(document), answer(document)
    end

    # How far it has come, of how much.
    def test_it_tells_how_far_it_is
      told = []
      Proposals::Answer.of(Proposals::Table.read(table([want("w1"), want("w2")])), solver) { |done, of| told << [done, of] }
      assert_equal [[1, 3], [2, 3], [3, 3]], told
    end

    def test_what_can_not_be_read_is_told_by_where
      cases = {
        { "kippen" => "x" } => ["/kippen"],
        { "wants" => 3 } => ["/wants"],
        { "wants" => [want("w1"), want("w1")] } => ["/wants"],
        { "wants" => [want("w1", times: -1, ways: 3)] } => ["/wants/0/ways", "/wants/0/times"],
        { "today" => [{ "want" => "w9", "button" => "grip/squeeze", "gesture" => "tap" }] } => ["/today/0/want"],
        { "today" => [{ "want" => "w1", "button" => "x", "gesture" => "tap" }] } => ["/today/0/button"],
        { "today" => [{ "want" => "w1", "button" => "grip/squeeze", "gesture" => "hold" }] } => ["/today/0/gesture"],
        { "fixed" => [{ "want" => "w1", "button" => "grip/squeeze", "gesture" => "double_tap" }] } => ["/fixed/0"],
        { "buttons" => [SQUEEZE.merge("offers" => [])] } => ["/buttons/0/offers"],
        { "buttons" => [SQUEEZE.merge("offers" => [{ "gestures" => { "wave" => {} } }])] } => ["/buttons/0/offers/0/gestures"],
        { "buttons" => [SQUEEZE.merge("offers" => [{ "gestures" => { "tap" => { "presses" => 1, "seconds" => 1,
                                                                                "right" => 2 } } }])] } =>
          ["/buttons/0/offers/0/gestures/tap/right"]
      }
      cases.each do |wrong, where|
        found = faults { Proposals::Table.read(table([want("w1")]).merge(wrong)) }
        assert_equal where.sort, found.map(&:first).sort, wrong.to_s
      end
    end

    # A solver that is out of time says the best it has, or nothing; what is found is told as no more than that.
    def test_when_the_time_is_over
      nothing = Class.new { def solve(*, **) = Proposals::Solved.new(status: "stopped") }.new
      assert_equal({ "status" => "stopped", "gap" => nil, "frontier" => [] },
                   Proposals::Answer.of(Proposals::Table.read(table([want("w1")])), nothing))
      slow = Class.new(HighsSolver) { def solve(program, **) = super.with(status: "stopped", gap: 0.3) }.new
      told = Proposals::Answer.of(Proposals::Table.read(table([want("w1")])), slow)
      assert_equal ["stopped", 0.3, 24.0], told.values_at("status", "gap", "cost_s_a_day")
    end
  end
end
