# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Which button a heard source is.
  class SourcesTest < CoreTest
    include KindsData

    def candidates(fitting, source)
      Kinds::Sources.new(fitting, KINDS).candidates(source).map { |one| [one.button.ref, one.how] }
    end

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
      assert_empty candidates(pad, "key:KeyE")
      keyboard = made(pad, "ready", device: "small-gamepad", step: "start-keyboard", done: true)
      assert_equal [["small-gamepad/lower", "kind"]], candidates(keyboard, "key:KeyE")
      assert_empty candidates(keyboard, "gamepad:1:button:0")
    end

    # A device that is first used: what it may be, what fits the client's hosts before the rest.
    def test_what_no_device_gives_may_be_of_a_new_one
      kinds = ->(fitting, source) { Kinds::Sources.new(fitting, KINDS).new_kinds(source).map(&:id) }
      assert_equal ["gamepad"], kinds[bare, "gamepad:3:button:0"]
      assert_includes kinds[bare, "pointer:3"], "mouse-five"
      assert_includes kinds[bare, "key:Space"].first(4), "switch"
      assert_empty kinds[bare, "key:F24"]
      own = JSON.parse(JSON.generate(KINDS.find("switch").data)).merge("id" => "reed", "name" => "Reed")
      own["buttons"][0]["heard"]["browser"] = ["key:F24"]
      client = made(bare, "kind", document: own)
      assert_equal ["reed"], kinds[client, "key:F24"]
      other = JSON.parse(JSON.generate(own)).merge("id" => "sedge", "name" => "Sedge",
                                                   "hosts" => { "phone" => own["hosts"]["phone"] })
      own = JSON.parse(JSON.generate(own))
      own["buttons"][0]["heard"]["browser"] << "key:F23"
      assert_equal %w[reed sedge], kinds[made(made(bare, "kind", document: own), "kind", document: other), "key:F24"]
    end

    def test_what_was_found_by_pressing_goes_before_what_the_kind_says
      fitting = made(with_devices("keyboard"), "add_button", device: "keyboard",
                                                             button: { "name" => "Red one", "kind" => "contact",
                                                                       "codes" => ["key:F2"] })
      assert_equal [["keyboard/red-one", "found"]], candidates(fitting, "key:F2")
    end

    # Two pads of one kind: by the number the browser gives each, once one was found by pressing.
    def test_two_pads_are_told_apart
      pads = with_devices("gamepad", "gamepad")
      assert_equal 2, candidates(pads, "gamepad:1:button:0").size
      found = made(pads, "button", button: "small-gamepad-2/lower", set: { "codes" => ["gamepad:1:button:0"] })
      assert_equal [["small-gamepad-2/lower", "found"]], candidates(found, "gamepad:1:button:0")
      assert_equal [["small-gamepad/lower", "kind"]], candidates(found, "gamepad:0:button:0")
      alone = made(found, "take_out", id: "small-gamepad")
      assert_equal [["small-gamepad-2/lower", "found"]], candidates(alone, "gamepad:0:button:0"),
                   "a pad alone is known whatever its number is today"
    end

    def test_two_grips_sip_and_puff_are_told_apart
      grips = add(add(bare, "grip", variant: "left", host: "desk"), "grip", variant: "right", host: "desk")
      assert_equal [["squeeze-grip-left-hand/squeeze", "kind"]], candidates(grips, "gamepad:0:level:6")
      assert_equal [["squeeze-grip-right-hand/squeeze", "kind"]], candidates(grips, "gamepad:0:level:7")
      mouth = with_devices("sip-puff")
      assert_equal(%w[sip puff], %w[- +].map { |way| candidates(mouth, "gamepad:0:axis:2:#{way}").first.first.split("/").last })
    end

    def test_what_can_have_come_from_a_button_itself
      sources = Kinds::Sources.new(mouse = with_devices("mouse-five"), KINDS)
      back = mouse.button("mouse-with-five-buttons/back")
      assert_equal [true, false], [sources.from?(back, "pointer:3"), sources.from?(back, "key:F8")]
    end

    def test_what_is_off_is_left_out
      fitting = made(with_devices("mouse-five"), "device", device: "mouse-with-five-buttons", set: { "off" => true })
      assert_empty candidates(fitting, "pointer:3")
    end
  end
end
