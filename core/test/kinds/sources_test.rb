# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Which button a heard source is.
  class SourcesTest < CoreTest
    include KindsData

    def candidates(fitting, source) = Kinds::Sources.new(fitting, KINDS).candidates(source).map { |one| [one.button.ref, one.how] }

    def test_a_button_is_known_by_its_kind
      assert_equal [["mouse-with-five-buttons/back", "kind"]], candidates(with_devices("mouse-five"), "pointer:3")
      assert_empty candidates(with_devices("mouse-five"), "pointer:9")
    end

    def test_two_that_can_not_be_told_apart_are_both_named
      assert_equal %w[mouse-with-five-buttons/left mouse-with-five-buttons-2/left],
                   candidates(with_devices("mouse-five", "mouse-five"), "pointer:0").map(&:first)
    end

    def test_a_switch_is_heard_as_its_socket
      fitting = add(with_devices("switch-box"), "switch", on: { "device" => "interface-box-for-switches", "place" => "2" })
      assert_equal [["single-switch/press", "kind"]], candidates(fitting, "key:F2")
      assert_empty candidates(fitting, "key:Space")
    end

    def test_a_gamepad_that_was_started_as_a_keyboard_is_one
      pad = with_devices("gamepad")
      assert_equal [["small-gamepad/lower", "kind"]], candidates(pad, "gamepad:1:button:0")
      assert_empty candidates(pad, "key:KeyG")
      keyboard = made(pad, "ready", device: "small-gamepad", step: "start-keyboard", done: true)
      assert_equal [["small-gamepad/lower", "kind"]], candidates(keyboard, "key:KeyG")
      assert_empty candidates(keyboard, "gamepad:1:button:0")
    end

    def test_what_was_found_by_pressing_goes_before_what_the_kind_says
      fitting = made(with_devices("keyboard"), "add_button", device: "keyboard", button: { "name" => "Red one", "kind" => "contact", "codes" => ["key:F2"] })
      assert_equal [["keyboard/red-one", "found"]], candidates(fitting, "key:F2")
    end

    def test_what_is_off_is_left_out
      fitting = made(with_devices("mouse-five"), "device", device: "mouse-with-five-buttons", set: { "off" => true })
      assert_empty candidates(fitting, "pointer:3")
    end
  end
end
