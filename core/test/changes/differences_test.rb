# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What differs between two fittings, told in words.
  class DifferencesTest < CoreTest
    include KindsData

    MOUSE = "mouse-with-five-buttons"
    HELP = { "kind" => "help" }.freeze

    def words(before, after) = Changes::Differences.new(before, after, KNOWN).words

    def mouse = with_devices("mouse-five")

    def device(fitting, **set) = made(fitting, "device", device: MOUSE, set: set.transform_keys(&:to_s))

    def changes
      off = device(mouse, off: true)
      {
        ["The client is now: Una, left hand."] => [mouse, made(mouse, "client", name: "Una", about: "left hand")],
        ["Want added: Read."] => [mouse, made(mouse, "want", want: { "what" => "Read" })],
        ["Device removed: Mouse with five buttons."] => [mouse, made(mouse, "take_out", id: MOUSE)],
        ["Mouse with five buttons is switched off."] => [mouse, off],
        ["Mouse with five buttons is switched on."] => [off, device(off, off: false)],
        ["Mouse with five buttons, worked with: chin."] => [mouse, device(mouse, worked_with: "chin")],
        ["Mouse with five buttons, getting ready: “Press any button of it once” is done."] =>
          [mouse, made(mouse, "ready", device: MOUSE, step: "first-press", done: true)],
        ["Button removed: Mouse with five buttons, Wheel up."] => [mouse, made(mouse, "take_out", id: "#{MOUSE}/wheel-up")],
        ["Mouse with five buttons, Back side button, tap: Ask for help."] =>
          [mouse, made(mouse, "assign", button: "#{MOUSE}/back", gesture: "tap", action: HELP)],
        ["For all buttons, bounce guard, counted: from the press → from letting go."] =>
          [amended(mouse, "timing" => { "bounce_guard_from" => "press" }),
           amended(mouse, "timing" => { "bounce_guard_from" => "release" })],
        ["For all buttons, tap gap: as it is usual → 450 ms."] => [mouse, amended(mouse, "timing" => { "tap_gap_ms" => 450 })]
      }
    end

    def test_every_change_is_told_as_itself_and_nothing_else
      changes.each { |expected, (before, after)| assert_equal expected, words(before, after) }
    end

    def test_a_link_and_its_end
      two = with_devices("mouse-five", "mouse-five")
      linked = made(two, "copy", from: MOUSE, to: "#{MOUSE}-2", mirror: false, lasting: true)
      assert_equal ["Mouse with five buttons 2 follows Mouse with five buttons."], words(two, linked)
      assert_equal ["Mouse with five buttons 2 no longer follows Mouse with five buttons."], words(linked, two)
    end

    def test_left_and_right_are_exchanged
      two = with_devices("mouse-five", "mouse-five")
      linked = made(two, "copy", from: MOUSE, to: "#{MOUSE}-2", mirror: true, lasting: true)
      assert_equal ["Mouse with five buttons 2 follows Mouse with five buttons, left and right exchanged."], words(two, linked)
    end

    # Also what nobody here knows is told, as far as it can be.
    def test_what_counts_how_long_is_asked_and_what_is_not_known
      told = { "follow" => "focus", "confirm_s" => 45, "shelf" => { "a" => 1 },
               "hosts" => HOSTS.map { |host| host.merge("settings" => { "wind" => 3 }) } }
      {
        "follow" => ["What counts is what has the focus."], "confirm_s" => ["Time to confirm: 45 seconds."],
        "shelf" => ["“shelf” has changed."]
      }.each { |member, sentences| assert_equal sentences, words(mouse, amended(mouse, member => told[member])) }
      assert_equal ["What counts is what the pointer is over.", "Time to confirm: as usual."],
                   words(amended(mouse, told.slice("follow", "confirm_s")), mouse)
      assert_equal HOSTS.map { |host| "#{host["name"] || host["id"]}, wind: its own → 3." },
                   words(mouse, amended(mouse, told.slice("hosts")))
    end

    def test_the_same_differs_in_nothing
      assert_empty words(mouse, mouse)
    end
  end
end
