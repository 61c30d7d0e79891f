# frozen_string_literal: true

require_relative "helper"
require_relative "single_switch"
require_relative "tuning"
require_relative "handing_over"

module Kippen
  # How far it is, by one switch alone, to put an action on a long-press.
  class SingleSwitchTest < SystemTest
    include SingleSwitch
    include Tuning::Stories
    include HandingOver

    # So many steps it took before the page was grouped for it, 31 of them to the action.
    BEFORE = 51

    def test_a_long_press_is_assigned_by_one_switch
      demo("bram")
      open_step("assign")
      assert_selector "[data-button]", minimum: 4
      steps = [switch_to(within("[data-button='pocket-phone/edge']") { find("button[aria-label^='Add a long-press']") })]
      assert_selector "aside"
      steps << switch_to(find("label", text: /\AAnswer the call/, match: :first).find("input"))
      find_button(sentence("assign.putOn", gesture: "long-press"), disabled: false)
      steps << switch_to(find_button(sentence("assign.putOn", gesture: "long-press")))
      assert_text "Revision 2, saved"
      puts "one switch: #{steps.sum} steps (#{steps.join(" + ")})"
      assert_operator steps.sum, :<=, BEFORE / 2
    end

    # From the assignment to the device, and the first value of a list set by hand.
    def test_a_device_is_handed_over_by_one_switch
      give_three_jobs
      worker
      open_handover
      steps = [switch_to(find_button(sentence("handover.putOn", number: revision, device: PHONE)))]
      on_it(revision)
      steps << switch_to(find_button(sentence("handover.more", device: PHONE)))
      steps << switch_to(find("[role=menuitem]", text: sentence("handover.setByHand")))
      steps << switch_to(find_button(sentence("handover.lookList")))
      assert_selector "aside h2"
      steps << switch_to(within("aside") { find_button(sentence("handlist.set")) })
      assert_selector "aside [role=status]", text: /\A1 of/
      puts "one switch, handed over: #{steps.sum} steps (#{steps.join(" + ")})"
      assert_operator steps.max, :<=, BEFORE / 2
    end
  end
end
