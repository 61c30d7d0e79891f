# frozen_string_literal: true

require_relative "helper"

module Kippen
  # The client's own apps, written down and named.
  class AppsTest < SystemTest
    def lane_of(name, &) = within("[data-button][aria-label$='#{name}']", &)

    def test_an_app_of_the_clients_own_is_written_down_and_another_opened_by_name
      demo("ottoline")
      open_step("devices")
      click_button sentence("devices.addApp")
      fill_in sentence("arrange.name"), with: "Letterbox"
      click_button sentence("devices.addCommand")
      fill_in sentence("devices.whatDoes"), with: "Post it"
      click_button sentence("assign.pressCombinationYouWant")
      assert_text sentence("assign.pressNow")
      page.send_keys([:control, "p"])
      assert_selector "kbd", text: "Ctrl + P"
      find("label", text: sentence("devices.offerIt")).click
      assert_accessible
      click_button sentence("devices.addAlone")
      saved(2)
      assert_text "Letterbox 1 command · computer, tablet, phone, television"
      open_step("assign")
      put_on_forward("long-press", "post it", "Post it")
      saved(3)
      put_on_forward("double-tap", "open an app", sentence("screens.openApp")) do
        fill_in sentence("where.whichApp"), with: "Wenna’s écho"
      end
      saved(4)
      lane_of("Forward side button") { assert_text "Open Wenna’s écho" }
    end

    # Written down for one, taken for another, without whose it was.
    def test_what_was_typed_in_for_one_client_is_offered_to_another
      demo("ottoline")
      save("app", app: { "name" => "Letterbox", "offered" => true,
                         "commands" => [{ "name" => "Post it", "keys" => %w[Control KeyP] }] })
      demo("sunniva")
      open_step("devices")
      click_button sentence("devices.addApp")
      pick "Letterbox · Post it", from: sentence("devices.takeOffered")
      assert_field sentence("arrange.name"), with: "Letterbox"
      assert_field sentence("devices.whatDoes"), with: "Post it"
      click_button sentence("devices.addAlone")
      saved(2)
      assert_text "Letterbox 1 command"
    end

    def put_on_forward(gesture, words, action)
      lane_of("Forward side button") { click_button "Add a #{gesture}" }
      fill_in sentence("assign.findAction"), with: words
      find("aside label", text: action).click
      yield if block_given?
      click_button "Put it on the #{gesture}"
    end
  end
end
