# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class LaneTest < CoreTest
    def lane(assignments = [], timing: {}, places: [], place: "everywhere")
      read = fitting("assignments" => assignments, "timing" => timing, "places" => places)
      Press::Lane.new(read, read.button(OK), place:)
    end

    def regions(lane, stretch)
      lane.regions.select { |region| region.stretch == stretch }.map { |region| [region.kind, region.from_us, region.to_us] }
    end

    def waits(lane) = lane.waits.transform_values { |wait| [wait.after, wait.us] }

    def test_regions_of_a_plain_button
      assert_equal [["counts", 0, 500_000], ["long", 500_000, nil]], regions(lane, "held")
      assert_equal [["joins", 0, 300_000], ["new", 300_000, nil]], regions(lane, "apart")
    end

    def test_regions_with_every_filter
      all = lane(timing: { "brush_guard_ms" => 40, "gap_bridge_ms" => 20, "bounce_guard_ms" => 80,
                           "bounce_guard_from" => "release" })
      assert_equal [["ignored", 0, 40_000], ["counts", 40_000, 500_000], ["long", 500_000, nil]], regions(all, "held")
      assert_equal [["bridged", 0, 20_000], ["ignored", 20_000, 80_000], ["joins", 80_000, 300_000], ["new", 300_000, nil]],
                   regions(all, "apart")
    end

    def test_what_can_not_happen_has_no_region
      swallowed = lane(timing: { "brush_guard_ms" => 600, "bounce_guard_ms" => 300, "bounce_guard_from" => "release" })
      assert_equal [["ignored", 0, 600_000], ["long", 600_000, nil]], regions(swallowed, "held")
      assert_equal [["ignored", 0, 300_000], ["new", 300_000, nil]], regions(swallowed, "apart")
    end

    # Assignments → each gesture's wait, as the rules give it.
    WAITS = {
      [] => { "builtin" => ["press", 0] },
      %w[tap] => { "tap" => ["press", 0] },
      %w[tap long_press] => { "tap" => ["release", 0], "long_press" => ["long_press", 0] },
      %w[tap double_tap] => { "tap" => ["release", 300_000], "double_tap" => ["press", 0] },
      %w[tap double_tap triple_tap] => { "tap" => ["release", 300_000], "double_tap" => ["release", 300_000],
                                         "triple_tap" => ["press", 0] },
      %w[hold] => { "hold" => ["press", 0] }
    }.freeze

    def test_waits
      WAITS.each do |gestures, expected|
        assert_equal expected, waits(lane(gestures.map { |gesture| assignment(gesture) })), gestures.inspect
      end
    end

    def test_waits_tell_their_parts
      parts = lane([assignment("tap"), assignment("double_tap")],
                   timing: { "gap_bridge_ms" => 30, "brush_guard_ms" => 40 }).waits.transform_values(&:parts)
      assert_equal({ "tap" => { "gap_bridge" => 30_000, "tap_gap" => 270_000 }, "double_tap" => { "brush_guard" => 40_000 } },
                   parts)
    end

    def test_filters_make_gestures_wait
      filtered = lane([assignment("tap"), assignment("long_press")],
                      timing: { "gap_bridge_ms" => 30, "brush_guard_ms" => 620 })
      assert_equal({ "tap" => ["release", 30_000], "long_press" => ["long_press", 120_000] }, waits(filtered))
    end

    # The same waits, measured on replayed presses of 100 ms.
    def test_waits_are_what_a_replay_shows
      [%w[tap], %w[tap long_press], %w[tap double_tap], %w[tap double_tap long_press]].each do |gestures|
        timing = { "gap_bridge_ms" => 12, "brush_guard_ms" => 7 }
        told = lane(gestures.map { |gesture| assignment(gesture) }, timing:)
        row = replay(fitting("assignments" => gestures.map do |gesture|
          assignment(gesture)
        end, "timing" => timing), [0, "down"], [100, "up"], [2000, "end"]).first
        wait = told.waits.fetch("tap")
        assert_equal wait.us, row["at_us"] - (wait.after == "release" ? 100_000 : 0), gestures.inspect
      end
    end

    def test_chips_say_where_they_come_from
      letters = lane([assignment("tap"), assignment("double_tap", place: "letters"),
                      assignment("long_press", place: "letters", off: true)],
                     places: [{ "id" => "letters", "app" => "rookery" }], place: "letters")
      assert_equal([["tap", "inherited", "everywhere", false], ["double_tap", "here", "letters", false],
                    ["long_press", "here", "letters", true]],
                   letters.chips.map { |chip| [chip.gesture, chip.origin, chip.place, chip.off] })
    end

    def test_empties_tell_what_they_cost_the_others
      costs = lane.empties.to_h do |empty|
        [empty.gesture, empty.costs.map do |gesture, before, after|
          [gesture, *[before, after].map do |wait|
            [wait.after, wait.us]
          end]
        end]
      end
      assert_equal({ "long_press" => [["tap", ["press", 0], ["release", 0]]],
                     "double_tap" => [["tap", ["press", 0], ["release", 300_000]]] }, costs)
    end

    def test_differences_count_what_was_untouched_as_the_tap
      differences = lane.differences(lane([assignment("tap"), assignment("double_tap")]))
      assert_equal([["tap", 0, 300_000], ["double_tap", nil, 0]],
                   differences.map { |gesture, before, after| [gesture, before&.us, after&.us] })
    end

    # What a device's buttons share, and what is a button's own: its own count of a guard makes the guard its own.
    def test_boundaries_are_shared_or_a_buttons_own
      fitting = fitting("timing" => { "bounce_guard_ms" => 80 },
                        "button_timing" => { OK => { "long_press_ms" => 900, "bounce_guard_from" => "release" } })
      of = lambda { |ref|
        Press::Lane.new(fitting, fitting.button(ref)).boundaries
          .map { |one| [one.setting, one.stretch, one.value_us / 1000, one.own] }
      }
      assert_equal [["long_press_ms", "held", 900, true], ["tap_gap_ms", "apart", 300, false],
                    ["bounce_guard_ms", "apart", 80, true]], of[OK]
      assert_equal [["long_press_ms", "held", 500, false], ["tap_gap_ms", "apart", 300, false],
                    ["bounce_guard_ms", "held", 80, false]], of["remote/list"]
      shared = Press::Boundaries.of(fitting.shared_timing(fitting.device("remote")))
      assert_equal(of["remote/list"], shared.map { |one| [one.setting, one.stretch, one.value_us / 1000, one.own] })
    end

    def test_a_notch_has_neither_boundaries_nor_empties
      read = fitting
      notch = Press::Lane.new(read, read.button("remote/wheel-up"))
      assert_equal [[], []], [notch.boundaries, notch.empties]
    end
  end
end
