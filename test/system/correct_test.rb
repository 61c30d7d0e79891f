# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is known of one button of this client's device is put right where it is seen; what no longer fits is told first.
  class CorrectTest < SystemTest
    HOME = "remote/home"

    def setup
      super
      demo("ottoline")
      save("assign", button: HOME, gesture: "long_press", action: { "kind" => "help" })
      open_step("devices")
      click_button "14 buttons, Remote"
    end

    def card(name, &) = within("article[aria-label='#{name}']", &)

    # What the fitting keeps of it.
    def said
      head = Server::Store::Revisions.new(DATABASE).head(@client).fitting
      head.button(HOME).corrected
    end

    def row(&) = within("[data-button='#{HOME}']", &)
    def sheet(&) = within("aside", &)

    def test_a_model_that_differs_is_put_right_and_back
      row { click_button sentence("devices.putRightWithName", name: "Home") }
      sheet do
        fill_in "On a tap", with: "Opens the guide"
        find("label", text: sentence("assign.gestures.long_press"), exact_text: true).click
        assert_text "Remote, Home, long-press: switched off, and kept."
        assert_accessible
        click_button sentence("devices.putRight")
      end
      saved(3)
      assert_equal %w[at builtin by gestures], said.keys.sort, "only what was said"
      row { assert_text "tap: Opens the guide" }
      row { assert_text sentence("devices.saidBy", by: "Demo specialist") }
      row { click_button sentence("devices.putRightWithName", name: "Home") }
      click_button sentence("devices.asItsKind", kind: "Television remote")
      saved(4)
      row { assert_no_text "Opens the guide" }
      click_button sentence("desk.undo")
      saved(5)
      row { assert_text "tap: Opens the guide" }
    end

    # A model whose values can be set finer than its kind says.
    def test_a_device_that_carries_more_is_put_right
      click_button sentence("devices.putRightWhatItCarriesOf", name: "Remote")
      sheet do
        fill_in "Long-press", with: "300 to 900 by 50"
        assert_text sentence("assign.whatThisChanges")
        assert_accessible
        click_button sentence("devices.putRight")
      end
      saved(3)
      card("Remote") { assert_text "300 to 900 ms" }
      click_button sentence("devices.putRightWhatItCarriesOf", name: "Remote")
      sheet { fill_in "Long-press", with: "9 to 3 by 1" }
      sheet { assert_selector "[role=alert]" }
      sheet { click_button sentence("devices.asItsKind", kind: "Television remote") }
      saved(4)
      card("Remote") { assert_no_text "300 to 900 ms" }
    end

    # A set that shows fewer lines, and keeps a combination for itself.
    def test_a_host_that_differs_is_put_right_and_back
      click_button sentence("devices.changeWithName", name: "Television")
      sheet do
        assert_text sentence("devices.usually", count: "5")
        fill_in sentence("devices.linesItShows"), with: "3"
        click_button sentence("devices.keepsOneMore")
        fill_in sentence("devices.whatItDoesWithIt"), with: "opens its own guide"
        find(:field, "Key", match: :first).send_keys("F9", :enter)
        assert_accessible
        click_button sentence("devices.save")
      end
      saved(3)
      host = -> { Server::Store::Revisions.new(DATABASE).head(@client).fitting.host("television").corrected }
      assert_equal [3, [%w[F9], "opens its own guide"], "Demo specialist"],
                   [host[]["lines"], host[]["keeps"][0].values_at("keys", "why"), host[]["by"]]
      click_button sentence("devices.changeWithName", name: "Television")
      sheet do
        fill_in sentence("devices.linesItShows"), with: "", fill_options: { clear: :backspace }
        click_button sentence("devices.keepsNotOf", number: "1")
        click_button sentence("devices.save")
      end
      saved(4)
      assert_nil host[]
    end

    def test_a_claim_is_added_freed_and_taken_back
      row { click_button sentence("devices.putRightWithName", name: "Home") }
      sheet do
        click_button sentence("devices.somethingTakesIt")
        assert_button sentence("devices.putRight"), disabled: true
        within("fieldset", text: sentence("devices.takenBy", number: "2")) do
          fill_in sentence("devices.whoTakesIt"), with: "the set's own list"
          fill_in sentence("devices.howItIsFreed"), with: "Settings, keys, list: off"
        end
        click_button sentence("devices.putRight")
      end
      saved(3)
      row { assert_text "the set's own list" }
      click_link sentence("devices.assign")
      lane = "[data-button='#{HOME}']"
      find("#{lane} button[aria-label^='long-press']").click
      sheet { assert_text "the set's own list" }
      click_link sentence("devices.step.stepName")
      click_button "14 buttons, Remote"
      row { click_button sentence("devices.putRightWithName", name: "Home") }
      sheet do
        within("fieldset", text: sentence("devices.takenBy", number: "2")) do
          find("label", text: sentence("devices.itIsFreed")).click
        end
        click_button sentence("devices.putRight")
      end
      saved(4)
      row { assert_text "freed from the set's own list (Demo specialist)" }
    end

    # What is needed becomes fixed, for the reason that stands there.
    def test_a_needed_button_is_fixed
      within("[data-button='remote/up']") { click_button sentence("devices.putRightWithName", name: "Up") }
      sheet do
        assert_button sentence("devices.putRight"), disabled: true
        find("label", text: sentence("devices.isWords.fixed")).click
        click_button sentence("devices.putRight")
      end
      saved(3)
      within("[data-button='remote/up']") { assert_text "fixed" }
    end

    def test_what_was_said_and_not_saved_asks
      row { click_button sentence("devices.putRightWithName", name: "Home") }
      sheet { fill_in "On a tap", with: "Opens the guide" }
      find("header nav a", text: sentence("devices.assign")).click
      assert_text sentence("shared.ui.notSavedYet")
      click_button sentence("shared.ui.goOnWriting")
      sheet { assert_field "On a tap", with: "Opens the guide" }
    end

    # Noted by somebody, it is the next thing to do wherever one is, until it is charged.
    def test_a_low_battery_is_the_next_thing
      more_of("Remote", sentence("devices.noteBattery"))
      pick sentence("devices.levels.low"), from: sentence("devices.batteryOf", name: "Remote")
      saved(3)
      card("Remote") { assert_text "noted by Demo specialist" }
      find("header nav a", text: sentence("wants.step.stepName")).click
      click_link sentence("desk.charge", names: "Remote")
      pick sentence("devices.levels.full"), from: sentence("devices.batteryOf", name: "Remote")
      saved(4)
      assert_no_link sentence("desk.charge", names: "Remote")
      click_button sentence("desk.undo")
      saved(5)
      assert_link sentence("desk.charge", names: "Remote")
    end
  end
end
