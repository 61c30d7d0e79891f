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

    def assign(fitting, button, gesture, action = HELP) = Fitting::Edit.assign(fitting, button:, gesture:, action:)

    def jobs(fitting, device)
      fitting.assignments.select { |one| one.button.start_with?("#{device}/") }.map { |one| [one.button.split("/").last, one.gesture, one.action] }
    end

    def test_assignments_and_timing_are_copied_once
      full = Fitting::Edit.set_timing(assign(grips, "#{LEFT}/squeeze", "long_press"), button: "#{LEFT}/squeeze", setting: "press_at", value: 0.7)
      copied = Fitting::Copying.copy(full, KINDS, from: LEFT, to: RIGHT, mirror: true)
      assert_equal jobs(full, LEFT), jobs(copied, RIGHT)
      assert_equal 0.7, copied.timing(copied.button("#{RIGHT}/squeeze")).press_at
      later = assign(copied, "#{LEFT}/squeeze", "double_tap")
      assert_equal jobs(full, LEFT), jobs(Fitting::Copying.follow(later, KINDS), RIGHT), "once is once"
    end

    def test_what_follows_goes_along_until_the_link_is_cut
      linked = Fitting::Copying.link(grips, KINDS, from: LEFT, to: RIGHT, mirror: true)
      later = Fitting::Copying.follow(assign(linked, "#{LEFT}/squeeze", "long_press"), KINDS)
      assert_equal [["squeeze", "tap", { "kind" => "builtin" }], ["squeeze", "long_press", HELP]], jobs(later, RIGHT)
      cut = Fitting::Copying.cut(later, RIGHT)
      alone = Fitting::Copying.follow(assign(cut, "#{LEFT}/squeeze", "double_tap"), KINDS)
      assert_equal jobs(later, RIGHT), jobs(alone, RIGHT)
      assert_equal([["/links", '"squeeze-grip-right-hand" follows no device']], faults { Fitting::Copying.cut(cut, RIGHT) })
    end

    def test_mirrored_left_becomes_right
      pads = add(with_devices("direction-pad"), "direction-pad")
      full = assign(assign(pads, "direction-pad-four-ways/left", "tap"), "direction-pad-four-ways/up", "tap", { "kind" => "nothing" })
      copied = Fitting::Copying.copy(full, KINDS, from: "direction-pad-four-ways", to: "direction-pad-four-ways-2", mirror: true)
      assert_equal [["right", "tap", HELP], ["up", "tap", { "kind" => "nothing" }]], jobs(copied, "direction-pad-four-ways-2")
    end

    def test_what_the_other_can_not_carry_is_left_out_and_listed
      fitting = add(add(bare, "mouse-five", host: "desk"), "remote", host: "tv")
      full = assign(assign(fitting, "mouse-with-five-buttons/back", "hold"), "mouse-with-five-buttons/back", "double_tap")
      copied = Fitting::Copying.copy(full, KINDS, from: "mouse-with-five-buttons", to: "television-remote", mirror: false)
      assert_equal [["back", "tap", { "kind" => "builtin" }], ["back", "double_tap", HELP]], jobs(copied, "television-remote")
      without = Fitting::Copying.without_match(full, KINDS, "mouse-with-five-buttons", "television-remote", false)
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
      missing = Fitting::Copying.without_match(fitting, KINDS, "keyboard", "ring-that-is-turned", false)
      assert_includes missing["buttons"], "F5"
      refute_includes missing["buttons"], "Enter"
      assert_equal ["Arrow left: double-tap"], missing["assignments"], "a step of a ring can only be a tap"
    end

    def test_links_in_a_circle_are_refused
      linked = Fitting::Copying.link(grips, KINDS, from: LEFT, to: RIGHT, mirror: false)
      told = faults { Fitting::Copying.link(linked, KINDS, from: RIGHT, to: LEFT, mirror: false) }
      assert_includes told, ["/links", "#{RIGHT} follows and is followed"]
    end
  end
end
