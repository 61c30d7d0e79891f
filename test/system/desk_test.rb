# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"
require "tempfile"

module Kippen
  # The desk in all its states: accessible, nothing cut off, a word where there is nothing.
  class DeskTest < SystemTest
    include ByKeyboard

    def check
      assert_fits
      assert_accessible
    end

    def test_every_state_at_1280_by_800
      give_three_jobs
      open_desk
      check
      lane { click_button sentence("lanes.change"), match: :first }
      assert_text sentence("assign.whatThisChanges") if choose("Louder", allow_label_click: true)
      check
      click_button sentence("caseload.close")
      choose sentence("lanes.table"), allow_label_click: true
      check
      click_button sentence("bench.teachButtons")
      check
      press_key("F8", 0.05)
      click_button sentence("bench.enoughEsc")
      listen
      press_key("F8", 0.7)
      assert_text "long-press → Answer the call"
      check
      click_button sentence("bench.smallerBench")
      check
    end

    def test_at_twice_the_size_and_on_a_narrow_window
      give_three_jobs
      open_desk
      [[640, 400], [360, 740]].each do |width, height|
        resize(width, height)
        assert_fits
        assert_accessible
      end
      lane { click_button sentence("lanes.change"), match: :first }
      assert_fits
      click_button sentence("caseload.close")
      click_button sentence("lanes.severalOnce")
      check
      click_button sentence("lanes.arrangements")
      find("label", text: "One button with three jobs").click
      check
    end

    # WCAG 2.5.5: targets of 44 px.
    def test_targets_are_large_enough
      give_three_jobs
      open_desk
      small = page.evaluate_script(<<~JS)
        [...document.querySelectorAll("button, [role=slider] span, input:not([type=radio])")].filter((e) => e.checkVisibility()).map((e) => {
          // All of a list's field opens it.
          const box = (e.closest(".ant-select") ?? e).getBoundingClientRect()
          const after = getComputedStyle(e, "::after")
          const grown = after.content === '""' ? -parseFloat(after.top) - parseFloat(after.bottom) : 0
          return [e.getAttribute("aria-label") || e.textContent, Math.round(box.width), Math.round(box.height + grown)]
        }).filter(([, width, height]) => width < 44 || height < 44)
      JS
      assert_empty small
    end

    def test_without_a_client_the_caseload_says_what_to_do_and_takes_one_in
      DATABASE[:clients].delete
      sign_in_as("specialist")
      assert_text "No client here yet"
      assert_accessible
      Tempfile.create(["bad", ".json"]) do |file|
        file.write('{"kippen": "fitting/1", "follow": "nose"}')
        file.flush
        attach_file sentence("caseload.withFittingFile"), file.path
        assert_text 'is "nose", must be one of pointer, focus'
        find("summary", text: sentence("service.more")).click
        assert_text '/follow: is "nose", must be one of pointer, focus'
      end
      attach_file sentence("caseload.withFittingFile"), File.join(Server::ROOT, "test", "fixtures", "phone.fitting.json")
      assert_text "Bram Oduya-Lisle"
    end

    # As when the notice of it is still on its way.
    def test_somebody_else_saves_in_between
      browser.execute_cdp("Network.enable")
      browser.execute_cdp("Network.setBlockedURLs", urls: ["*/live"])
      open_desk
      lane { find_button("Add a long-press").native.send_keys(:enter) }
      assert_selector "aside"
      save("assign", button: EDGE, gesture: "double_tap", action: ACTIONS["double_tap"])
      save("timing", button: EDGE, setting: "long_press_ms", value: 800)
      say("answer")
      assert_text sentence("assign.savedRevisionBetweenChanged", author: "Another specialist", number: "3")
      assert_button sentence("assign.putOn", gesture: "long-press"), disabled: true
      within("section[aria-label='Another specialist changed']") do
        assert_text "Pocket phone, Edge key, double-tap: Mark the packet."
        assert_no_text "800 ms", wait: 0
      end
      within("section[aria-label='#{sentence("shared.ui.yoursWouldDo")}']") do
        assert_text "Pocket phone, Edge key, long-press: Answer the call."
      end
      assert_accessible
      go(sentence("assign.goTop"))
      assert_selector "section[aria-label='#{sentence("assign.whatThisChanges")}']"
      go(sentence("assign.putOn", gesture: "long-press"))
      assert_text "Revision 4, saved"
      lane do
        assert_button "long-press: Answer the call, at 800 ms. Change"
        assert_button "double-tap: Mark the packet, now. Change"
      end
    ensure
      browser.execute_cdp("Network.setBlockedURLs", urls: [])
    end

    def test_a_gesture_is_taken_off_again
      give_three_jobs
      open_desk
      lane { click_button "long-press: Answer the call" }
      click_button sentence("assign.takeOffWithName", name: "Answer the call")
      assert_text "Revision 4, saved"
      lane { assert_button "Add a long-press" }
    end

    def test_what_a_timing_makes_impossible_is_told_before_and_after
      save("timing", button: EDGE, setting: "bounce_guard_from", value: "release")
      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 300)
      open_desk
      lane { click_button "Add a double-tap" }
      choose "Louder", allow_label_click: true
      words = "A double-tap can't happen: bounce guard 300 ms, tap gap 300 ms."
      within("section[aria-label='#{sentence("assign.whatThisChanges")}']") { assert_text words }
      click_button sentence("assign.putOn", gesture: "double-tap")
      lane do
        assert_text words
        assert_button "double-tap: Louder, ✕ can’t happen. #{words} Change"
      end
      check
    end

    def test_without_room_every_page_says_so_and_what_was_not_saved_is_kept
      open_desk
      lane { click_button "Add a long-press" }
      choose "Louder", allow_label_click: true
      FileUtils.touch(ENV.fetch("KIPPEN_NO_ROOM"))
      click_button sentence("assign.putOn", gesture: "long-press")
      assert_text "Not saved. The disk of the computer Kippen runs on is nearly full"
      assert_text sentence("page.nothingSaved")
      assert_accessible
      FileUtils.rm(ENV.fetch("KIPPEN_NO_ROOM"))
      click_button sentence("desk.tryAgain")
      saved(2)
      assert_no_text sentence("page.nothingSaved")
      lane { assert_text "Louder" }
    end

    # Choosing one shows it alone, its tick several; what is pressed is shown in any case.
    def test_devices_are_chosen
      demo("ottoline")
      open_step("assign")
      shown = -> { all("section[data-device]").map { |device| device["data-device"] } }
      find("nav[aria-label='#{sentence("desk.hostsDevices")}'] button[aria-pressed]", text: "Remote").click
      assert_selector "section[data-device]", count: 1
      assert_equal %w[remote], shown.call
      click_button sentence("bench.teachButtons")
      press_key("F8", 0.05)
      click_button sentence("bench.enoughEsc")
      listen
      press_key("F8", 0.1)
      assert_selector "section[data-device='mouse']"
      find("[aria-label='Show Remote too']").click
      assert_selector "section[data-device]", count: 1
      assert_equal %w[mouse], shown.call
      click_button sentence("desk.showAllDevices")
      assert_selector "section[data-device]", count: 2
    end

    def test_an_assignment_is_switched_off_and_on_again
      give_three_jobs
      open_desk
      lane { find_button("long-press: Answer the call").native.send_keys(:enter) }
      assert_selector "aside"
      go(sentence("assign.switchOff", name: "Answer the call"))
      assert_text "Revision 4, saved"
      lane { assert_button "long-press: Answer the call, off. Change" }
      lane { click_button "long-press: Answer the call" }
      assert_accessible
      go(sentence("assign.switch", name: "Answer the call"))
      lane { assert_button "long-press: Answer the call, at 500 ms. Change" }
    end

    def test_what_must_be_known_of_a_button_is_said_before_it_gets_something_to_do
      demo("ottoline")
      open_step("assign")
      within("[data-button][aria-label='Remote, Power']") do
        assert_text "This button can’t be given anything: The television listens to it even when asleep"
        assert_no_button "Add a long-press"
        click_button "On or off, now"
      end
      within("aside") do
        choose "Louder", allow_label_click: true
        assert_button sentence("assign.putOn", gesture: "tap"), disabled: true
        click_button sentence("caseload.close")
      end
      within("[data-button][aria-label='Remote, First branded key']") { click_button "Add a long-press" }
      within("aside") do
        assert_text "“Opens Wrenbox” can’t be held back: it happens as well, at once."
        choose sentence("lanes.tap"), allow_label_click: true
        assert_text "Taken by Wrenbox."
        assert_accessible
      end
    end
  end
end
