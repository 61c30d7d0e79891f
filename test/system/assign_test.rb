# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # What a button does: given, kept, waited for, carried, taken off; by keys alone.
  class AssignTest < SystemTest
    include ByKeyboard

    def lane_of(name, &) = within("[data-button][aria-label$='#{name}']", &)

    # Only this device's lanes are shown.
    def only(device)
      find("nav[aria-label='#{sentence("desk.hostsDevices")}'] button[aria-pressed]", text: device).click
      assert_selector "section[data-device]", count: 1
    end

    # By keys, on the remote's Left: opens a gesture that is still empty, and picks Louder.
    def louder_on_the_remotes(gesture)
      demo("ottoline")
      open_step("assign")
      only("Remote")
      lane_of("Remote, Left") { assert_button "Left, now · by itself. Change" }
      find("[data-button][aria-label='Remote, Left'] button[aria-label^='Add a #{gesture}']").native.send_keys(:enter)
      assert_selector "aside label", text: "Louder"
      say("louder")
    end

    def test_a_tap_is_kept_and_a_long_press_added_on_a_remote
      louder_on_the_remotes("long-press")
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") do
        assert_text "tap\nnow, as before"
        assert_text "long-press\nnew: at 500 ms"
      end
      assert_selector "label:has(.ant-checkbox-checked)", text: sentence("assign.tapKeepsWhatDoes", name: "Left")
      assert_accessible
      go(sentence("assign.putOn", gesture: "long-press"))
      saved(2)
      lane_of("Remote, Left") do
        assert_button "long-press: Louder, at 500 ms. Change"
        assert_button "tap: Left, now · by itself. Change"
      end
      assert_focused(/long-press: Louder/, "the focus is back where it was")
    end

    def test_a_tap_at_once_and_its_price
      louder_on_the_remotes("double-tap")
      within("fieldset", text: sentence("assign.tapThisButton")) do
        assert_text "The tap comes +450 ms: a second press may still follow."
      end
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") { assert_text "now → +450 ms" }
      tab_to("waits")
      press(:arrow_down)
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") { assert_text "now, as before" }
      assert_text "The tap comes now; it also happens before every double-tap."
      go(sentence("assign.putOn", gesture: "double-tap"))
      saved(2)
      lane_of("Remote, Left") { assert_button "tap: Left, now · by itself. Change" }
      lane_of("Remote, Left") { find_button("tap: Left, now · by itself. Change").native.send_keys(:enter) }
      assert_selector "fieldset", text: sentence("assign.tapThisButton")
      tab_to("acts at once")
      press(:arrow_up)
      go(sentence("assign.letTapWait"))
      saved(3)
      lane_of("Remote, Left") { assert_button "tap: Left, +450 ms · by itself. Change" }
    end

    def test_a_combination_is_pressed_and_told_what_it_is
      demo("ottoline")
      open_step("assign")
      only("Mouse")
      find("[aria-label$='Back side button'] button[aria-label^='Add a long-press']").native.send_keys(:enter)
      assert_selector "aside label", text: "combination"
      say("combination")
      go(sentence("assign.pressCombinationYouWant"))
      assert_text sentence("assign.pressNow")
      press([:control, :shift, "z"])
      assert_selector "kbd", text: "Ctrl + Shift + Z"
      assert_text "is “Redo” in most apps."
      go(sentence("assign.pressCombinationYouWant"), back: true) unless focused_name.start_with?("Press the combination")
      press(:enter) unless page.has_text?(sentence("assign.pressNow"), wait: 0.3)
      press(%i[alt f4])
      assert_text "The system keeps it: it closes what is in front."
      go(sentence("assign.pressCombinationYouWant"), back: true) unless focused_name.start_with?("Press the combination")
      press(:enter) unless page.has_text?(sentence("assign.pressNow"), wait: 0.3)
      press([:control, "m"])
      assert_text sentence("assign.inItIs", app: "Packetry", name: "Mark the packet")
      assert_accessible
      go(sentence("assign.putOn", gesture: "long-press"))
      saved(2)
      lane_of("Back side button") { assert_button "long-press: Ctrl + M, at 500 ms. Change" }
    end

    def test_a_combination_is_put_together_from_lists_and_an_action_asks_for_more
      demo("bram")
      open_step("assign")
      only("Pocket phone")
      lane_of("Edge key") { click_button "Add a long-press" }
      fill_in sentence("assign.findAction"), with: "call somebody"
      find("label", text: "Call somebody").click
      assert_button sentence("assign.sayRestFirst"), disabled: true
      fill_in "Whom", with: "Wenna"
      assert_text "Serious. Somebody is called who was not meant."
      within("dl[aria-label='About Call somebody']") { assert_text "Screen locked\nworks" }
      click_button sentence("assign.putOn", gesture: "long-press")
      saved(2)
      lane_of("Edge key") { assert_button "long-press: Call Wenna, at 500 ms. Change" }
    end

    def test_what_is_there_is_carried_by_keys
      give_three_jobs
      open_desk
      lane { find_button("long-press: Answer the call, at 500 ms. Change").native.send_keys([:control, "x"]) }
      assert_text sentence("lanes.hand", name: "Answer the call", words: "It is on the long-press of Edge key")
      assert_accessible
      press(:arrow_down)
      assert_focused(/Add a long-press/)
      press([:control, "v"])
      saved(4)
      within("[data-button='pocket-phone/volume-up']") { assert_button "long-press: Answer the call, at 500 ms. Change" }
      lane { assert_button "Add a long-press" }
      press([:control, "c"])
      press(:arrow_down, :enter)
      saved(5)
      within("[data-button='pocket-phone/volume-down']") { assert_button "long-press: Answer the call, at 500 ms. Change" }
      press(:delete)
      saved(6)
      within("[data-button='pocket-phone/volume-down']") { assert_button "Add a long-press" }
      press(:f2)
      assert_selector "h2", text: sentence("assign.name", name: "Volume down")
      press(:tab, :tab, [:control, "a"], "Lower key", :enter)
      saved(7)
      assert_selector "h4", text: "Lower key"
    end

    def test_a_chip_is_dragged_and_from_the_sheet_moved
      give_three_jobs
      open_desk
      from = lane { find_button("double-tap: Mark the packet, now. Change") }
      to = find("[data-button='pocket-phone/volume-up'] [aria-label^='Add a double-tap']")
      browser.action.click_and_hold(from.native).move_by(0, 20).move_to(to.native).release.perform
      saved(4)
      within("[data-button='pocket-phone/volume-up']") { assert_button "double-tap: Mark the packet, now. Change" }
      lane { click_button "long-press: Answer the call" }
      click_button sentence("assign.copyElsewhere", name: "Answer the call")
      find("label", text: sentence("lanes.table"), exact_text: true).click
      click_button "Pocket phone, Volume down, long-press: Add"
      saved(5)
      assert_button "Pocket phone, Volume down, long-press: Answer the call"
    end

    def test_several_buttons_are_changed_at_once_in_lanes_and_table
      open_desk
      go(sentence("lanes.severalOnce"))
      to_stop(sentence("lanes.chooseWithFullName", fullName: "Pocket phone, Edge key"), row: EDGE)
      press(:space)
      to_stop(sentence("lanes.chooseWithFullName", fullName: "Pocket phone, Volume up"), row: "pocket-phone/volume-up")
      press(:space)
      assert_text "2 buttons chosen"
      assert_accessible
      go(sentence("lanes.giveThemAction"), back: true)
      assert_selector "aside h2", text: "2 buttons, tap"
      find("aside label", text: sentence("assign.shortGestures.double_tap")).click
      fill_in sentence("assign.findAction"), with: "help ask"
      find("aside label", text: "Ask for help", exact_text: true).click
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") { assert_selector "h4", count: 2 }
      click_button "Put it on the double-tap of 2 buttons"
      saved(2)
      find("label", text: sentence("lanes.table"), exact_text: true).click
      assert_button "Pocket phone, Volume up, double-tap: Ask for help"
      fill_in sentence("lanes.milliseconds"), with: "700"
      click_button sentence("lanes.setForAll")
      saved(3)
      assert_field "Long-press time of Pocket phone, Volume up, ms", with: "700"
      within("div[aria-label='#{sentence("lanes.severalOnce")}']") { click_button sentence("assign.switchOffAlone") }
      saved(4)
      assert_selector "s", text: "Pocket phone, Edge key"
      within("div[aria-label='#{sentence("lanes.severalOnce")}']") { click_button sentence("assign.switchAlone") }
      saved(5)
      assert_no_selector "s"
    end

    def test_a_hundred_lanes_scroll_without_a_gap
      buttons = (1..100).map { |count| { "id" => "b#{count}", "name" => "Button #{count}" } }
      @client = add_client(Fitting.read({ "kippen" => "fitting/1", "client" => { "name" => "Ottoline" },
                                          "devices" => [{ "id" => "board", "name" => "Board", "buttons" => buttons }] }))
      open_step("assign")
      assert_selector "[data-button]", count: 100
      [0.15, 0.5, 0.85, 1].each do |share|
        page.execute_script("const m = document.querySelector('main'); m.scrollTop = m.scrollHeight * arguments[0]", share)
        seen = page.evaluate_script(<<~JS)
          [0.35, 0.6, 0.9].map((y) => {
            const box = document.querySelector("main").getBoundingClientRect()
            return [0, 8].some((off) => document.elementFromPoint(box.left + 60, box.top + box.height * y + off)?.closest("[data-button]"))
          })
        JS
        assert_equal [true] * 3, seen, "at #{share}"
      end
      within("[data-button='board/b100']") { click_button "Add a long-press" }
      assert_selector "aside h2", text: "Button 100, long-press"
    end
  end
end
