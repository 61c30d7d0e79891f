# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # What is said of a button before it gets something to do, and what can't be put on it.
  class CautionsTest < CoreTest
    include KindsData

    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze
    TORCH = { "kind" => "system", "do" => "light-toggle" }.freeze
    SHIFT_HELD = { "kind" => "modifier", "key" => "Shift", "how" => "held" }.freeze

    def setup = @fitting = add(bare, "remote", host: "tv")

    def cautions = Cautions.new(@fitting, KNOWLEDGE)

    def button(id) = @fitting.button("television-remote/#{id}")

    def told(id) = cautions.of(button(id)).map { |one| [one.gesture, one.id, one.bars?] }

    def bars(id, gesture, action) = faults { cautions.bar(button(id), { "gesture" => gesture, "action" => action }) }.map(&:last)

    def test_what_a_television_can_not_carry_bars_the_gesture
      assert_equal [["tap", "needed", false], ["triple_tap", "cannot_carry", true], ["hold", "cannot_carry", true],
                    ["double_tap", "not_ready", true]],
                   told("left")
      assert_equal ["Television remote can’t carry a triple-tap here."], bars("left", "triple_tap", LOUDER)
      assert_nil cautions.bar(button("left"), { "gesture" => "long_press", "action" => LOUDER })
    end

    # Brought up to date, it can tell them apart.
    def test_what_can_not_be_told_apart_yet_is_barred_until_the_step_is_done
      assert_equal ["Double-taps on it can't be told apart yet. First: Bring it up to date."], bars("left", "double_tap", LOUDER)
      ready = made(@fitting, "ready", device: "television-remote", step: "firmware", done: true)
      newer = made(@fitting, "device", device: "television-remote", set: { "version" => "2.0" })
      [ready, newer].each do |fitting|
        @fitting = fitting
        assert_nil cautions.bar(button("left"), { "gesture" => "double_tap", "action" => LOUDER })
      end
    end

    def test_fixed_needed_claimed_and_not_held_back
      assert_equal [nil, "fixed", true], told("power").first
      assert_equal ["This button can’t be given anything: The television listens to it even when asleep: it can't be given " \
                    "anything else."],
                   bars("power", "tap", LOUDER)
      assert_equal ["tap", "needed", false], told("ok").first
      assert_equal [["tap", "claimed", false], [nil, "not_held_back", false]], told("branded-one").first(2)
      assert_equal "“Opens Wrenbox” can’t be held back: it happens as well, at once.", cautions.of(button("branded-one"))[1].what
      assert_equal [false, true], [cautions.held_back?(button("branded-one")), cautions.held_back?(button("ok"))]
    end

    def test_an_action_must_exist_there_and_fit_the_gesture
      assert_equal ["“Light of the device on or off” does not exist on a television"], bars("left", "tap", TORCH)
      @fitting = add(bare, "switch", host: "desk")
      switch = @fitting.buttons.first
      assert_equal(["“Shift as long as held” lasts as long as the button is held: only a hold can do it"],
                   faults { cautions.bar(switch, { "gesture" => "tap", "action" => SHIFT_HELD }) }.map(&:last))
      assert_nil cautions.bar(switch, { "gesture" => "hold", "action" => SHIFT_HELD })
      assert_nil cautions.bar(switch, { "gesture" => "tap", "action" => { "kind" => "hum" } }),
                 "what is not in the catalogue is left to who put it there"
    end

    def test_a_print_that_says_something_else
      assert_nil cautions.print(button("volume-up"), { "kind" => "builtin" })
      assert_equal "The print says “+”; a tap does “Ask for help”.",
                   cautions.print(button("volume-up"), { "kind" => "help" }).what
      assert_nil cautions.print(button("left"), { "kind" => "help" }), "nothing is printed on it"
      ["none", " None", "–"].each do |print|
        assert_nil cautions.print(Fitting::Button.new(**button("volume-up").to_h, print:), { "kind" => "help" }), print
      end
    end

    def test_a_button_of_no_known_kind_has_none
      plain = fitting
      assert_empty Cautions.new(plain, KNOWLEDGE).of(plain.button(OK))
    end
  end
end
