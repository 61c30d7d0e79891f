# frozen_string_literal: true

require_relative "../check/checking"
require_relative "../../highs_solver"

module Kippen
  # From a fitting to a table of slots, to what is proposed, to changes that are made.
  class FromFittingTest < CoreTest
    include Checking

    READY = Class.new(Reach::Ways) { def not_ready = [] }
    DEMO = Dir[File.expand_path("../../../demo/*.fitting.json", __dir__)].to_h do |file|
      [File.basename(file, ".fitting.json"), Fitting.read(JSON.parse(File.read(file)))]
    end

    def wanting(fitting, what, action, **more)
      made(fitting, "want", want: { "what" => what, "action" => action }.merge(more.transform_keys(&:to_s)))
    end

    def made_from(fitting, **how)
      heard = how.slice(:trials, :figures)
      Proposals::FromFitting.new(READY.new(fitting, KNOWLEDGE, **heard), **how.except(*heard.keys))
    end

    def answer(document) = Proposals::Answer.of(Proposals::Table.read(document), solver)
    def solver = @solver ||= HighsSolver.new

    def both
      @both ||= begin
        on = wanting(assign(with_devices("mouse-five"), RIGHT, "tap", NEXT), "On", NEXT, times_a_day: 10, importance: "must")
        wanting(on, "Louder", LOUDER, times_a_day: 5)
      end
    end

    def test_what_serves_today_and_what_is_missing
      document = made_from(both).document
      assert_equal([["on", 10, 14_400], ["louder", 5, 3600]], document["wants"].map do |want|
        want.values_at("id", "times", "missing_s")
      end)
      assert_equal [{ "want" => "on", "button" => RIGHT, "gesture" => "tap" }], document["today"]
      found = answer(document)
      assert_equal [0, 1], found["frontier"].map(&:first)
      assert_empty found["missing"]
    end

    # Two wants for one action on one host are one: times and what is missing add up, a wrong press counts by times.
    def test_wants_with_the_same_action_are_one_row
      two = wanting(both, "On again", NEXT, times_a_day: 30, wrong: "serious")
      row = made_from(two).document["wants"][0]
      assert_equal [40, 18_000, ((10 * 10) + (30 * 120)) / 40.0, %w[on on-again]],
                   row.values_at("times", "missing_s", "wrong_s", "wants")
    end

    # Where a wrong press is dangerous, unless the want says otherwise.
    def test_where_a_second_way_is_wanted
      rows = [{}, { wrong: "dangerous" }, { second_way: true }, { wrong: "dangerous", second_way: false }].map do |more|
        made_from(wanting(both, "It", HELP, **more)).document["wants"].last["ways"]
      end
      assert_equal [1, 2, 2, 1], rows
    end

    # What was impossible before is no reason to offer nothing.
    def test_what_stays_may_be_impossible
      middle = "#{MOUSE}/middle"
      long = %w[double_tap long_press].reduce(both) { |fitting, gesture| assign(fitting, middle, gesture, HELP) }
      slow = { "brush_guard_ms" => 400, "long_press_ms" => 300 }.reduce(long) do |fitting, (setting, value)|
        made(fitting, "timing", button: middle, setting:, value:)
      end
      choice = Press::Lane.new(slow, slow.button(middle)).choice
      limits = Press::LimitsOfTiming.of(choice, slow.timing(slow.button(middle)))
      assert_includes limits.select { |limit| limit.how == "impossible" }.map(&:gesture), "double_tap"
      offers = made_from(slow).document["buttons"].find { |one| one["id"] == middle }["offers"]
      gestures = offers.map { |one| one["gestures"].keys }
      assert_includes gestures, []
      refute_includes gestures.flatten, "triple_tap"
    end

    # Offered beside a double-tap the tap waits, and fewer of what was pressed come out.
    def test_an_offer_has_its_own_waits_and_rates
      slots = made_from(both).document["buttons"].find { |one| one["id"] == RIGHT }["offers"]
      taps = slots.to_h { |offer| [offer["gestures"].keys.sort, offer.dig("gestures", "tap", "seconds")] }
      assert_equal [0.18, 0.48], [taps[%w[tap]], taps[%w[double_tap tap]]]
    end

    # What nobody wants and is on a button stays on it; what is needed to get around keeps its tap.
    def test_what_stays
      full = assign(both, "#{MOUSE}/middle", "long_press", HELP)
      middle = made_from(full).document["buttons"].find { |one| one["id"] == "#{MOUSE}/middle" }
      assert_equal %w[double_tap tap triple_tap], middle["offers"].flat_map { |offer| offer["gestures"].keys }.uniq.sort
      left = made_from(both).document["buttons"].find { |one| one["id"] == LEFT }
      refute_includes left["offers"].flat_map { |offer| offer["gestures"].keys }, "tap"
      # A hold takes what a long-press would.
      held = made_from(assign(both, "#{MOUSE}/middle", "hold", CLICK)).document["buttons"].find do |one|
        one["id"] == "#{MOUSE}/middle"
      end
      refute_includes held["offers"].flat_map { |offer| offer["gestures"].keys }, "long_press"
    end

    def test_pinned_and_ruled_out
      ruled = { "gestures" => %w[long_press double_tap triple_tap], "buttons" => ["#{MOUSE}/middle"] }
      shut = made_from(both, pinned: ["on"], shut: ruled).document
      assert_equal shut["today"], shut["fixed"]
      offers = shut["buttons"].to_h { |one| [one["id"], one["offers"].map { |offer| offer["gestures"] }] }
      assert_equal [{}], offers["#{MOUSE}/middle"]
      spots = answer(shut)["chosen"].map { |one| one.values_at("button", "gesture") }
      assert_includes spots, [RIGHT, "tap"]
      assert_equal %w[tap], spots.map(&:last).uniq
      # What stays as it is goes on doing what it does, and gets nothing else.
      as_it_is = made_from(both, shut: { "buttons" => [RIGHT] }).document
      assert_includes as_it_is["wants"].find { |one| one["id"] == "louder" }["cant"], { "button" => RIGHT, "gesture" => "tap" }
      stays = answer(as_it_is)["chosen"].select { |one| one["button"] == RIGHT }
      assert_equal([%w[on tap]], stays.map { |one| one.values_at("want", "gesture") })
    end

    # What is pinned to a gesture that is ruled out can't be kept, and is named.
    def test_rules_that_stand_against_each_other
      document = made_from(both, pinned: ["on"], shut: { "gestures" => %w[tap] }).document
      assert_equal({ "status" => "impossible", "rules" => [{ "want" => "on", "button" => RIGHT, "gesture" => "tap" }] },
                   answer(document))
    end

    # What is done by a shortlist already is worth no more than that costs.
    def test_a_way_that_is_no_slot_counts
      listed = shortlist(both, [LOUDER])
      opened = assign(listed, RIGHT, "long_press", { "kind" => "shortlist", "shortlist" => listed.shortlists[0].id })
      row = made_from(opened).document["wants"].find { |want| want["id"] == "louder" }
      assert_operator row["missing_s"], :<, 200
    end

    # For every client of the demo: what is proposed is made by the one door, every want on a slot is done then, and the day costs
    # what was said, but for what a change costs.
    def test_what_is_proposed_can_be_made_and_comes_to_what_was_said
      DEMO.each do |name, fitting|
        from = made_from(fitting)
        table = Proposals::Table.read(from.document)
        answer = Proposals::Answer.of(table, solver)
        changes = Proposals::ChangesOf.new(table, from.rows).of(answer["chosen"], answer["offers"])
        sent = [*changes["off"], *changes["put"].map { |one| one["change"] }]
        after = made(fitting, "several", changes: sent)
        ways = READY.new(after, KNOWLEDGE)
        answer["chosen"].each do |one|
          from.rows.find { |row| row.id == one["want"] }.wants.each do |want|
            steps = ways.of(after.wants.find { |other| other.id == want.id }).map { |way| way.plain["steps"] }
            assert_includes steps.select(&:one?).map { |(step)|
              step.values_at("button", "gesture")
            }, one.values_at("button", "gesture"), name
          end
        end
        again = Proposals::Answer.of(Proposals::Table.read(made_from(after).document), solver)
        kept = again["frontier"][0][1]
        said = answer["cost_s_a_day"] - (answer["changes"] * 30)
        assert_in_delta said - lost(table, answer), kept - lost_again(again, after), 1e-3, name
      end
    end

    # What a button no longer does by itself counts once, when it is taken.
    def lost(table, answer) = answer["offers"].sum { |id, place| table.button(id).offers[place].cost_s }

    def lost_again(_answer, fitting)
      table = Proposals::Table.read(made_from(fitting).document)
      first = Proposals::Frontier.new(table, solver).step(0)
      Proposals::Answer.chosen(first)["offers"].sum { |id, place| table.button(id).offers[place].cost_s }
    end

    # Solved with another slot in its place, not guessed.
    def test_why_here_and_what_it_rests_on
      table = Proposals::Table.read(made_from(both).document)
      answer = Proposals::Answer.of(table, solver)
      here = Proposals::Why.new(table, answer, solver).here
      assert_equal(answer["chosen"].map { |one| one["want"] }, here.map { |one| one["want"] })
      here.each do |one|
        shut = table.document.merge("wants" => table.document["wants"].map do |want|
          want["id"] == one["want"] ? want.merge("cant" => [*want["cant"], one.slice("button", "gesture")]) : want
        end)
        assert_in_delta Proposals::Answer.of(Proposals::Table.read(shut), solver)["cost_s_a_day"], one["cost_s_a_day"], 1e-6
        assert_operator one["more_s"], :>=, 0
      end
      found, whole = Proposals::Why.new(table, answer, solver).rests_on
      assert whole
      spots = answer["chosen"].map { |one| one.values_at("button", "gesture") }
      assert(found.any?)
      found.each { |one| assert_equal spots.include?(one.values_at("button", "gesture")) ? "low" : "high", one["at"] }
    end

    # What is pinned is asked for another place as well.
    def test_why_here_of_what_is_pinned
      table = Proposals::Table.read(made_from(both, pinned: ["on"]).document)
      here = Proposals::Why.new(table, Proposals::Answer.of(table, solver), solver).here.find { |one| one["want"] == "on" }
      assert_equal [RIGHT, "tap"], here.values_at("button", "gesture")
      refute_nil here["instead"]
      refute_equal [RIGHT, "tap"], here["instead"].values_at("button", "gesture")
    end

    # What was measured well is no doubt.
    def test_what_is_measured_is_not_doubted
      trials = Array.new(40) { { "intended" => "tap", "trace" => [[0, "down"], [120_000, "up"]] } }
      heard = [Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "id" => RIGHT }, "offered" => %w[tap],
                                                      "trials" => trials))]
      table = Proposals::Table.read(made_from(both, trials: heard).document)
      found, = Proposals::Why.new(table, Proposals::Answer.of(table, solver), solver).rests_on
      refute_includes found.map { |one| one.values_at("button", "gesture") }, [RIGHT, "tap"]
    end
  end
end
