# frozen_string_literal: true

require_relative "helper"
require_relative "where"

module Kippen
  # Several steps by one press, put together at the desk, begun with a real key, seen on the stand-in computer, broken off
  # with another real key.
  class StepsTest < SystemTest
    include Where

    STOP = "knee-switch/press"
    START = "elbow-switch/press"

    def step(number, words, name)
      field = find_field("Step #{number}")
      field.send_keys(words)
      find(".ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option", text: name, match: :first).click
    end

    def put_together
      lane_of("Elbow switch") { find("[aria-label^='Add a long-press']").click }
      choose_action("several steps", "Several steps, one after another")
      step(1, "louder", "Louder")
      step(2, "louder", "Louder")
      click_button sentence("assign.addStep")
      step(3, "help", "Ask for help")
      pauses = all(:field, sentence("assign.pauseBefore")).to_a
      pauses.zip(%w[6 60]) { |field, seconds| field.fill_in(with: seconds) }
      seek("Knee switch", from: "Broken off by the next press of")
    end

    def test_three_steps_and_their_stop
      demo("sunniva")
      open_step("assign")
      put_together
      assert_selector "section[aria-label='#{sentence("assign.oneAfterAnother")}'] li", text: "after 60 s Ask for help"
      assert_text "Louder: Quieter"
      assert_accessible
      click_button sentence("assign.putOn", gesture: "long-press")
      saved(2)
      show_screen
      bind(STOP => "F9", START => "F8")
      press_anew("F8", 1.2)
      assert_selector "[data-said]", text: "Under way: 1 of 3 steps is done. The next press of Knee switch breaks them off."
      assert_selector "[data-said]", text: "Under way: 2 of 3 steps are done.", wait: 12
      assert_text "Sound 7 of 10."
      press_anew("F9", 0.1)
      said("Broken off: 2 of 3 steps were done.")
      assert_no_text "Help was called"
      change_the_second
    end

    # What stands there is changed, not said again; put earlier, it is done earlier.
    def change_the_second
      lane_of("Elbow switch") { find("[aria-label*='3 steps']").click }
      choose_action("several steps", "Several steps, one after another")
      step(2, "quieter", "Quieter")
      click_button sentence("assign.stepEarlier", number: "2")
      assert_selector "section[aria-label='#{sentence("assign.oneAfterAnother")}'] li", text: "Quieter"
      click_button sentence("assign.putOn", gesture: "long-press")
      saved(3)
      lane_of("Elbow switch") { assert_selector "[aria-label*='3 steps: Quieter, Louder, Ask for help']" }
    end
  end
end
