# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # A device as a fragment of udev's hardware database, and what that can't say. That udev reads it is a check of its own, in
  # test/reference.
  class HwdbTest < CoreTest
    include KindsData

    STANDS = { "KEY_F13" => "box/a", "KEY_F14" => "box/b", "BTN_SIDE" => "box/c" }.freeze
    ID = { bus: "0003", vendor: "1209", product: "0a0b" }.freeze
    NO_FILTER = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].to_h { |name| [name, 0] }.freeze

    MORE = "more than one tap everywhere is assigned: gestures, places and modes can't be said"

    def box(assignments, **more)
      bare("devices" => [{ "id" => "box", "name" => "Box", "host" => "desk", "buttons" => %w[a b c].map do |id|
        { "id" => id, "name" => id }
      end }],
           "timing" => NO_FILTER, "assignments" => assignments, **more)
    end

    def on(button, action, gesture = "tap", **more)
      { "button" => "box/#{button}", "gesture" => gesture, "action" => action }.merge(more.transform_keys(&:to_s))
    end

    def fragment(fitting, **given)
      Formats::Hwdb.new(fitting, fitting.devices.first, KNOWLEDGE, stands: STANDS).fragment(**ID, **given)
    end

    # As 60-keyboard.hwdb writes them: the scan code of HID usage 0x68 of page 7 is 70068.
    def test_single_keys_buttons_and_sound
      made = fragment(box([on("a", { "kind" => "keys", "keys" => ["Enter"] }),
                           on("b", { "kind" => "volume", "direction" => "up" }),
                           on("c", { "kind" => "click", "button" => "left" })]))
      assert_equal [], made.left
      assert_equal ["evdev:input:b0003v1209p0A0B*", " KEYBOARD_KEY_70068=enter", " KEYBOARD_KEY_70069=volumeup",
                    " KEYBOARD_KEY_90004=btn_left"], made.text.lines(chomp: true).drop(1)
    end

    def test_what_it_can_not_say_is_listed
      keys = { "kind" => "keys", "keys" => %w[Control KeyC] }
      one = { "kind" => "keys", "keys" => ["Enter"] }
      cases = {
        [] => "nothing is assigned: it does what it does by itself",
        [on("a", keys)] => "Copy is no single key or mouse button",
        [on("a", { "kind" => "help" })] => "Ask for help is no single key or mouse button",
        [on("a",
            { "kind" => "click", "button" => "left",
              "times" => 2 })] => "Double-click as one press is no single key or mouse button",
        [on("a", one),
         on("a", one, "double_tap")] => MORE,
        [on("a", one, "long_press")] => MORE
      }
      cases.each { |list, why| assert_equal ["box/a", why], fragment(box(list)).left.first, why }
      filtered = box([on("a", one)], "button_timing" => { "box/a" => { "bounce_guard_ms" => 40 } })
      assert_equal ["box/a", "its presses are filtered (Bounce guard): that can't be said"], fragment(filtered).left.first
      unknown = Formats::Hwdb.new(box([on("a", one)]), box([]).devices.first, KNOWLEDGE).fragment(**ID)
      assert_equal ["box/a", "which code it sends isn't known"], unknown.left.first
      assert_equal 4, unknown.text.lines.size, "no match without a line of its own"
    end

    def test_what_is_no_id_is_refused_and_names_break_no_line
      assert_equal([["/vendor", 'must be four digits or letters from a to f, as lsusb shows them, not "12"']],
                   faults { fragment(box([]), vendor: "12") })
      odd = bare("client" => { "name" => "A" },
                 "devices" => [{ "id" => "box", "name" => "x\nevdev:*\n K=1", "host" => "desk",
                                 "buttons" => [{ "id" => "a" }] }])
      assert(fragment(odd).text.lines.all? { |line| line.start_with?("#") })
    end

    def test_on_the_command_line
      text = JSON.generate(box([on("a", { "kind" => "keys", "keys" => ["Enter"] })]).document)
      status, out, = command("remap", "--fitting", "-", "--device", "box", "--id", "0003:1209:0001", "--stands", "KEY_F13=box/a",
                             input: text, known: true)
      assert_equal [0, " KEYBOARD_KEY_70068=enter"], [status, out.lines(chomp: true).last]
      assert_equal [2, "--id takes BUS:VENDOR:PRODUCT, such as 0003:1209:0001\n"],
                   command("remap", "--fitting", "-", "--device", "box", "--id", "0003:1209", input: text, known: true).values_at(
                     0, 2
                   )
      assert_match(/no device "x"/,
                   command("remap", "--fitting", "-", "--device", "x", "--id", "0003:1209:1", input: text, known: true)[2])
    end
  end
end
