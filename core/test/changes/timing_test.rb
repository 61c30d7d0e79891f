# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Only what can really be set is set: refused with the nearest, or moved there and said so.
  class ChangesTimingTest < CoreTest
    include KindsData

    OK_KEY = "television-remote/ok"

    def remote = add(bare, "remote", host: "tv")
    def timing(setting, value, **more) = result(remote, "timing", button: OK_KEY, setting:, value:, **more)

    def test_a_typed_value_that_can_not_be_set_is_refused_with_the_nearest
      { ["tap_gap_ms", 333] => "Tap gap can't be 333 ms on Television remote; the nearest that can be set is 300 ms",
        ["brush_guard_ms", 20] => "Brush guard can't be 20 ms on Television remote; the nearest that can be set is 0 ms",
        %w[bounce_guard_from
           release] => "Bounce guard counted from can't be release on Television remote; the nearest that can be set is press",
        ["tap_gap_ms", 40] => "is 40, must be 50 to 3000 ms" }.each do |(setting, value), words|
        assert_equal([["/change/value", words]], faults { timing(setting, value) })
      end
    end

    def test_a_dragged_one_goes_there_and_says_so
      moved = timing("tap_gap_ms", 333, nearest: true)
      assert_equal({ "tap_gap_ms" => 300 }, moved.fitting.document["button_timing"][OK_KEY])
      assert_equal ["Tap gap 333 ms can't be set on Television remote: it is 300 ms, the nearest that can."], moved.notes
      assert_empty timing("tap_gap_ms", 400, nearest: true).notes
    end

    def test_one_of_its_own_is_taken_away_again
      set = timing("tap_gap_ms", 400).fitting
      assert_equal remote.document.merge("button_timing" => {}),
                   made(set, "timing", button: OK_KEY, setting: "tap_gap_ms", value: nil).document
    end

    def test_a_device_has_timing_between_all_and_a_button
      fitting = amended(remote, "timing" => { "long_press_ms" => 600, "tap_gap_ms" => 600 })
      fitting = made(fitting, "device_timing", device: "television-remote", setting: "long_press_ms", value: 700)
      fitting = made(fitting, "timing", button: OK_KEY, setting: "long_press_ms", value: 1000)
      long = ->(ref) { fitting.timing(fitting.button(ref)).long_press_us / 1000 }
      assert_equal [1000, 700], [long.call(OK_KEY), long.call("television-remote/up")]
      assert_equal 600_000, fitting.timing(fitting.button(OK_KEY)).tap_gap_us
      assert_equal ["Television remote, long-press: as for all → 700 ms."],
                   result(remote, "device_timing", device: "television-remote", setting: "long_press_ms", value: 700).words
      assert_match(/nearest that can be set is 700 ms/, faults do
        made(fitting, "device_timing", device: "television-remote", setting: "long_press_ms", value: 800)
      end.join)
      levels = faults { Fitting.read(document("devices" => [REMOTE.first.merge("timing" => { "press_at" => 0 })])) }
      assert_equal [["/devices/0/timing", "press_at and release_at must obey 0 < release_at < press_at <= 1"]], levels
    end

    def test_steps_are_counted_in_decimals
      { [{ "from" => 0.02, "to" => 0.98, "step" => 0.01 }, 0.07] => 0.07,
        [{ "from" => 0.02, "to" => 0.98, "step" => 0.01 }, 0.075] => 0.08,
        [{ "from" => 50, "to" => 3000, "step" => 10 }, 333] => 330, [{ "from" => 50, "to" => 3000, "step" => 10 }, 5] => 50,
        [{ "values" => [200, 300, 400] }, 350] => 300,
        [{ "values" => [200, 300] }, 9000] => 300, [{ "fixed" => 0 }, 20] => 0 }.each do |(allowed, value), nearest|
        assert_equal nearest, Kinds::Settable.nearest(allowed, value)
      end
      assert_equal 77, Kinds::Settable.nearest(nil, 77)
    end

    # What stands there already and breaks a newer rule bars no other change.
    def test_what_is_there_already_stays
      old = amended(remote, "button_timing" => { OK_KEY => { "tap_gap_ms" => 333 } },
                            "assignments" => [{ "button" => "television-remote/left", "gesture" => "hold",
                                                "action" => { "kind" => "help" } }])
      after = made(made(old, "client", name: "Somebody"), "assign", button: "television-remote/right", gesture: "tap",
                                                                    action: { "kind" => "help" })
      assert_equal [{ OK_KEY => { "tap_gap_ms" => 333 } }, "hold"],
                   [after.document["button_timing"], after.assignments.first.gesture]
    end
  end
end
