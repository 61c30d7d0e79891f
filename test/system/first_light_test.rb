# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The whole story: three jobs on one key, a key that stands for it, presses that explain
  # themselves, a boundary that is moved, and all of it still there afterwards.
  class FirstLightTest < SystemTest
    def assign(add, search, action, put)
      lane { click_button add }
      fill_in sentence("assign.findAction"), with: search
      choose action, allow_label_click: true
      click_button put
      assert_no_selector "aside"
    end

    def test_three_jobs_on_one_key
      open_desk
      assert_text "Revision 1, saved"
      lane { assert_button "Wake the screen, now · by itself. Change" }
      lane { click_button "Add a double-tap" }
      fill_in sentence("assign.findAction"), with: "tick pack"
      choose "Mark the packet", allow_label_click: true
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") { assert_text "• tap\nnow → +300 ms" }
      click_button sentence("assign.putOn", gesture: "double-tap")
      assign("Add a long-press", "answer phone", "Answer the call", sentence("assign.putOn", gesture: "long-press"))

      assert_text "Revision 3, saved"
      lane do
        assert_button "tap: Wake the screen, +300 ms · by itself. Change"
        assert_button "double-tap: Mark the packet, now. Change"
        assert_button "long-press: Answer the call, at 500 ms. Change"
      end

      bind_edge_to "F8"
      listen
      press_three_ways
      assert_tiles "▬ long-press → Answer the call", "•• double-tap → Mark the packet", "• tap → Wake the screen"
      assert_sentences

      press_key("F8", 0.7, at: moment(after: 0.5))
      assert_tiles "▬ long-press → Answer the call", "▬ long-press → Answer the call", "•• double-tap → Mark the packet",
                   "• tap → Wake the screen"
      move_boundary_to_900
      moved = ["▬ long-press → Answer the call", "• tap → Wake the screen", "•• double-tap → Mark the packet",
               "• tap → Wake the screen"]
      assert_the_same_press_is_a_tap

      press_key("F8", 0.7, at: moment(after: 0.5))
      now = ["• tap → Wake the screen", "• tap → Wake the screen", moved[0], moved[2], moved[3]]
      assert_tiles(*now)

      page.refresh
      assert_selector "[data-button='#{EDGE}']"
      assert_tiles(*now)
      within("[data-head]") { assert_selector "[role=slider][aria-valuetext='#{@long_press}']" }
      assert_text "Revision 4, saved"
      assert_button sentence("bench.standsForChange", name: "Pocket phone, Edge key", source: "key F8")
    end

    def press_three_ways
      press_key("F8", 0.12)
      assert_text "tap → Wake the screen"
      began = moment(after: 0.5)
      press_key("F8", 0.08, at: began)
      press_key("F8", 0.08, at: began + 0.2005)
      assert_text "double-tap → Mark the packet"
      # Past the tap gap, or it still belongs to the double-tap.
      press_key("F8", 1.2, at: moment(after: 0.5))
      assert_text "long-press → Answer the call"
    end

    def assert_sentences
      bench do
        assert_text "Closed for 1200 ms. Still down at 500 ms: a long-press. Everywhere has for a long-press on this button: " \
                    "Answer the call. It did not wait."
        assert_text "Hearthcall has answered the call."
        find("li", text: sentence("assign.gestures.double_tap")).click_button
        assert_text "Closed for 80 ms. Pressed again 120 ms after letting go, for 80 ms. The second press makes it a double-tap"
        find("li", text: "Wake the screen").click_button
        assert_text "Everywhere keeps for a tap what the button does by itself: Wake the screen. It waited 300 ms (tap gap)."
      end
    end

    # By dragging; the other ways are in boundary_test.rb.
    def move_boundary_to_900
      within("[data-head='pocket-phone']") do
        handle = find("[role=slider][aria-label='Long-press time of Pocket phone'] span")
        strip = find("[role=slider][aria-label='Long-press time of Pocket phone']").find(:xpath, "..").native.rect
        browser.action.move_to(handle.native).click_and_hold.move_by((400.0 / 1500 * strip.width).round + 6, 0).release.perform
        # As near as whole pixels come.
        long_press = -> { find("[role=slider][aria-label='Long-press time of Pocket phone']")["aria-valuetext"] }
        assert(eventually { long_press.call.to_i.between?(897, 903) })
        @long_press = long_press.call
      end
      assert_text "Revision 4, saved"
    end

    def assert_the_same_press_is_a_tap
      bench do
        # It is looked at before all of it is decided anew.
        newest = find("ol li:first-child", text: "decided anew")
        assert_equal "Pocket phone, Edge key\n• tap → Wake the screen\ndecided anew; was long-press → Answer the call in " \
                     "revision 3",
                     newest.find("button span", match: :first).text
        assert_text "Closed for 700 ms. Let go before #{@long_press}: not a long-press."
      end
    end
  end
end
