# frozen_string_literal: true

require_relative "helper"
require_relative "tuning"
require_relative "../../server/demo"

module Kippen
  # The pictures in docs/screenshots, from the demo as it ships. Taken when asked for with
  # KIPPEN_PICTURES=1; the way to most is walked every time.
  class PicturesTest < SystemTest
    include Tuning::Stories

    PICTURES = File.join(Server::ROOT, "docs", "screenshots")

    def setup
      super
      DATABASE[:services].delete
      Server::Demo.load(DATABASE)
    end

    def picture(name)
      sleep 0.3 if ENV["KIPPEN_PICTURES"]
      browser.save_screenshot(File.join(PICTURES, "#{name}.png")) if ENV["KIPPEN_PICTURES"]
    end

    def open_client(name, step)
      click_link "Clients" if page.has_link?("Clients", wait: 0)
      click_link name
      click_link step
      assert_selector "a[aria-current='page']", text: step
      @client = URI(page.current_url).path.split("/")[2]
    end

    # What other stories walk as well.
    if ENV["KIPPEN_PICTURES"]
      def test_the_way_in_and_the_caseload
        visit "/"
        assert_selector "h2", text: "Sign in"
        picture "sign-in"
        click_button "Open the demo as a lead"
        assert_selector "main li", count: 4
        picture "caseload"
        click_link "Service"
        assert_text "Accounts"
        picture "service"
      end

      def test_joining
        sign_in_as("specialist")
        open_client("Sunniva Harcastle", "Assign")
        click_button "Their own device"
        click_button "Make a code"
        assert_selector "canvas"
        code = find("[aria-label^='Code ']").text
        Capybara.using_session(:joined) do
          resize(390, 760)
          visit "/join?code=#{code}"
          click_button "Join"
          assert_selector "h1", text: "Listening for Computer"
          key("keyDown", "F2", moment)
          assert_selector "main strong", text: "key F2"
          picture "joined-device"
          key("keyUp", "F2", moment)
        end
      end

      def test_arrangements_and_confirming
        sign_in_as("specialist")
        open_client("Ottoline Fenwether", "Assign")
        find("nav[aria-label='Hosts and devices'] button", text: "Mouse").click
        click_button "Arrangements"
        find("label", text: "Mouse for the left hand").click
        assert_text "Afterwards one confirms with"
        find("h3", text: "What differs").scroll_to(:center)
        picture "arrangement"
        click_button "Put it on Mouse"
        assert_selector "h2", text: "to keep the change"
        click_button "Take it back now"
        assert_no_selector "h2", text: "to keep the change"
      end

      def test_kinds_of_device
        sign_in_as("specialist")
        click_link "Kinds of device"
        click_button "Begin it"
        fill_in "What it is called", with: "Reed pad"
        click_button "One more button"
        click_button "Keep it"
        assert_text "edition 1, by "
        page.execute_script("scrollTo(0, 0)")
        picture "kinds"
      end
    end

    def test_wants_and_devices
      sign_in_as("specialist")
      open_client("Ottoline Fenwether", "Wants")
      assert_text "2 of 5 open"
      picture "wants"
      click_link "Devices"
      find("nav[aria-label='Hosts and devices'] button", text: "Remote").click
      # Shown alone, it is unfolded.
      assert_text "Then one sees"
      picture "devices"
      find("label", text: "Find a button").click
      click_button "Listen to everything"
      browser.action.move_to(find("h2", text: "Find a button").native).pointer_down(:back).perform
      assert_selector "article[aria-label='mouse back'] strong", text: "down"
      picture "find-a-button"
      browser.action.pointer_up(:back).perform
    end

    def test_lanes_and_assigning
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Assign")
      find("nav[aria-label='Hosts and devices'] button strong", text: "Pocket phone", exact_text: true).click
      bench { click_button "Stand-in hand" }
      pick "press and keep it down", from: "It is asked to"
      click_button "Let it press"
      bench { assert_text "Stand-in hand" }
      click_button "Close"
      give_three_jobs
      lane { assert_text "Answer the call" }
      # What others saved stands on the page as soon as it comes: a sheet is opened on what its head says.
      assert_text "Revision 3, saved"
      picture "assign-lanes"
      lane { click_button "double-tap: Mark the packet" }
      find("label", text: "Answer the call").click
      assert_text "What this changes"
      picture "assign-an-action"
      click_button "Close"
      find("label", text: "Table").click
      assert_selector "table"
      click_button "Leave it" if page.has_button?("Leave it", wait: 0)
      picture "assign-table"
      find("label", text: "Lanes", exact_text: true).click
      click_button "Revision 3, saved"
      click_button "Revision 2", match: :first
      assert_text "It changed"
      picture "history"
      click_button "Close"
      make_a_double_tap_impossible
    end

    def make_a_double_tap_impossible
      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 1000)
      assert_text "can’t happen"
      find("label", text: "Table").click
      assert_selector "td:has(button[aria-label='Pocket phone, Edge key, double-tap: Mark the packet']) small",
                      text: "can't happen"
      assert_no_selector "td:has(button[aria-label^='Pocket phone, Edge key, long-press']) small", text: "can't happen"
      find("label", text: "Lanes", exact_text: true).click
      picture "lanes-impossible"
    end

    def test_the_bench
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Assign")
      give_three_jobs
      bench { click_button "Stand-in hand" }
      %w[once twice].each do |times|
        pick "press #{times}", from: "It is asked to"
        click_button "Let it press"
        assert_no_selector ".ant-btn-loading"
      end
      click_button "Close"
      assert_selector "ol[aria-label='Presses, newest first'] li", minimum: 2
      open_bench
      assert_text "Closed for"
      picture "bench-explains"
    end

    def test_modes_and_their_screen
      sign_in_as("specialist")
      open_client("Sunniva Harcastle", "Assign")
      find("label", text: "Where", exact_text: true).click
      find("label", text: "Modes", exact_text: true).click
      assert_text "until changed"
      picture "modes"
      visit "/clients/#{@client}/assign?place=tidebook"
      bench { click_button "Their screen" }
      bench { click_button "Behind: Tidebook" }
      bench { click_button "Stand-in hand" }
      { "Knee switch" => "press and keep it down", "Cheek switch" => "press and keep it down" }.each do |button, asked|
        pick button, from: "On the button"
        pick asked, from: "It is asked to"
        click_button "Let it press"
        assert_no_selector ".ant-btn-loading"
      end
      click_button "Close"
      assert_selector "ol[aria-label='Shortlist Log']"
      picture "their-screen"
    end

    def test_tuning
      worker
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Tune")
      fitted
      assert_selector "tr", text: "fitted"
      picture "tune"
      click_button "Ask anew"
      prompts { assert_text "Next press 1" }
      answered_by("Left thumb, lets go slowly")
      reach_prompt(12)
      fitted
      pick("nobody, only real presses", from: "A stand-in hand")
      picture "tune-prompt"
    end
  end
end
