# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # One hand's buttons on the other's: once, or as a lasting link.
  class CopyingTest < CoreTest
    include KindsData

    HELP = { "kind" => "help" }.freeze
    LEFT = "squeeze-grip-left-hand"
    RIGHT = "squeeze-grip-right-hand"

    def grips = add(add(bare, "grip", variant: "left"), "grip", variant: "right")

    def assign(fitting, button, gesture, action = HELP) = made(fitting, "assign", button:, gesture:, action:)

    def without(fitting, from, to)
      Changes::Following.without_match(fitting, KNOWLEDGE, Changes::Following.between(fitting, KINDS, from:, to:, mirror: false))
    end

    def jobs(fitting, device)
      fitting.assignments.select { |one| one.button.start_with?("#{device}/") }.map do |one|
        [one.button.split("/").last, one.gesture, one.action]
      end
    end

    def test_assignments_and_timing_are_copied_once
      full = made(assign(grips, "#{LEFT}/squeeze", "long_press"), "timing", button: "#{LEFT}/squeeze", setting: "long_press_ms",
                                                                            value: 700)
      copied = made(full, "copy", from: LEFT, to: RIGHT, mirror: true)
      assert_equal jobs(full, LEFT), jobs(copied, RIGHT)
      assert_equal 700_000, copied.timing(copied.button("#{RIGHT}/squeeze")).long_press_us
      later = assign(copied, "#{LEFT}/squeeze", "double_tap")
      assert_equal jobs(full, LEFT), jobs(later, RIGHT), "once is once"
    end

    def test_what_follows_goes_along_until_the_link_is_cut
      linked = made(grips, "copy", from: LEFT, to: RIGHT, mirror: true, lasting: true)
      later = assign(linked, "#{LEFT}/squeeze", "long_press")
      assert_equal [["squeeze", "tap", { "kind" => "builtin" }], ["squeeze", "long_press", HELP]], jobs(later, RIGHT)
      cut = made(later, "cut", device: RIGHT)
      alone = assign(cut, "#{LEFT}/squeeze", "double_tap")
      assert_equal jobs(later, RIGHT), jobs(alone, RIGHT)
      assert_equal([["/links", '"squeeze-grip-right-hand" follows no device']], faults { made(cut, "cut", device: RIGHT) })
    end

    def test_mirrored_left_becomes_right
      pads = add(with_devices("direction-pad"), "direction-pad")
      full = assign(assign(pads, "direction-pad-four-ways/left", "tap"), "direction-pad-four-ways/up", "tap",
                    { "kind" => "nothing" })
      copied = made(full, "copy", from: "direction-pad-four-ways", to: "direction-pad-four-ways-2", mirror: true)
      assert_equal [["up", "tap", { "kind" => "nothing" }], ["right", "tap", HELP]], jobs(copied, "direction-pad-four-ways-2")
    end

    def test_what_the_other_can_not_carry_is_left_out_and_listed
      fitting = add(add(bare, "mouse-five", host: "desk"), "remote", host: "tv", version: "2.0")
      full = assign(assign(fitting, "mouse-with-five-buttons/back", "hold"), "mouse-with-five-buttons/back", "double_tap")
      copied = made(full, "copy", from: "mouse-with-five-buttons", to: "television-remote", mirror: false)
      assert_equal [["back", "tap", { "kind" => "builtin" }], ["back", "double_tap", HELP]], jobs(copied, "television-remote")
      without = without(full, "mouse-with-five-buttons", "television-remote")
      assert_equal ["Back side button: hold"], without["assignments"]
    end

    def test_devices_of_different_kinds_match_by_what_a_button_is_for
      fitting = with_devices("mouse-five", "pen")
      match = Kinds::Match.new(KINDS, *fitting.devices, mirror: false)
      assert_equal([%w[left tip], %w[right side-lower], %w[middle side-upper]], match.pairs.map { |pair| pair.map(&:id) })
    end

    def test_what_has_no_match_is_listed
      fitting = assign(add(with_devices("keyboard"), "ring"), "keyboard/left", "double_tap")
      fitting = assign(fitting, "keyboard/f5", "tap")
      missing = without(fitting, "keyboard", "ring-that-is-turned")
      assert_includes missing["buttons"], "F5"
      refute_includes missing["buttons"], "Enter"
      assert_equal ["Arrow left: double-tap"], missing["assignments"], "a step of a ring can only be a tap"
    end

    def test_links_in_a_circle_are_refused
      linked = made(grips, "copy", from: LEFT, to: RIGHT, mirror: false, lasting: true)
      told = faults { made(linked, "copy", from: RIGHT, to: LEFT, mirror: false, lasting: true) }
      assert_includes told, ["/links", "#{LEFT} follows and is followed"]
    end
  end
end
