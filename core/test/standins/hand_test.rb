# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # Simulated hands: one seed gives one and the same hand, and it presses as it is described.
  class HandTest < CoreTest
    PLAIN = { "id" => "plain", "press_ms" => { "median" => 150, "spread" => 0.2 },
              "long_ms" => { "median" => 900, "spread" => 0.1 },
              "apart_ms" => { "median" => 160, "spread" => 0.1 } }.freeze

    def play(script, seed: 7, kind: "contact", **more)
      Standins::Hand.new(PLAIN.merge(more.transform_keys(&:to_s)), seed).play(kind, Array(script)).map(&:to_a)
    end

    def lengths(events) = events.each_cons(2).filter_map { |one, two| two[0] - one[0] if one[1] == "down" && two[1] == "up" }

    # The engine's verdict on what a hand did on one button.
    def gestures(events, timing = {})
      with = fitting("timing" => timing,
                     "assignments" => %w[tap double_tap triple_tap long_press].map { |gesture| assignment(gesture) })
      rows = events.map { |time, kind, value| kind == "told" ? [time / 1000.0, "", "end", ""] : [time / 1000.0, OK, kind, value] }
      replay(with, *rows).filter_map { |row| row["gesture"] if row["phase"] == "fire" }
    end

    def test_the_same_seed_gives_the_same_presses_to_the_microsecond
      script = %w[tap double_tap long_press] * 5
      assert_equal play(script, seed: 3), play(script, seed: 3)
      refute_equal play(script, seed: 3), play(script, seed: 4)
    end

    def test_a_steady_hand_does_what_it_is_asked
      assert_equal %w[tap double_tap triple_tap long_press], gestures(play(%w[tap double_tap triple_tap long_press]))
      assert_empty gestures(play("rest"))
    end

    def test_half_of_the_presses_are_shorter_than_the_median
      taps = lengths(play(["tap"] * 2000))
      assert_equal 2000, taps.size
      assert_in_delta 1000, taps.count { |length| length < 150_000 }, 100
      # Two thirds within a factor of e^0.2 (a normal distribution's one standard deviation: 68.27 %, published tables).
      assert_in_delta 0.6827, taps.count { |length| length.between?(150_000 / Math.exp(0.2), 150_000 * Math.exp(0.2)) } / 2000.0,
                      0.04
    end

    def test_a_trembling_hand_strikes_again
      again = { "chance" => 0.5, "after_ms" => { "median" => 70, "spread" => 0.1 },
                "length_ms" => { "median" => 40, "spread" => 0.1 } }
      presses = lengths(play(["tap"] * 400, restrike: again)).size
      assert_in_delta 600, presses, 50
      assert_includes gestures(play(["tap"] * 20, restrike: again)), "double_tap", "unfitted it counts twice"
      assert_equal ["tap"] * 20,
                   gestures(play(["tap"] * 20, restrike: again), "bounce_guard_ms" => 200, "bounce_guard_from" => "release",
                                                                 "tap_gap_ms" => 300)
    end

    def test_a_worn_switch_bounces_and_a_weak_grip_drops_out
      bounce = { "chance" => 1, "gap_ms" => { "median" => 2, "spread" => 0.1 } }
      assert_equal(%w[down up down up told], play("tap", bounce:).map { |event| event[1] })
      drop = { "per_second" => 6, "gap_ms" => { "median" => 20, "spread" => 0.1 } }
      dropped = play(["long_press"] * 3, drop_out: drop)
      refute_equal %w[long_press] * 3, gestures(dropped)
      assert_equal %w[long_press] * 3, gestures(dropped, "gap_bridge_ms" => 60)
    end

    def test_a_hand_tires
      taps = lengths(play(["tap"] * 60, slowing: 0.02))
      assert_operator taps.last(10).sum, :>, taps.first(10).sum * 2
    end

    def test_a_squeeze_rises_and_falls_and_a_wheel_steps
      levels = play("tap", kind: "force", force: { "press" => 0.8, "wobble" => 0.0 }).filter_map do |_, kind, value|
        Float(value) if kind == "level"
      end
      assert_equal [0.0, 0.8, 0.0], [levels.first, levels.max, levels.last]
      assert_equal(%w[notch notch told], play("double_tap", kind: "notch").map { |event| event[1] })
    end

    def test_a_hand_that_rests_on_a_squeeze_or_carries_it_weighs_something
      height = lambda { |asked, **force|
        play(asked, kind: "force",
                    force: { "press" => 0.8, "wobble" => 0.0, **force.transform_keys(&:to_s) }).filter_map do |_, kind, value|
          Float(value) if kind == "level"
        end.max
      }
      assert_equal [0.1, 0.3, nil], [height["rest", rest: 0.1], height["carry", carry: 0.3], height["carry", rest: 0.1]]
    end

    def test_times_never_run_backwards
      wide = ->(median) { { "median" => median, "spread" => 1 } }
      everything = { bounce: { "chance" => 0.8, "gap_ms" => wide.call(8) },
                     drop_out: { "per_second" => 20, "gap_ms" => wide.call(30) },
                     restrike: { "chance" => 1, "after_ms" => wide.call(40), "length_ms" => wide.call(40) } }
      20.times do |seed|
        times = play(%w[tap double_tap long_press rest] * 10, seed:, **everything).map(&:first)
        assert_equal times.sort, times
      end
    end

    def test_a_hand_that_can_not_be_is_refused_with_every_fault
      hand = { "id" => "Left Hand", "press_ms" => 3, "long_ms" => { "median" => 0 },
               "apart_ms" => { "median" => 100, "spread" => 9 },
               "bounce" => { "chance" => 2 }, "slowing" => 1 }
      assert_equal([["/hands/0/id", 'is "Left Hand", must be 1 to 64 of a-z 0-9 - _ .'],
                    ["/hands/0/press_ms", "must be an object with median and spread"],
                    ["/hands/0/long_ms/median", "is 0, must be a number from 1 to 20000"],
                    ["/hands/0/apart_ms/spread", "is 9, must be a number from 0 to 2"],
                    ["/hands/0/slowing", "is 1, must be a number from 0 to 0.2"],
                    ["/hands/0/bounce/gap_ms", "must be an object with median and spread"],
                    ["/hands/0/bounce/chance", "is 2, must be a number from 0 to 1"]],
                   faults { fitting("hands" => [hand]) })
    end
  end
end
