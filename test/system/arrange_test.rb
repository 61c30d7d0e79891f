# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Arrangements, and a change to the button one confirms with; settings; back to how it came.
  class ArrangeTest < SystemTest
    include ByKeyboard

    def swap_the_mouse(seconds: nil)
      demo("ottoline")
      open_step("assign")
      click_button sentence("arrange.arrangements")
      find("label", text: "Mouse for the left hand").click
      assert_text "Mouse, Left button, tap: Right click."
      assert_text "The side buttons are then on the wrong side"
      assert_text "Afterwards one confirms with Mouse, Right button."
      fill_in sentence("confirm.secondsConfirm"), with: seconds if seconds
      assert_accessible
      click_button sentence("arrange.put", name: "Mouse")
      assert_selector "h2", text: sentence("confirm.pressKeepChange", names: "Mouse, Right button")
      assert_accessible
    end

    def test_a_mouse_for_the_left_hand_is_confirmed_with_the_other_button
      swap_the_mouse
      patch = find("div", text: sentence("confirm.pressHere"), exact_text: true)
      patch.click
      sleep 0.3
      assert_selector "h2", text: sentence("confirm.pressKeepChange", names: "Mouse, Right button")
      patch.right_click
      assert_no_selector "h2", text: "to keep the change"
      saved(2)
      within("[data-button='mouse/left']") { assert_button "tap: Right click, now. Change" }
    end

    def test_it_is_confirmed_by_keys_alone
      demo("ottoline")
      open_step("assign")
      4.times { press(:f6) }
      assert_focused "Bench"
      go(sentence("bench.teachButtons"))
      assert_text sentence("bench.pressWithName", name: "Mouse, Left button")
      go("Skip it")
      assert_text sentence("bench.pressWithName", name: "Mouse, Right button")
      press_key("F8", 0.05)
      assert_no_text sentence("bench.pressWithName", name: "Mouse, Right button")
      press(:escape)
      assert_button sentence("bench.standsForChange", name: "Mouse, Right button", source: "key F8")
      3.times { press(:f6) }
      go("Arrangements")
      assert_selector "aside label", text: "Mouse for the left hand"
      tab_to("Mouse for the left hand")
      press(:space)
      assert_text sentence("arrange.whatDiffers")
      go(sentence("arrange.put", name: "Mouse"))
      assert_selector "h2", text: "to keep the change"
      press_key("F8", 0.05)
      assert_no_selector "h2", text: "to keep the change"
      saved(2)
    end

    def test_not_confirmed_it_is_taken_back_by_itself
      swap_the_mouse(seconds: "5")
      assert_no_selector "h2", text: "to keep the change", wait: 15
      saved(3)
      within("[data-button='mouse/left']") { assert_no_text sentence("arrange.clicksRight") }
      click_button "Revision 3, saved"
      assert_text "Revision 2 taken back: nobody confirmed it"
    end

    def test_it_is_taken_back_at_once
      swap_the_mouse
      go(sentence("confirm.takeBackNow"))
      assert_no_selector "h2", text: "to keep the change"
      saved(3)
    end

    def test_their_own_arrangement_fits_in_part
      demo("ottoline")
      save("assign", button: "mouse/back", gesture: "tap", action: { "kind" => "help" })
      open_step("assign")
      go("Arrangements")
      assert_selector "aside label", text: "Mouse for the left hand"
      type("Name", "Reading")
      go(sentence("arrange.keep"))
      saved(3)
      assert_selector "aside label", text: "Reading, Ottoline Fenwether’s own"
      tab_to("Reading, Ottoline", back: true)
      press(:space)
      pick_by_keys(sentence("arrange.whichDevice"), "Remote")
      within("section[aria-label='#{sentence("arrange.whatDiffers")}']") do
        assert_text "Remote, Back, tap: Ask for help."
        assert_text sentence("arrange.whatDoesNotFit")
        assert_text "Forward side button, tap, Next page: Remote has no such button."
      end
      assert_accessible
      go(sentence("arrange.put", name: "Remote"))
      saved(4)
      within("[data-button='remote/back']") { assert_button "tap: Ask for help, now. Change" }
      assert_text "The print says “back”; a tap does “Ask for help”."
      click_button sentence("arrange.arrangements")
      find("label", text: "Reading, Ottoline").click
      click_button sentence("arrange.removeFromList", name: "Reading")
      saved(5)
      assert_no_selector "label", text: "Reading, Ottoline"
    end

    def test_one_button_with_three_jobs_by_keys
      demo("bram")
      open_step("assign")
      go("Arrangements")
      assert_selector "aside label", text: "One button with three jobs"
      tab_to("One button with three jobs")
      press(:space)
      pick_by_typing(sentence("arrange.whichButton"), "Edge key")
      assert_button sentence("arrange.sayRestFirst"), disabled: true
      pick_by_typing(sentence("arrange.twicePressedDoes"), "Mark the packet")
      pick_by_typing(sentence("arrange.heldDoes"), "Answer the call")
      assert_text "Pocket phone, Edge key, double-tap: Mark the packet."
      assert_text sentence("assign.servesWant", want: "Answer the video call")
      go(sentence("arrange.put", name: "Pocket phone"))
      saved(2)
      lane { assert_button "long-press: Answer the call, at 500 ms. Change" }
    end

    def pick_by_typing(name, option)
      tab_to(name)
      press(option)
      assert_selector ".ant-select-item-option-active", text: option
      press(:enter)
    end

    def test_settings_of_a_host_and_a_device
      demo("ottoline")
      open_step("devices")
      more_of("Mouse", "Settings")
      fill_in "Lines a wheel step", with: "1"
      press(:enter)
      saved(2)
      pick "smooth", from: "Wheel movement"
      saved(3)
      assert_text "It costs: Smooth: a shaky finger never comes to rest."
      press(:escape)
      assert_accessible
      click_button sentence("devices.settingsWithName", name: "Computer")
      fill_in "Double-click time", with: "900"
      press(:tab)
      saved(4)
      assert_text "double-click within 900 ms"
      click_button sentence("settings.leaveAsCameWithName", name: "Double-click time")
      saved(5)
    end

    def test_a_device_back_to_how_it_came
      demo("ottoline")
      open_step("devices")
      more_of("Mouse", sentence("devices.backHowCame"))
      within("ul[aria-label='#{sentence("devices.whatGoes")}']") do
        assert_text "Mouse, Forward side button, tap: no longer Next page."
      end
      assert_accessible
      go(sentence("devices.putBack", name: "Mouse"))
      saved(2)
      click_button sentence("desk.undo")
      saved(3)
      click_link sentence("devices.assign")
      within("[data-button='mouse/forward']") { assert_button "tap: Next page, now. Change" }
    end
  end
end
