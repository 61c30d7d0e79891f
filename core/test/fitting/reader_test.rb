# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class FittingReaderTest < CoreTest
    LONGS = %w[hold long_press].freeze

    # What is wrong, and the fault that says so.
    REFUSED = {
      [{ "assignments" => [{ "button" => "remote/off", "gesture" => "tap", "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/button", 'unknown button "remote/off"']],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "wave", "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/gesture", 'unknown gesture "wave"']],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "tap", "mode" => "m", "place" => "p",
                             "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/mode", 'unknown mode "m"'], ["/assignments/0/place", 'unknown place "p"']],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "tap" }] }] =>
        [["/assignments/0/action", "must be an object with a kind"]],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "tap", "action" => { "kind" => 7 } }] }] =>
        [["/assignments/0/action/kind", "is 7, must be text"]],
      [{ "assignments" => Array.new(2) { { "button" => "remote/ok", "gesture" => "tap", "action" => { "kind" => "open" } } } }] =>
        [["/assignments/1", "tap assigned 2 times at one spot (remote/ok, everywhere, base)"]],
      [{ "assignments" => LONGS.map { |g| { "button" => "remote/ok", "gesture" => g, "action" => { "kind" => "open" } } } }] =>
        [["/assignments/1", "hold and long_press assigned 2 times at one spot (remote/ok, everywhere, base)"]],
      [{ "assignments" => [{ "button" => "remote/wheel-up", "gesture" => "hold", "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/gesture", "a notch can only make a tap, not hold"]],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "hold", "at_once" => true,
                             "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/at_once", "only a tap can act at once"]],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "tap", "repeat" => { "after_ms" => 10, "every_ms" => "x" },
                             "action" => { "kind" => "open" } }] }] =>
        [["/assignments/0/repeat", "only a hold or long_press can repeat"],
         ["/assignments/0/repeat/after_ms", "is 10, must be 50 to 5000 ms"],
         ["/assignments/0/repeat/every_ms", 'is "x", must be a number']],
      [{ "modes" => [{ "id" => "m" }],
         "assignments" => [{ "button" => "remote/ok", "gesture" => "tap",
                             "action" => { "kind" => "mode", "mode" => "m", "how" => "held" } }] }] =>
        [["/assignments/0/action/how", "only a hold can keep a mode held"]],
      [{ "assignments" => [{ "button" => "remote/ok", "gesture" => "tap",
                             "action" => { "kind" => "mode", "mode" => "base", "how" => "lock" } }] }] =>
        [["/assignments/0/action/mode", 'unknown mode "base"']],
      [{ "timing" => { "gap_bridge_ms" => 501, "tap_gap_ms" => 300.0005, "bounce_guard_from" => "above",
                       "brush_guard_ms" => "5" } }] =>
        [["/timing/gap_bridge_ms", "is 501, must be 0 to 500 ms"],
         ["/timing/tap_gap_ms", "has more than three decimals"],
         ["/timing/bounce_guard_from", 'is "above", must be one of press, release'],
         ["/timing/brush_guard_ms", 'is "5", must be a number']],
      [{ "timing" => { "press_at" => 0.4 } }] =>
        [["/timing", "press_at and release_at must obey 0 < release_at < press_at <= 1"]],
      [{ "button_timing" => { "remote/none" => { "long_press_ms" => 99 } } }] =>
        [["/button_timing/remote~1none", "unknown button"],
         ["/button_timing/remote~1none/long_press_ms", "is 99, must be 100 to 5000 ms"]],
      [{ "places" => [{ "id" => "everywhere", "app" => "a" }, { "id" => "p" }] }] =>
        [["/places/0/id", "everywhere always exists and can't be declared"], ["/places/1", "a place needs the app it is in"]],
      [{ "places" => [{ "id" => "p", "app" => "a" }, { "id" => "q", "app" => "a" }] }] =>
        [["/places", "p and q are the same app and part"]],
      [{ "modes" => [{ "id" => "base" }] }] => [["/modes/0/id", "base always exists and can't be declared"]],
      [{ "hosts" => [{ "id" => "a" }, { "id" => "b" }] }] => [["/devices/0", "needs a host: there are several"]],
      [{ "devices" => [{ "id" => "Big", "buttons" => [] }] }] =>
        [["/devices/0/id", 'is "Big", must be 1 to 64 of a-z 0-9 - _ .']],
      [{ "devices" => [{ "id" => "a", "buttons" => [{ "id" => "x" }, { "id" => "x" }] }] }] =>
        [["/devices/0/buttons", 'id "x" is used 2 times']],
      [{ "client" => { "name" => " " } }] => [["/client/name", "must be text of 1 to 120 characters"]],
      [{ "kippen" => "fitting/2" }] => [["/kippen", 'is "fitting/2", must be "fitting/1"']],
      [{ "devices" => {} }] => [["/devices", "must be an array"]]
    }.freeze

    REFUSED.each do |(members), expected|
      define_method("test_refuses #{expected.flatten.join(" ")}") { assert_equal(expected, faults { fitting(members) }) }
    end

    def test_every_fault_is_told_at_once
      found = faults { fitting("follow" => "nose", "modes" => 3, "timing" => { "long_press_ms" => 0 }) }
      assert_equal %w[/modes /timing/long_press_ms /follow], found.map(&:first)
    end

    def test_what_is_not_an_object_is_no_fitting
      [[], nil, 7, "fitting/1"].each do |value|
        assert_equal([["/", "must be a JSON object, a fitting"]], faults { Fitting.read(value) })
      end
    end

    def test_defaults
      read = fitting
      timing = read.timing(read.button(OK))

      assert_equal [0, 0, "press", 0, 500_000, 300_000, "release", 0.6, 0.45], timing.to_a
      assert_equal ["pointer", "contact", [""]], [read.follow, read.button(OK).kind, read.hosts.map(&:id)]
    end

    def test_a_button_changes_only_what_it_names_of_the_common_timing
      read = fitting("timing" => { "long_press_ms" => 700 }, "button_timing" => { OK => { "tap_gap_ms" => 250.5 } })

      assert_equal([[700_000, 250_500], [700_000, 300_000]],
                   %w[remote/ok
                      remote/list].map { |ref| read.timing(read.button(ref)).to_h.values_at(:long_press_us, :tap_gap_us) })
    end

    def test_unknown_members_are_kept_and_everything_is_frozen
      read = fitting("sheet" => { "colour" => "green" })

      assert_equal({ "colour" => "green" }, read.document["sheet"])
      assert_predicate read, :frozen?
      assert_raises(FrozenError) { read.document["sheet"]["colour"] << "ish" }
    end

    def test_numbers_of_things_are_limited
      many = Array.new(Limits::MODES + 1) { |i| { "id" => "m#{i}" } }
      assert_equal([["/modes", "has 101 items, at most 100 are taken"]], faults { fitting("modes" => many) })
    end
  end
end
