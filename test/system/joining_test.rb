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
      click_button sentence("bench.theirOwnDevice")
      click_button sentence("joining.makeCode")
      assert_selector "canvas"
      code = find(CODE).text
      there do
        resize(390, 760)
        visit "/join?code=#{code.downcase}"
        assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390, "nothing stands beyond the edge"
        fill_in sentence("joined.whatThisDeviceCalled"), with: "Her tablet"
        assert_accessible
        click_button sentence("joined.join")
        assert_selector "h1", text: sentence("joined.listeningFor", host: "Computer")
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
        assert_selector "main span", text: sentence("joined.down")
        assert_accessible
        key("keyUp", "F2", moment)
      end
      bench { assert_text "Elbow switch, on Her tablet" }
      find("label", text: sentence("devices.findButton")).click
      within("section[aria-label='Heard on Her tablet']") { assert_text "Elbow switch" }
    end

    # By keys alone, all the way.
    def join_by_keys
      click_button sentence("joining.makeCode")
      code = find(CODE).text
      there do
        visit "/join?code=#{code}"
        tab_to sentence("joined.whatThisDeviceCalled")
        press("Her tablet", :enter)
        assert_selector "h1:focus", text: sentence("joined.listeningFor", host: "Computer")
        yield
        assert_no_selector "h1", text: sentence("joined.listeningFor", host: "Computer")
      end
    end

    # Joined, one hears keys but those that lead about; Enter on its button, or Esc twice in a row, ends it.
    def test_a_device_joins_and_stops_by_keys_alone
      click_button sentence("bench.theirOwnDevice")
      join_by_keys do
        press(:enter)
        assert_selector "main strong", text: "key Enter"
        tab_to(sentence("desk.stopListening"))
        press(:enter)
      end
      join_by_keys do
        press(:escape, "a", :escape)
        assert_selector "h1", text: sentence("joined.listeningFor", host: "Computer")
        press(:escape)
      end
    end

    # What it hears there is said to stand for a button here; the press that was made is decided anew.
    def test_what_a_joined_device_hears_is_bound_from_the_desk
      join
      there { press_key("F9", 0.05) }
      click_button sentence("caseload.close")
      find("label", text: sentence("devices.findButton")).click
      within("section[aria-label='Heard on Her tablet']") do
        assert_text sentence("find.noButtonThisClient")
        find_field(sentence("find.itIs")).click
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
      assert_selector "ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] li", count: 2
    end

    def test_it_is_ended_from_here_and_still_joined_after_loading_again
      join
      there do
        visit "/join"
        assert_selector "h1", text: sentence("joined.listeningFor", host: "Computer")
      end
      click_button "End Her tablet"
      assert_no_text "Her tablet listens for Computer"
      there do
        visit "/join"
        assert_text sentence("joined.wasEndedOtherSide")
      end
    end

    def test_a_wrong_code_says_what_to_do
      visit "/join"
      fill_in sentence("joined.sixCharactersShownOther"), with: "ABCDEF"
      click_button sentence("joined.join")
      assert_text "this code is not known, has lapsed or was used already; ask for a new one"
    end

    def way_in = Server::WayIn.new(ENV.fetch("KIPPEN_WAY_IN"))

    def test_who_did_not_open_kippen_to_others_is_told_who_can
      click_button sentence("bench.theirOwnDevice")
      assert_text sentence("joining.closedOnlyBrowserThis")
      assert_text way_in.possible.any? ? sentence("joining.leadCanOpenHere") : "It can’t be opened from here"
      click_button sentence("joining.makeCode")
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
      click_button sentence("shared.ui.signOut")
      # Its answer takes the cookie away: whoever signs in before it comes is signed out by it.
      assert_field sentence("signin.passwordAlone")
      sign_in_as("lead")
      demo("sunniva")
      open_step("devices")
      click_button sentence("bench.theirOwnDevice")
      if way_in.possible.any?
        click_button "Open it at #{way_in.possible.first}"
        assert_text "Being opened at #{way_in.possible.first} …"
        assert_accessible
      end
      opened
      assert_text sentence("joining.theyReachKippen", address: "192.0.2.2:4310")
      click_button sentence("joining.makeCode")
      assert_text "192.0.2.2:4310/join"
      click_button sentence("joining.close")
      assert_text sentence("joining.beingClosed")
      FileUtils.rm_rf(ENV.fetch("KIPPEN_WAY_IN"))
      assert_text sentence("joining.closedOnlyBrowserThis")
    ensure
      FileUtils.rm_rf(ENV.fetch("KIPPEN_WAY_IN"))
    end
  end
end
