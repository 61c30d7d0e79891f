# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # The client's own device joins by code, in a second browser.
  class JoiningTest < SystemTest
    include ByKeyboard

    CODE = "[aria-label^='Code ']"

    def setup
      super
      demo("sunniva")
      open_step("devices")
    end

    def join
      click_button "Their own device"
      click_button "Make a code"
      assert_selector "canvas"
      code = find(CODE).text
      there do
        resize(390, 760)
        visit "/join?code=#{code.downcase}"
        assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390, "nothing stands beyond the edge"
        fill_in "What this device is called there", with: "Her tablet"
        assert_accessible
        click_button "Join"
        assert_selector "h1", text: "Listening for Computer"
      end
    end

    def teardown
      there { connected(true) }
      super
    end

    def connected(is)
      browser.execute_cdp("Network.enable")
      browser.execute_cdp("Network.emulateNetworkConditions", offline: !is, latency: 0, downloadThroughput: -1,
                                                              uploadThroughput: -1)
    end

    def there(&) = Capybara.using_session(:joined, &)

    def test_a_press_there_is_shown_there_and_on_the_bench_here
      join
      assert_text "Her tablet listens for Computer"
      there do
        key("keyDown", "F2", moment)
        assert_selector "main strong", text: "key F2"
        assert_selector "main span", text: "down"
        assert_accessible
        key("keyUp", "F2", moment)
      end
      bench { assert_text "Elbow switch, on Her tablet" }
      find("label", text: "Find a button").click
      within("section[aria-label='Heard on Her tablet']") { assert_text "Elbow switch" }
    end

    # By keys alone, all the way.
    def join_by_keys
      click_button "Make a code"
      code = find(CODE).text
      there do
        visit "/join?code=#{code}"
        tab_to "What this device is called there"
        press("Her tablet", :enter)
        assert_selector "h1:focus", text: "Listening for Computer"
        yield
        assert_no_selector "h1", text: "Listening for Computer"
      end
    end

    # Joined, one hears keys but those that lead about; Enter on its button, or Esc twice in a row, ends it.
    def test_a_device_joins_and_stops_by_keys_alone
      click_button "Their own device"
      join_by_keys do
        press(:enter)
        assert_selector "main strong", text: "key Enter"
        tab_to("Stop listening")
        press(:enter)
      end
      join_by_keys do
        press(:escape, "a", :escape)
        assert_selector "h1", text: "Listening for Computer"
        press(:escape)
      end
    end

    # What it hears there is said to stand for a button here; the press that was made is decided anew.
    def test_what_a_joined_device_hears_is_bound_from_the_desk
      join
      there { press_key("F9", 0.05) }
      click_button "Close"
      find("label", text: "Find a button").click
      within("section[aria-label='Heard on Her tablet']") do
        assert_text "No button of this client is known by it."
        find_field("It is").click
      end
      find(".ant-select-item-option", text: "Cheek switch").click
      bench { assert_text "Cheek switch, on Her tablet" }
      there { press_key("F9", 0.05) }
      within("section[aria-label='Heard on Her tablet']") { assert_selector "p", text: "Cheek switch" }
    end

    # Presses made while the way is down arrive when it is up again, each once.
    def test_a_dropped_connection_loses_nothing
      join
      there do
        connected(false)
        2.times do
          press_key("F2", 0.05, at: moment(after: 0.4))
        end
        assert_text "Presses are kept and sent again."
        connected(true)
        assert_no_text "Presses are kept and sent again."
      end
      assert_selector "ol[aria-label='Presses, newest first'] li", count: 2
    end

    def test_it_is_ended_from_here_and_still_joined_after_loading_again
      join
      there do
        visit "/join"
        assert_selector "h1", text: "Listening for Computer"
      end
      click_button "End Her tablet"
      assert_no_text "Her tablet listens for Computer"
      there do
        visit "/join"
        assert_text "It was ended at the other side, or has lapsed. Ask for a new code."
      end
    end

    def test_a_wrong_code_says_what_to_do
      visit "/join"
      fill_in "The six characters shown on the other screen", with: "ABCDEF"
      click_button "Join"
      assert_text "this code is not known, has lapsed or was used already; ask for a new one"
    end

    def way_in = Server::WayIn.new(ENV.fetch("KIPPEN_WAY_IN"))

    def test_who_did_not_open_kippen_to_others_is_told_who_can
      click_button "Their own device"
      assert_text "Closed: only a browser on this machine can join."
      assert_text way_in.possible.any? ? "A lead can open it here." : "It can’t be opened from here"
      click_button "Make a code"
      assert_selector "canvas"
      assert_accessible
    end

    # What bin/start would do, the story does: a machine in no network has no address to open.
    def opened
      FileUtils.mkdir_p(ENV.fetch("KIPPEN_WAY_IN"))
      File.write(File.join(ENV.fetch("KIPPEN_WAY_IN"), "wanted"), "192.0.2.2") if way_in.possible.empty?
      File.write(File.join(ENV.fetch("KIPPEN_WAY_IN"), "open"), "192.0.2.2:4310")
    end

    def test_a_lead_opens_and_closes_the_way_in
      visit "/"
      click_button "Sign out"
      # Its answer takes the cookie away: whoever signs in before it comes is signed out by it.
      assert_field "Password"
      sign_in_as("lead")
      demo("sunniva")
      open_step("devices")
      click_button "Their own device"
      if way_in.possible.any?
        click_button "Open it at #{way_in.possible.first}"
        assert_text "Being opened at #{way_in.possible.first} …"
        assert_accessible
      end
      opened
      assert_text "They reach Kippen at 192.0.2.2:4310: to join by a code, and for nothing else."
      click_button "Make a code"
      assert_text "192.0.2.2:4310/join"
      click_button "Close it"
      assert_text "Being closed …"
      FileUtils.rm_rf(ENV.fetch("KIPPEN_WAY_IN"))
      assert_text "Closed: only a browser on this machine can join."
    ensure
      FileUtils.rm_rf(ENV.fetch("KIPPEN_WAY_IN"))
    end
  end
end
