# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Counting for as long as another button is held: what lanes, limits and stories say of it. Cases of the engine are
  # in cases/counting.json.
  class UnhurriedTest < CoreTest
    include KindsData

    LIST = "remote/list"
    HELD = { "kind" => "mode", "mode" => "calls", "how" => "held" }.freeze

    def counting(how = "while_held", gestures: %w[tap double_tap triple_tap], **members)
      hold = assignment("hold").merge("button" => LIST, "action" => HELD)
      counts = gestures.map { |gesture| assignment(gesture, mode: "calls") }
      fitting({ "modes" => [{ "id" => "calls", "name" => "Calls", "counting" => how }],
                "assignments" => [hold, *counts] }.merge(members.transform_keys(&:to_s)))
    end

    def lane(fitting) = Press::Lane.new(fitting, fitting.button(OK), mode: "calls")
    def waits(fitting) = lane(fitting).waits.transform_values { |wait| [wait.after, wait.us] }

    def test_every_count_waits_until_the_other_is_let_go
      at_the_end = ["hold_end", 0]
      assert_equal({ "tap" => at_the_end, "double_tap" => at_the_end, "triple_tap" => at_the_end }, waits(counting))
      assert_equal({ "tap" => ["press", 0] }, waits(counting(gestures: %w[tap])), "nothing is counted")
      assert_equal({ "tap" => at_the_end, "double_tap" => at_the_end, "long_press" => ["long_press", 0] },
                   waits(counting(gestures: %w[tap double_tap long_press])))
      assert_equal "when the other is let go", Words.wait(lane(counting).waits["tap"], lane(counting).timing)
    end

    # Locked or for the next press, it counts by the gap: then the lane says so.
    def test_a_mode_that_no_hold_keeps_waits_for_the_gap
      fitting = counting
      other = lambda { |action|
        amended(fitting, "assignments" => fitting.list("assignments")
          .map { |row| row["button"] == LIST ? row.merge(action) : row })
      }
      [{ "gesture" => "tap", "action" => HELD.merge("how" => "lock") }, { "off" => true }].each do |change|
        assert_equal ["release", 300_000], waits(other[change])["tap"], change.inspect
        assert_includes lane(other[change]).boundaries.map(&:setting), "tap_gap_ms"
      end
    end

    def test_a_tap_at_once_does_not_wait
      fitting = counting
      rows = fitting.list("assignments").map { |row| row["gesture"] == "tap" ? row.merge("at_once" => true) : row }
      assert_equal ["press", 0], waits(amended(fitting, "assignments" => rows))["tap"]
    end

    def test_there_is_no_tap_gap_to_see_or_to_move
      apart = ->(how) { lane(counting(how)).regions.select { |one| one.stretch == "apart" }.map { |one| [one.kind, one.to_us] } }
      assert_equal [["joins", nil]], apart["while_held"]
      assert_equal [["joins", 300_000], ["new", nil]], apart["by_gap"]
      moved = ->(how) { lane(counting(how)).boundaries.map(&:setting) }
      assert_equal %w[long_press_ms], moved["while_held"]
      assert_includes moved["by_gap"], "tap_gap_ms"
    end

    # What could still be put on, on a button that has something there and on one that has nothing.
    def test_what_a_further_gesture_would_cost
      costs = lambda do |lane, gesture|
        lane.empties.find { |one| one.gesture == gesture }.costs.map { |name, before, after| Words.cost(name, before, after) }
      end
      assert_equal ["tap acts when the other is let go"], costs[lane(counting(gestures: %w[tap])), "double_tap"]
      fitting = counting
      untouched = Press::Lane.new(fitting, fitting.button("remote/grip"), mode: "calls")
      assert_equal ["tap acts when the other is let go"], costs[untouched, "double_tap"]
      by_gap = lane(counting("by_gap"))
      assert_equal(["tap no longer waits until the other is let go"],
                   lane(counting).differences(by_gap)
                     .filter_map { |name, before, after| Words.cost(name, before, after) if name == "tap" })
    end

    # A guard as long as the gap leaves no double-tap; at any pace it does.
    def test_a_guard_makes_nothing_impossible
      slow = { "timing" => { "bounce_guard_ms" => 400, "bounce_guard_from" => "release" } }
      limits = ->(how) { lane(counting(how, **slow.transform_keys(&:to_sym))).limits.map { |one| [one.gesture, one.how] } }
      assert_equal [%w[double_tap impossible], %w[triple_tap impossible]], limits["by_gap"]
      assert_empty limits["while_held"]
    end

    def test_what_limits_a_count_without_a_gap_names_none
      slow = counting("while_held", timing: { "brush_guard_ms" => 400 })
      assert_equal(["A double-tap can hardly happen: brush guard 400 ms", "A triple-tap can hardly happen: brush guard 400 ms"],
                   lane(slow).limits.map { |one| Words.limit(one, lane(slow).timing).split(".").first })
    end

    ROWS = [[0, "down", LIST], [500, "down", OK], [600, "up", OK], [3000, "down", OK], [3100, "up", OK]].freeze

    def messages(rows)
      rows.each_with_index.map do |(ms, kind, source), number|
        Press::Bench::Message.new(number: number + 1, time_us: ms * 1000, source:, kind:, value: "")
      end
    end

    def told(fitting, bench)
      telling = Press::Telling.new(fitting, CATALOGUE)
      bench.open.select { |story| story.button.ref == OK }.map { |story| telling.sentences(story, rules: false).join(" ") }
    end

    def test_the_story_says_what_it_waited_for
      fitting = counting
      bench = Press::Bench.from(fitting)
      messages(ROWS).each { |message| bench.feed(message) }
      assert_equal ["Closed for 100 ms. Pressed again 2400 ms after letting go, for 100 ms. Counting for as long as the other " \
                    "button is held."],
                   told(fitting, bench)
      bench.feed(Press::Bench::Message.new(number: 9, time_us: 4_000_000, source: LIST, kind: "up", value: ""))
      assert_equal ["Closed for 100 ms. Pressed again 2400 ms after letting go, for 100 ms. The other button was let go, and " \
                    "the count was over: a " \
                    "double-tap. It waited 1000 ms (the other button was held)."], told(fitting, bench)
    end

    # Held too, but counted by the gap: a further press is waited for.
    def test_the_story_of_a_mode_that_counts_by_the_gap_waits_for_a_press
      fitting = counting("by_gap")
      bench = Press::Bench.from(fitting)
      messages(ROWS.first(3)).each { |message| bench.feed(message) }
      assert_equal ["Closed for 100 ms. Waiting for a further press."], told(fitting, bench)
    end

    # A server that starts anew in the middle of a count goes on counting.
    def test_a_count_goes_on_after_it_was_saved
      fitting = counting
      (1..ROWS.size).each do |kept|
        bench = Press::Bench.from(fitting)
        messages(ROWS).first(kept).each { |message| bench.feed(message) }
        bench = Press::Bench.resume(fitting, JSON.parse(JSON.generate(bench.save)))
        messages(ROWS).drop(kept).each { |message| bench.feed(message) }
        bench.feed(Press::Bench::Message.new(number: 9, time_us: 4_000_000, source: LIST, kind: "up", value: ""))
        assert_equal %w[hold double_tap], bench.take_decided.map(&:gesture).uniq.last(2).sort.reverse, "kept after #{kept}"
      end
    end

    def test_how_presses_are_counted_is_one_of_two
      where, words = faults { counting("slowly") }.first
      assert_equal "/modes/0/counting", where
      assert_includes words, "must be one of by_gap, while_held"
      assert_equal "by_gap", fitting("modes" => [{ "id" => "calls" }]).modes.first.counting
    end

    def test_a_change_of_it_is_told_in_history
      words = ->(one, other) { Changes::Differences.new(counting(one), counting(other), KNOWLEDGE).words }
      assert_equal ["Calls: presses are counted at any pace, for as long as it is held."], words["by_gap", "while_held"]
      assert_equal ["Calls: presses are counted within the tap gap."], words["while_held", "by_gap"]
    end
  end
end
