# frozen_string_literal: true

require_relative "helper"
require_relative "where"

module Kippen
  # The same few buttons in each mode, shortlists, counted presses, and the cues that tell the client.
  class ModesTest < SystemTest
    include Where

    def test_a_modifier_until_pressed_again_and_only_while_held_with_its_cue
      demo("ottoline")
      button = "mouse/back"
      save("assign", button:, gesture: "long_press", action: { "kind" => "modifier", "key" => "Shift", "how" => "lock" })
      save("cues", cues: { "done" => %w[see] })
      open_step("assign")
      show_screen
      bind(button => "F8")
      press_key("F8", 0.9)
      said("Shift is down.")
      assert_selector "[data-cue]", text: "Shift"
      press_anew("F8", 0.9)
      assert_no_selector "[data-said]", text: "Shift is down."
      save("assign", button:, gesture: "hold", action: { "kind" => "modifier", "key" => "Control", "how" => "held" })
      assert_text "Revision 4, saved"
      # What was pressed before is decided anew.
      assert_selector "ol li", text: "Control as long as held", count: 2
      key("keyDown", "F8", moment)
      said("Control is down.")
      key("keyUp", "F8", moment)
      assert_no_selector "[data-said]", text: "Control is down."
    end

    def test_a_mode_without_a_way_back_is_told_and_put_right_by_one_press
      demo("sunniva")
      save("mode", mode: { "name" => "Bells", "otherwise" => "nothing" })
      open_step("assign")
      lane_of("Foot switch") { find("[aria-label^='Add a long-press']").click }
      choose_action("bells on", "Bells on or off")
      assert_text "Bells has no way back wherever the client is: once it is on, no button ends it."
      click_button sentence("assign.putOn", gesture: "long-press")
      within("main") { assert_selector "[role='alert']", text: "Bells has no way back" }
      click_button "Add the way back"
      assert_no_selector "[role='alert']", text: "Bells has no way back"
      show_screen
      bind("foot-switch/press" => "F8")
      press_anew("F8", 0.9)
      assert_selector "section[aria-label^='Stand-in']", text: "Bells until changed"
      press_anew("F8", 0.9)
      assert_no_selector "section[aria-label^='Stand-in']", text: "Bells until changed"
    end

    def test_a_mode_that_was_made_is_given_a_button_where_it_stands
      demo("sunniva")
      open_step("assign", view: "modes")
      click_button sentence("where.addMode")
      fill_in sentence("where.modeName"), with: "Bells"
      click_button sentence("where.add")
      saved(2)
      assert_text sentence("where.nothingTakesIt")
      click_button sentence("wants.giveButtonWithWhat", what: "Bells")
      pick("Foot switch", from: sentence("where.button"))
      find("label", text: sentence("where.how.held")).click
      assert_selector "section[aria-label='#{sentence("assign.whatThisChanges")}']"
      assert_accessible
      click_button sentence("where.put")
      saved(3)
      assert_no_text sentence("where.nothingTakesIt")
    end

    def test_a_shortlist_stepped_with_one_button_and_reordered
      demo("sunniva")
      open_step("assign", view: "shortlists")
      click_button sentence("where.upOf", name: "Ask for help")
      saved(2)
      assert_equal ["New log line", sentence("desk.takeBack"), "Ask for help", "Next page"],
                   all("main ol li > span").map(&:text).first(4)
      find("button[aria-label='Ask for help: one up']").send_keys(:enter)
      saved(3)
      assert_equal "Ask for help", all("main ol li > span")[1].text
      show_screen
      point_at("Behind: Tidebook")
      bind("cheek-switch/press" => "F8")
      press_anew("F8", 0.9)
      assert_selector "ol[aria-label='Shortlist Log'] li[data-marked='true']", text: "New log line"
      press_anew("F8", 0.05)
      assert_selector "ol[aria-label='Shortlist Log'] li[data-marked='true']", text: "Ask for help"
      press_anew("F8", 0.9)
      said("The call for help has gone out.")
      assert_no_selector "ol[aria-label='Shortlist Log']"
    end

    def test_a_shortlist_at_the_hosts_limit_and_the_refused_one_more
      demo("bram")
      host = "phone"
      lines = (1..6).map { |number| { "action" => { "kind" => "text", "text" => "Packet #{number}" } } }
      save("shortlist", shortlist: { "name" => "Often", "host" => host, "items" => lines })
      open_step("assign", view: "shortlists")
      assert_text "6 of 6 lines"
      click_button sentence("where.changeOf", name: "Often")
      within("aside") { assert_text "Phone shows 6 lines, and has them. Take one out to add another." }
      assert_no_button sentence("where.addLine")
      assert_accessible
      click_button sentence("where.removeLineOf", number: "6")
      click_button sentence("where.addLine")
      pick sentence("devices.tablet"), from: sentence("where.onHost")
      click_button sentence("where.addLine")
      pick sentence("devices.phone"), from: sentence("where.onHost")
      within("aside") { assert_text "Phone shows 6 lines: take 1 out, or choose another host." }
      assert_button sentence("where.save"), disabled: true
    end

    def test_hold_one_and_press_the_other_once_to_four_times
      demo("sunniva")
      open_step("assign", view: "modes")
      click_button sentence("where.holdAndCount")
      seek("Elbow switch", from: sentence("where.held"))
      seek("Foot switch", from: sentence("where.counted"))
      seek("Louder", from: sentence("where.once"))
      seek("Quieter", from: sentence("where.twice"))
      seek("Next page", from: sentence("where.thrice"))
      click_button sentence("where.put")
      saved(2)
      assert_selector "li", text: "Elbow switch held"
      show_screen
      bind("elbow-switch/press" => "F8", "foot-switch/press" => "F9")
      { 1 => "The sound is one step louder.", 2 => "The sound is one step quieter.", 3 => "Rookery has turned to the next page.",
        4 => "Next page: 2." }
        .each do |count, words|
        hold_and_press("F8", "F9", count)
        said(words)
      end
      [0.7, 1.4].each { |every| counted_at(every) }
    end

    # As slowly as one likes; it is known when the other is let go. Who is told so presses once louder, twice quieter.
    def counted_at(every)
      hold_and_press("F8", "F9", 1)
      said("The sound is one step louder.")
      hold_and_press("F8", "F9", 2, every:)
      said("The sound is one step quieter.")
    end

    # What was made before is asked about, and counts on as it did until then.
    def test_a_mode_made_before_is_asked_about
      demo("sunniva")
      save("mode", mode: { "name" => "Bells" })
      save("assign", button: "elbow-switch/press", gesture: "hold",
                     action: { "kind" => "mode", "mode" => "bells", "how" => "held" })
      save("assign", button: "foot-switch/press", gesture: "double_tap", action: { "kind" => "volume", "direction" => "up" },
                     mode: "bells")
      open_step("assign", view: "modes")
      assert_text sentence("where.countsByGap")
      click_button sentence("where.countWhileHeldOf", name: "Bells")
      saved(5)
      assert_no_text sentence("where.countsByGap")
      click_button "Revision 5, saved"
      assert_text "Bells: presses are counted at any pace, for as long as it is held."
    end
  end
end
