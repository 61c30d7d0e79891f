# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"
require_relative "handing_over"

module Kippen
  # What people set themselves, from a list; and the same on paper.
  class ByHandTest < SystemTest
    include ByKeyboard
    include HandingOver

    def setup
      super
      give_three_jobs
    end

    def tick(words, times: 1)
      times.times { within("aside") { click_button sentence("handlist.#{words}") } }
    end

    # One value at a time; what can't be set is noted with why; then it counts as handed over.
    def test_a_device_that_people_set
      open_handover
      reach("setByHand")
      click_button sentence("handover.goOn")
      assert_selector "aside h2", text: sentence("handover.listOf", device: PHONE)
      assert_accessible
      count = all("aside ol li", minimum: 3).size
      tick("set")
      assert_selector "aside [role=status]", text: "1 of #{count} values set and seen"
      tick("cant")
      fill_in sentence("handlist.why"), with: "Not in the menu."
      tick("keepWhy")
      assert_selector "aside [role=status]", text: "1 can’t be set"
      (count - 2).times do |times|
        tick("set")
        assert_selector "aside [role=status]", text: "#{times + 2} of #{count}"
      end
      assert_selector "aside [role=status]", text: sentence("handlist.done")
      press(:escape)
      on_it(revision)
      save("timing", button: EDGE, setting: "long_press_ms", value: 700)
      device { assert_text(/By hand: \d of #{count}/) }
      assert_accessible
    end

    # On a phone, without an account: the code opens this list and nothing else.
    def test_a_carer_with_a_code
      open_handover
      reach("setByHand")
      click_button sentence("handover.goOn")
      click_button sentence("handover.makeCode")
      code = find("aside p[aria-label^='Code ']").text
      Capybara.using_session(:carer) do
        resize(360, 740)
        visit "/join?code=#{code}"
        fill_in sentence("joined.whatThisDeviceCalled"), with: "Wenna"
        click_button sentence("joined.join")
        assert_selector "h1", text: sentence("joined.setOn", device: PHONE)
        assert_fits
        assert_accessible
        click_button sentence("handlist.set")
        assert_selector "[role=status]", text: "1 of"
        # Loaded again it is open still.
        page.refresh
        assert_selector "[role=status]", text: "1 of"
      end
      within("aside") { assert_text "Wenna has it open." }
      assert_selector "aside ol li", text: sentence("handlist.set")
      within("aside") { click_button sentence("handover.endCarer", name: "Wenna") }
      Capybara.using_session(:carer) do
        page.refresh
        assert_text sentence("joined.wasEndedOtherSide")
      end
    end

    # The same on paper: each button with what it does, help first; what is set, to be ticked; only some devices.
    def test_on_paper
      demo("ottoline")
      save("assign", button: "mouse/back", gesture: "long_press", action: { "kind" => "help" })
      open_handover
      click_link sentence("handover.buttonCard")
      assert_selector "h1", text: /buttons do\z/
      assert_selector "article:first-of-type", text: "Ask for help"
      assert_text "Revision 2, saved"
      assert_accessible
      find("label", text: sentence("paper.large")).click
      find("label", text: sentence("paper.plain")).click
      pick("Remote", from: sentence("paper.devices"))
      assert_no_selector "article", text: "Ask for help"
      assert_includes page.current_url, "only=remote"
      assert_match(/what=card&large=true&plain=true&only=remote\z/, find_link(sentence("paper.pdf"))[:href])
      # Loaded again it is as it was.
      page.refresh
      assert_no_selector "article", text: "Ask for help"
      assert_selector "[data-large='true'][data-plain='true']"
      visit "/clients/#{@client}/paper/settings"
      assert_selector "table th[scope='row']", text: "long-press"
      assert_accessible
      resize(360, 740)
      assert_fits
      assert_accessible
    end
  end
end
