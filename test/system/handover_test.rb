# frozen_string_literal: true

require_relative "helper"
require_relative "tuning"
require_relative "by_keyboard"
require_relative "handing_over"

module Kippen
  # The fitting goes onto stand-in devices, waits for one that is away, comes back, and is never there by half.
  class HandoverTest < SystemTest
    include Tuning::Stories
    include ByKeyboard
    include HandingOver

    def setup
      super
      give_three_jobs
      worker
    end

    def test_put_on_all_that_differ_and_back
      demo("sunniva")
      open_handover
      assert_accessible
      within("section[aria-label='#{sentence("handover.cantCarry")}']") { assert_text sentence("handover.carriesAll") }
      click_button sentence("handover.putAll")
      on_it(1, "Knee switch")
      on_it(1, "Pad")
      assert_no_button sentence("handover.putAll")
      within("nav[aria-label='#{sentence("desk.hostsDevices")}']") { assert_text sentence("desk.onIt", number: 1), wait: 20 }
      assert_selector "header nav a[aria-current='page']", exact_text: "Hand over", wait: 20
      save("timing", button: "knee-switch/press", setting: "long_press_ms", value: 800)
      device("Knee switch") { find("summary", text: "1 difference").click }
      device("Knee switch") { assert_text "800" }
      put("Knee switch")
      on_it(2, "Knee switch")
      device("Knee switch") { click_button sentence("handover.backTo", number: 1) }
      device("Knee switch") { assert_text sentence("handed.differs", number: 1), wait: 30 }
      find("summary", text: sentence("handover.record")).click
      assert_selector "tbody tr", text: /Knee switch\s*back, revision 1\s*done/
      assert_accessible
    end

    def test_out_of_reach_it_is_caught_up_when_it_is_back
      open_handover
      put
      on_it(revision)
      save("timing", button: EDGE, setting: "long_press_ms", value: 700)
      reach("goAway")
      device { assert_text(/Out of reach since/) }
      put
      device { assert_text sentence("handed.away"), wait: 30 }
      assert_accessible
      reach("comeBack")
      on_it(revision)
      device { assert_no_text(/Out of reach/) }
    end

    # Five faults, each mended where it is found; then onto the phone, broken off in the middle, taken up again, taken back.
    def test_from_five_faults_to_a_device_and_back
      save("assign", button: EDGE, gesture: "triple_tap", action: { "kind" => "volume", "direction" => "up" })
      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 1500)
      save("bears", ms: 200)
      sign_in("specialist")
      @signed_in = true
      visit "/clients/#{@client}/check"
      assert_operator all("main li p", minimum: 5).size, :>=, 5
      5.times { mend_the_first }
      open_handover
      put
      on_it(first = revision)
      save("timing", button: EDGE, setting: "tap_gap_ms", value: 450)
      put
      device { assert_text(/Being written/, wait: 30) }
      reach("goAway")
      device { assert_text(/Broken off at \d|Out of reach\./, wait: 30) }
      reach("comeBack")
      on_it(revision)
      device { click_button sentence("handover.backTo", number: first) }
      device { assert_text sentence("handed.differs", number: first), wait: 30 }
    end

    # The first finding that anything mends.
    def mend_the_first
      mended = all("main li p", minimum: 1).map(&:text).find do |what|
        click_button sentence("check.mendOf", what:)
        assert_selector "aside strong", text: what
        assert_no_text sentence("check.looking"), wait: 20
        page.has_button?(sentence("check.doThis"), wait: 1)
      end
      assert mended, "nothing mends what is found"
      click_button sentence("check.doThis")
      assert_no_selector "aside", wait: 20
      assert_no_selector "main li p", exact_text: mended
    end

    # Killed while it writes: the old one is whole, and another worker brings it to its end.
    def test_a_worker_that_is_killed_in_the_middle
      open_handover
      put
      on_it(first = revision)
      old = on_device
      save("timing", button: EDGE, setting: "long_press_ms", value: 700)
      put
      device { assert_text(/Being written: \d of \d/, wait: 30) }
      stop_worker("KILL")
      assert_equal old, on_device
      worker
      on_it(revision)
      refute_equal [first, old], [revision, on_device]
    end

    def on_device = Server::Store::Carriers.carrier(DATABASE[:carriers].first(client_id: @client)).on_it

    def test_stopped_and_emptied_by_keys_alone
      open_handover
      tab_to sentence("handover.putOn", number: revision, device: PHONE)
      press(:enter)
      on_it(revision)
      tab_to sentence("handover.more", device: PHONE)
      press(:enter)
      assert_selector "[role=menuitem]", text: sentence("handover.empty")
      press(:enter)
      device { assert_text sentence("handed.nothingYet"), wait: 30 }
      device { assert_button sentence("handover.backTo", number: revision) }
    end

    def test_who_only_looks_and_on_a_phone
      DATABASE[:viewings].insert(account_id: Server::Store::Accounts.new(DATABASE).demo_account("viewer"), client_id: @client)
      sign_in("viewer")
      @signed_in = true
      resize(360, 740)
      visit "/clients/#{@client}/handover"
      device { assert_text sentence("handed.nothingYet") }
      device { assert_no_button }
      assert_fits
      assert_accessible
    end
  end
end
