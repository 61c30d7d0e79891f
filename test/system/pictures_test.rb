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
      click_link sentence("caseload.clientsAlone") if page.has_link?("Clients", wait: 0)
      click_link name
      click_link step
      assert_selector "a[aria-current='page']", text: step
      @client = URI(page.current_url).path.split("/")[2]
    end

    # What other stories walk as well.
    if ENV["KIPPEN_PICTURES"]
      def test_the_way_in_and_the_caseload
        visit "/"
        assert_selector "h2", text: sentence("signin.sign")
        picture "sign-in"
        click_button sentence("signin.openDemoAsLead")
        assert_selector "main li", count: 4
        picture "caseload"
        click_link sentence("service.service")
        assert_text sentence("service.accounts")
        picture "service"
      end

      def test_joining
        sign_in_as("specialist")
        open_client("Sunniva Harcastle", "Assign")
        click_button sentence("bench.theirOwnDevice")
        click_button sentence("joining.makeCode")
        assert_selector "canvas"
        code = find("[aria-label^='Code ']").text
        Capybara.using_session(:joined) do
          resize(390, 760)
          visit "/join?code=#{code}"
          click_button sentence("joined.join")
          assert_selector "h1", text: sentence("joined.listeningFor", host: "Computer")
          key("keyDown", "F2", moment)
          assert_selector "main strong", text: "key F2"
          picture "joined-device"
          key("keyUp", "F2", moment)
        end
      end

      def test_arrangements_and_confirming
        sign_in_as("specialist")
        open_client("Ottoline Fenwether", "Assign")
        find("nav[aria-label='#{sentence("desk.hostsDevices")}'] button", text: "Mouse").click
        click_button sentence("arrange.arrangements")
        find("label", text: "Mouse for the left hand").click
        assert_text "Afterwards one confirms with"
        find("h3", text: sentence("arrange.whatDiffers")).scroll_to(:center)
        picture "arrangement"
        click_button sentence("arrange.put", name: "Mouse")
        assert_selector "h2", text: "to keep the change"
        click_button sentence("confirm.takeBackNow")
        assert_no_selector "h2", text: "to keep the change"
      end

      def test_kinds_of_device
        sign_in_as("specialist")
        click_link sentence("kinds.kinds")
        click_button sentence("kinds.begin")
        fill_in sentence("kinds.name"), with: "Reed pad"
        click_button sentence("kinds.addButton")
        click_button sentence("arrange.keep")
        assert_text "edition 1, by "
        page.execute_script("scrollTo(0, 0)")
        picture "kinds"
      end
    end

    def test_wants_and_devices
      sign_in_as("specialist")
      open_client("Ottoline Fenwether", "Wants")
      assert_text sentence("wants.open", open: "2", count: "5")
      picture "wants"
      click_link sentence("devices.step.stepName")
      find("nav[aria-label='#{sentence("desk.hostsDevices")}'] button", text: "Remote").click
      # Shown alone, it is unfolded.
      assert_text sentence("devices.thenOneSees")
      picture "devices"
    end

    def test_lanes_and_assigning
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Assign")
      find("nav[aria-label='#{sentence("desk.hostsDevices")}'] button strong", text: "Pocket phone", exact_text: true).click
      bench { click_button sentence("bench.standHand") }
      pick sentence("bench.wanted.long_press"), from: sentence("bench.asked")
      click_button sentence("bench.letPress")
      bench { assert_text sentence("bench.standHand") }
      click_button sentence("caseload.close")
      give_three_jobs
      lane { assert_text "Answer the call" }
      # What others saved stands on the page as soon as it comes: a sheet is opened on what its head says.
      assert_text "Revision 3, saved"
      picture "assign-lanes"
      lane { click_button "double-tap: Mark the packet" }
      find("label", text: "Answer the call").click
      assert_text sentence("assign.whatThisChanges")
      picture "assign-an-action"
      click_button sentence("caseload.close")
      find("label", text: sentence("lanes.table")).click
      assert_selector "table"
      click_button sentence("assign.leaveIt") if page.has_button?(sentence("assign.leaveIt"), wait: 0)
      picture "assign-table"
      find("label", text: sentence("lanes.lanes"), exact_text: true).click
      make_a_double_tap_impossible
    end

    def make_a_double_tap_impossible
      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 1000)
      assert_text "can’t happen"
      find("label", text: sentence("lanes.table")).click
      assert_selector "td:has(button[aria-label='Pocket phone, Edge key, double-tap: Mark the packet']) small",
                      text: "can't happen"
      assert_no_selector "td:has(button[aria-label^='Pocket phone, Edge key, long-press']) small", text: "can't happen"
    end

    def test_the_bench
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Assign")
      give_three_jobs
      bench { click_button sentence("bench.standHand") }
      %w[once twice].each do |times|
        pick "press #{times}", from: "It is asked to"
        click_button sentence("bench.letPress")
        assert_no_selector ".ant-btn-loading"
      end
      click_button sentence("caseload.close")
      assert_selector "ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] li", minimum: 2
      open_bench
      assert_text "Closed for"
      picture "bench-explains"
    end

    def test_modes_and_their_screen
      sign_in_as("specialist")
      open_client("Sunniva Harcastle", "Assign")
      find("label", text: sentence("lanes.where"), exact_text: true).click
      find("label", text: sentence("where.views.modes"), exact_text: true).click
      assert_text sentence("where.how.lock")
      picture "modes"
      visit "/clients/#{@client}/assign?place=tidebook"
      bench { click_button sentence("bench.theirScreen") }
      bench { click_button "Behind: Tidebook" }
      bench { click_button sentence("bench.standHand") }
      { "Knee switch" => "press and keep it down", "Cheek switch" => "press and keep it down" }.each do |button, asked|
        pick button, from: sentence("bench.button")
        pick asked, from: sentence("bench.asked")
        click_button sentence("bench.letPress")
        assert_no_selector ".ant-btn-loading"
      end
      click_button sentence("caseload.close")
      assert_selector "ol[aria-label='Shortlist Log']"
      picture "their-screen"
    end

    def test_check
      sign_in_as("specialist")
      open_client("Ottoline Fenwether", "Check")
      assert_text "No button asks for help"
      click_button sentence("check.mendOf", what: "No button asks for help, on no host.")
      assert_button sentence("check.doThis")
      picture "check"
    end

    def test_reach
      worker
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Reach")
      assert_text sentence("reach.stands", count: 4)
      click_button sentence("reach.propose")
      click_button sentence("reach.ask")
      assert_selector "aside h3", text: sentence("reach.take"), wait: 30
      picture "reach"
    end

    def test_handing_over
      worker
      sign_in_as("specialist")
      open_client("Ottoline Fenwether", "Hand over")
      click_button sentence("handover.more", device: "Remote")
      find("[role=menuitem]", text: sentence("handover.setByHand")).click
      assert_button sentence("handover.goOn")
      click_button sentence("handover.putOn", number: 1, device: "Mouse")
      assert_text sentence("handed.onIt", number: 1), wait: 30
      picture "hand-over"
    end

    def test_tuning
      worker
      sign_in_as("specialist")
      open_client("Bram Oduya-Lisle", "Tune")
      fitted
      assert_selector "tr", text: "fitted"
      picture "tune"
      click_button sentence("tune.askAnother")
      prompts { assert_text "Next press 1" }
      answered_by("Left thumb, lets go slowly")
      reach_prompt(12)
      fitted
      pick(sentence("tune.noHand"), from: sentence("bench.standHandAlone"))
      picture "tune-prompt"
    end
  end
end
