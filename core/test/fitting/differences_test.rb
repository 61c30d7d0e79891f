# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What differs between two fittings, told in words.
  class DifferencesTest < CoreTest
    include KindsData

    MOUSE = "mouse-with-five-buttons"
    HELP = { "kind" => "help" }.freeze

    def words(before, after) = Fitting::Differences.new(before, after, CATALOGUE).words

    def mouse = with_devices("mouse-five")

    def device(fitting, **set) = Fitting::DeviceEdits.change(fitting, MOUSE, set.transform_keys(&:to_s), at: NOON)

    def changes
      off = device(mouse, off: true)
      {
        ["The client is now: Una, left hand."] => [mouse, Fitting::WantEdits.describe(mouse, name: "Una", about: "left hand")],
        ["Want added: Read."] => [mouse, Fitting::WantEdits.put(mouse, "what" => "Read")],
        ["Device removed: Mouse with five buttons."] => [mouse, Fitting::TakingOut.take_out(mouse, MOUSE)],
        ["Mouse with five buttons is switched off."] => [mouse, off],
        ["Mouse with five buttons is switched on."] => [off, device(off, off: false)],
        ["Mouse with five buttons, worked with: chin."] => [mouse, device(mouse, worked_with: "chin")],
        ["Mouse with five buttons, getting ready: first-press is done."] =>
          [mouse, Fitting::DeviceEdits.mark_ready(mouse, MOUSE, "first-press", { by: "H", at: NOON })],
        ["Button removed: Mouse with five buttons, Wheel up."] => [mouse, Fitting::TakingOut.take_out(mouse, "#{MOUSE}/wheel-up")],
        ["Mouse with five buttons, Back side button, tap: Ask for help."] =>
          [mouse, Fitting::Edit.assign(mouse, button: "#{MOUSE}/back", gesture: "tap", action: HELP)],
        ["For all buttons, tap gap: 450 ms."] => [mouse, mouse.with("timing" => { "tap_gap_ms" => 450 })]
      }
    end

    def test_every_change_is_told_as_itself_and_nothing_else
      changes.each { |expected, (before, after)| assert_equal expected, words(before, after) }
    end

    def test_a_link_and_its_end
      two = with_devices("mouse-five", "mouse-five")
      linked = Fitting::Copying.link(two, KINDS, from: MOUSE, to: "#{MOUSE}-2", mirror: false)
      assert_equal ["Mouse with five buttons 2 follows Mouse with five buttons."], words(two, linked)
      assert_equal ["Mouse with five buttons 2 no longer follows Mouse with five buttons."], words(linked, two)
    end

    def test_the_same_differs_in_nothing
      assert_empty words(mouse, mouse)
    end
  end
end
