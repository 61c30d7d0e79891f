# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # What somebody typed or chose is not lost, and what they chose they can put on without a look for the button.
  class NothingLostTest < SystemTest
    include ByKeyboard

    def choose(words, *more)
      lane { find("button[aria-label^='Add a double-tap']").click }
      assert_field sentence("assign.findAction")
      find_field(sentence("assign.findAction")).send_keys(words, *more)
    end

    def test_who_types_on_after_enter_loses_no_letter
      open_step("wants")
      browser.network_conditions = { offline: false, latency: 200, download_throughput: -1, upload_throughput: -1 }
      find_field(sentence("wants.whatDoTheyWant")).send_keys("Turn a page", :enter, "Ring the bell", :enter, "Third")
      assert_selector "ol li", text: "Turn a page"
      assert_selector "ol li", text: "Ring the bell"
      assert_field sentence("wants.whatDoTheyWant"), with: "Third"
    ensure
      browser.delete_network_conditions
    end

    def test_a_want_that_was_refused_is_there_again
      open_step("wants")
      browser.network_conditions = { offline: true, latency: 0, download_throughput: -1, upload_throughput: -1 }
      find_field(sentence("wants.whatDoTheyWant")).send_keys("Turn a page", :enter)
      assert_button sentence("desk.tryAgain")
      browser.delete_network_conditions
      click_button sentence("desk.tryAgain"), match: :first
      assert_selector "ol li", text: "Turn a page"
    ensure
      browser.delete_network_conditions
    end

    def test_enter_chooses_and_a_second_enter_puts_on
      open_desk
      choose("next page", :enter, :enter)
      saved(2)
      assert_no_field sentence("assign.findAction")
      lane { assert_selector "button[aria-label^='double-tap: Next page']" }
    end

    def test_a_second_enter_says_what_is_still_to_be_said
      open_desk
      choose("call somebody", :enter)
      assert_selector "[data-asks]"
      find_field(sentence("assign.findAction")).send_keys(:enter)
      assert(eventually { page.evaluate_script("document.activeElement.closest('[data-asks]') !== null") })
      assert_text "Revision 1, saved"
    end

    def test_what_was_chosen_and_not_put_on_waits_until_somebody_decides
      open_desk
      choose("next page", :enter)
      assert_button sentence("assign.putOn", gesture: "double-tap")
      click_button sentence("caseload.close")
      assert_text sentence("assign.notPutOn", action: "Next page", title: "Pocket phone, Edge key, double-tap")
      assert_accessible
      click_button sentence("assign.goOnChoosing")
      assert_button sentence("assign.putOn", gesture: "double-tap")
      assert_field sentence("assign.findAction"), with: "next page"
      assert_no_text "is not put on"
      click_link sentence("wants.step.stepName")
      assert_text "is not put on"
      click_button sentence("assign.putItOn")
      saved(2)
      assert_no_text "is not put on"
    end

    def test_what_was_chosen_and_left_can_be_left_for_good
      open_desk
      choose("next page", :enter)
      assert_button sentence("assign.putOn", gesture: "double-tap")
      press(:escape)
      click_button sentence("assign.leaveIt")
      assert_no_text "is not put on"
      lane { find("button[aria-label^='Add a double-tap']").click }
      assert_field sentence("assign.findAction"), with: ""
      assert_text "Revision 1, saved"
    end

    def test_a_stand_in_hand_is_turned_and_kept
      open_desk
      click_button sentence("bench.standHand")
      pick("Tremor", from: sentence("bench.hand"))
      assert_text "Presses come double without being meant."
      picture = -> { all("ol[aria-label='#{sentence("bench.whatItDoes")}'] rect").map { |bar| bar["width"] } }
      assert_selector "ol[aria-label='#{sentence("bench.whatItDoes")}'] li", count: 6
      before = picture.call
      find("summary", text: sentence("bench.changeHow")).click
      assert_accessible
      find("input[type=range][aria-valuetext='140 ms']").native.send_keys(*[:arrow_right] * 5)
      assert_selector "output", exact_text: "190 ms"
      assert(eventually { picture.call != before })
      fill_in sentence("bench.handName"), with: "Hers on Mondays"
      click_button sentence("bench.keepHand", client: "Bram Oduya-Lisle")
      saved(2)
      pick("Hers on Mondays", from: sentence("bench.hand"))
      click_button sentence("bench.letPress")
      assert_selector "ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] li"
    end
  end
end
