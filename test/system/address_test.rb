# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Where one is stands in the address: reload, back and a link sent to a colleague lead to exactly there.
  class AddressTest < SystemTest
    def lanes_of(shown, hidden)
      assert_selector "[data-button^='#{shown}/']"
      assert_no_selector "[data-button^='#{hidden}/']", wait: 0
    end

    def test_reload_back_and_a_link
      demo("ottoline")
      open_step("assign")
      assert_selector "[data-button='mouse/left']"
      find("button[aria-pressed='true']", text: "Remote").click
      find("[data-button='remote/left'] button[aria-label^='Add a long-press']").click
      assert_selector "aside h2", text: "Left, long-press"
      there = page.current_url
      assert_match(/only=remote&sheet=gesture%3Aremote%2Fleft%3Along_press\z/, there)

      visit there
      assert_selector "aside h2", text: "Left, long-press"
      lanes_of "remote", "mouse"
      click_button sentence("caseload.close")
      assert_no_selector "aside"
      find("label", text: sentence("lanes.table")).click
      assert_selector "table"
      click_link sentence("devices.step.stepName")
      assert_selector "h2", text: sentence("desk.hostsDevices")
      assert_match(%r{/devices\?only=remote&view=table\z}, page.current_url)
      page.go_back
      assert_selector "table"
      page.go_back
      assert_selector "[data-button='remote/left']"

      # Another browser, signed in anew: the same desk.
      page.execute_script("window.localStorage.clear()")
      visit there
      assert_selector "aside h2", text: "Left, long-press"
    end

    def test_what_is_there_no_more_is_passed_over
      open_step("assign")
      visit "#{page.current_path}?place=gone&mode=gone&sheet=gesture:gone/gone:tap&compared=x&only=gone"
      assert_selector "[data-button='#{EDGE}']"
      assert_no_selector "aside"
    end

    def test_what_a_joined_phone_loads_is_small
      visit "/join"
      assert_selector "h1", text: sentence("joined.letThisDeviceListen")
      bytes = page.evaluate_script(<<~JS)
        performance.getEntriesByType("resource").concat(performance.getEntriesByType("navigation")).reduce((sum, one) => sum + one.transferSize, 0)
      JS
      assert_operator bytes, :<, 120_000
      assert_accessible
    end
  end
end
