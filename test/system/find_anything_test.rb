# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Whatever somebody says, the bar leads to what was meant.
  class FindAnythingTest < SystemTest
    def look_for(said, *more)
      assert_no_selector "dialog"
      find("body").send_keys([:control, "k"])
      find("dialog input").send_keys(said, *more)
    end

    def choose(kind, name) = find("dialog [role=option]", text: /\A#{kind}\s*#{name}/i).click

    def test_a_complaint_finds_the_setting_and_asks_of_which_button
      demo("ottoline")
      open_step("wants")
      look_for("stop the tremor")
      choose(sentence("desk.kinds.setting"), sentence("assign.bounceGuard"))
      assert_field sentence("desk.ofWhichButton", setting: "Bounce guard")
      assert_accessible
      find("dialog input").send_keys("left button", :enter)
      assert_selector "aside h2", text: "Left button"
      assert_field sentence("assign.bounceGuard")
    end

    # Nobody waits for what is shown.
    def test_who_types_fast_gets_what_they_said
      save("button", button: EDGE, set: { "name" => "Evensong key" })
      open_desk
      look_for("undo my last change", :enter)
      saved(3)
      look_for("evensong", :enter)
      assert_selector "#compared-title", text: "Revision"
    end

    def test_what_asks_something_is_taken_in_hand_and_asked_where_it_goes
      demo("ottoline")
      open_step("assign")
      look_for("call my daughter")
      choose(sentence("desk.kinds.action"), "Call somebody")
      assert_selector "[aria-label='#{sentence("lanes.handAlone")}']", text: "Call somebody"
      find("[data-button='mouse/back'] [aria-label^='Put it on the long-press']").click
      assert_checked_field "Call somebody"
      fill_in "Whom", with: "Wilma"
      click_button sentence("assign.putOn", gesture: "long-press")
      saved(2)
      within("[data-button='mouse/back']") { assert_selector "button[aria-label^='long-press: Call Wilma']" }
    end

    def test_where_nothing_fits_that_is_said_and_values_places_and_modes_are_found
      demo("sunniva")
      open_step("assign")
      look_for("read it aloud")
      assert_selector "dialog [role=status]", text: "Nothing here fits that."
      assert_no_selector "dialog [role=option]"
      find("dialog input").send_keys([:control, "a"], "left edge", :enter)
      within("[aria-label='#{sentence("lanes.whereLooked")}']") { assert_text "Screen: left edge" }
      look_for("reading", :enter)
      within("[aria-label='#{sentence("lanes.whereLooked")}']") { assert_text "Reading" }
      look_for("press level 0.5")
      choose(sentence("desk.kinds.value"), "Press level: 0.5")
      assert_selector "a[aria-current='page']", text: sentence("tune.step.stepName")
    end
  end
end
