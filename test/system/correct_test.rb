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
      row { click_button "Put it right: Home" }
      sheet do
        fill_in "On a tap", with: "Opens the guide"
        find("label", text: "long-press", exact_text: true).click
        assert_text "Remote, Home, long-press: switched off, and kept."
        assert_accessible
        click_button "Put it right"
      end
      saved(3)
      assert_equal %w[at builtin by gestures], said.keys.sort, "only what was said"
      row { assert_text "tap: Opens the guide" }
      row { assert_text "Put right by Demo specialist." }
      row { click_button "Put it right: Home" }
      click_button "As every Television remote again"
      saved(4)
      row { assert_no_text "Opens the guide" }
      click_button "Undo"
      saved(5)
      row { assert_text "tap: Opens the guide" }
    end

    # A model whose values can be set finer than its kind says.
    def test_a_device_that_carries_more_is_put_right
      click_button "Put right what it carries: Remote"
      sheet do
        fill_in "Long-press", with: "300 to 900 by 50"
        assert_text "What this changes"
        assert_accessible
        click_button "Put it right"
      end
      saved(3)
      card("Remote") { assert_text "300 to 900 ms" }
      click_button "Put right what it carries: Remote"
      sheet { fill_in "Long-press", with: "9 to 3 by 1" }
      sheet { assert_selector "[role=alert]" }
      sheet { click_button "As every Television remote again" }
      saved(4)
      card("Remote") { assert_no_text "300 to 900 ms" }
    end

    # A set that shows fewer lines, and keeps a combination for itself.
    def test_a_host_that_differs_is_put_right_and_back
      click_button "Change Television"
      sheet do
        assert_text "Usually 5; leave it empty where that is right."
        fill_in "Lines of a shortlist it shows", with: "3"
        click_button "It keeps a combination for itself"
        fill_in "What it does with it", with: "opens its own guide"
        find(:field, "Key", match: :first).send_keys("F9", :enter)
        assert_accessible
        click_button "Save"
      end
      saved(3)
      host = -> { Server::Store::Revisions.new(DATABASE).head(@client).fitting.host("television").corrected }
      assert_equal [3, [%w[F9], "opens its own guide"], "Demo specialist"],
                   [host[]["lines"], host[]["keeps"][0].values_at("keys", "why"), host[]["by"]]
      click_button "Change Television"
      sheet do
        fill_in "Lines of a shortlist it shows", with: "", fill_options: { clear: :backspace }
        click_button "It does not keep number 1"
        click_button "Save"
      end
      saved(4)
      assert_nil host[]
    end

    def test_a_claim_is_added_freed_and_taken_back
      row { click_button "Put it right: Home" }
      sheet do
        click_button "Something else takes a gesture of it"
        assert_button "Put it right", disabled: true
        within("fieldset", text: "Taken by something else (2)") do
          fill_in "What takes it", with: "the set's own list"
          fill_in "How it is freed", with: "Settings, keys, list: off"
        end
        click_button "Put it right"
      end
      saved(3)
      row { assert_text "the set's own list" }
      click_link "Assign"
      lane = "[data-button='#{HOME}']"
      find("#{lane} button[aria-label^='long-press']").click
      sheet { assert_text "the set's own list" }
      click_link "Devices"
      click_button "14 buttons, Remote"
      row { click_button "Put it right: Home" }
      sheet do
        within("fieldset", text: "Taken by something else (2)") { find("label", text: "It is freed").click }
        click_button "Put it right"
      end
      saved(4)
      row { assert_text "freed from the set's own list (Demo specialist)" }
    end

    # What is needed becomes fixed, for the reason that stands there.
    def test_a_needed_button_is_fixed
      within("[data-button='remote/up']") { click_button "Put it right: Up" }
      sheet do
        assert_button "Put it right", disabled: true
        find("label", text: "fixed: nothing can be put on it").click
        click_button "Put it right"
      end
      saved(3)
      within("[data-button='remote/up']") { assert_text "fixed" }
    end

    def test_what_was_said_and_not_saved_asks
      row { click_button "Put it right: Home" }
      sheet { fill_in "On a tap", with: "Opens the guide" }
      find("header nav a", text: "Assign").click
      assert_text "What you wrote here is not saved."
      click_button "Go on writing"
      sheet { assert_field "On a tap", with: "Opens the guide" }
    end

    # Noted by somebody, it is the next thing to do wherever one is, until it is charged.
    def test_a_low_battery_is_the_next_thing
      more_of("Remote", "Note its battery or cell")
      pick "low", from: "Battery or cell of Remote"
      saved(3)
      card("Remote") { assert_text "noted by Demo specialist" }
      find("header nav a", text: "Wants").click
      click_link "Charge it, or change its cell: Remote"
      pick "full", from: "Battery or cell of Remote"
      saved(4)
      assert_no_link "Charge it, or change its cell: Remote"
      click_button "Undo"
      saved(5)
      assert_link "Charge it, or change its cell: Remote"
    end
  end
end
