# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Every step of the story without a pointer.
  class KeyboardTest < SystemTest
    include ByKeyboard

    def test_the_story_by_keyboard_alone
      open_desk
      assign_by_keys("Add a double-tap", "packet mark")
      assert_text "Revision 2, saved"
      assert_focused "double-tap: Mark the packet, now. Change"
      assign_by_keys("Add a long-press", "answer")
      assert_text "Revision 3, saved"

      tab_to sentence("bench.teachButtons")
      assert_focus_shows
      press(:enter)
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      press_key("F9", 0.05)
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Volume up")
      press(:escape)
      assert_button sentence("bench.standsForChange", name: "Pocket phone, Edge key", source: "key F9")
      tab_to sentence("bench.startListening")
      press(:enter)
      assert_button sentence("bench.listeningStopEscEsc")
      press_key("F9", 0.7)
      assert_tiles "▬ long-press → Answer the call"

      move_boundary_by_keys
      assert_tiles "• tap → Wake the screen"
      tab_to "Why"
      assert_focus_shows
      press(:escape)
      press(:escape)
      assert_button sentence("bench.startListening")
    end

    def assign_by_keys(add, words)
      to_stop(add, row: EDGE)
      press(:enter)
      assert_selector "aside"
      assert_focused sentence("assign.findAction")
      say(words)
      tab_to "Put it on the"
      assert_focus_shows
      press(:enter)
      assert_no_selector "aside"
    end

    def move_boundary_by_keys
      press(%i[shift tab]) until focused["data-stop"]
      to_stop "Long-press time of Pocket phone", row: "pocket-phone"
      press("9", "0", "0", :enter)
      assert_text "Revision 4, saved"
      assert_equal "900 ms", focused["aria-valuetext"]
      press(:arrow_left, :arrow_left)
      assert_selector ":focus[aria-valuetext='880 ms, Enter sets it']"
      assert_text "Revision 4, saved"
      press(:enter)
      assert_text "Revision 5, saved"
      assert_equal "880 ms", focused["aria-valuetext"]
    end

    def test_escape_takes_back_a_boundary_and_closes_the_sheet_where_it_came_from
      open_desk
      to_stop "Long-press time of Pocket phone", row: "pocket-phone"
      press(:page_up)
      assert_selector "[role=slider]:focus[aria-valuetext='600 ms, Enter sets it']"
      press(:escape)
      assert_selector "[role=slider]:focus[aria-valuetext='500 ms']"

      to_stop "Add a long-press", row: EDGE
      press(:enter)
      assert_selector "aside"
      press(:escape)
      assert_no_selector "aside"
      assert_focused sentence("lanes.addToAtCost", gesture: "long-press", button: "Pocket phone, Edge key",
                                                   costs: "tap acts when let go")
      assert_text "Revision 1, saved"
    end

    def test_what_is_typed_beyond_the_range_is_kept_within_it
      open_desk
      to_stop "Tap gap of Pocket phone", row: "pocket-phone"
      press("9", "9", "9", "9", :enter)
      assert_text "Revision 2, saved"
      assert_equal "3000 ms", focused["aria-valuetext"]
    end

    def test_f6_goes_round_the_panes
      open_desk
      names = Array.new(5) do
        press(:f6)
        page.evaluate_script("document.activeElement.getAttribute('aria-label')")
      end
      panes = %w[desk.trail desk.hostsDevices devices.assign bench.bench desk.trail].map { |key| sentence(key) }
      assert_equal panes, names
    end

    def test_the_table_does_the_same
      open_desk
      tab_to "Lanes"
      press(:arrow_right)
      tab_to "Pocket phone, Edge key, long-press: Add"
      press(:enter)
      assert_selector "aside label", text: "Answer the call"
      say("answer")
      tab_to sentence("assign.putOn", gesture: "long-press")
      press(:enter)
      assert_text "Revision 2, saved"
      tab_to "Long-press time of Pocket phone, Edge key, ms"
      press([:control, "a"], "900", :enter)
      assert_text "Revision 3, saved"
      assert_text "at 900 ms"
    end
  end
end
