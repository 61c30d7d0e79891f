# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # What is wrong is seen before it hurts, and mended where it is found.
  class CheckTest < SystemTest
    include ByKeyboard

    EDGE_NAME = "Pocket phone, Edge key"

    def setup
      super
      give_three_jobs
      # A long-press and a double-tap that no press can bring about any more, on what the phone's emergency call takes too.
      save("assign", button: EDGE, gesture: "triple_tap", action: { "kind" => "volume", "direction" => "up" })
      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 1500)
    end

    def findings = all("main li p").map(&:text)
    def findings_of(part) = all("section[aria-label='#{part}'] li p").map(&:text)

    # The number beside the step.
    def assert_serious(count) = assert_selector("header nav a[aria-current='page']", text: /Check\s*#{count unless count.zero?}/)

    def mend(what)
      click_button sentence("check.mendOf", what:)
      assert_selector "aside h2", text: sentence("check.sheetTitle")
    end

    def test_faults_are_mended_one_after_the_other
      open_step("check")
      help = "No button asks for help, on no host."
      claimed = /the phone's emergency call takes it too/
      assert_selector "main li", text: help
      assert_selector "main li", text: claimed
      assert_text "Looked for and not found: "
      assert_accessible
      before = findings.size

      mend(findings.grep(claimed).first)
      choice = find("aside label", text: "Take “Louder” off")
      choice.click
      within("section[aria-label='#{sentence("check.differs")}']") { assert_text "#{EDGE_NAME}, triple-tap: no longer Louder." }
      assert_accessible
      click_button sentence("check.doThis")
      assert_no_selector "aside"
      assert_no_selector "main li", text: claimed
      assert_operator findings.size, :<, before

      click_button sentence("desk.undo")
      assert_selector "main li", text: claimed
    end

    def test_by_keys_alone_from_the_finding_to_its_place
      open_step("check")
      assert_selector "main li", text: "No button asks for help"
      tab_to sentence("check.mendOf", what: "No button asks for help, on no host.")
      press(:enter)
      assert_selector "aside label", text: "Put “Ask for help” on"
      go sentence("check.doThis")
      assert_no_selector "main li", text: "No button asks for help"
      impossible = find("main li", text: /double-tap can.t happen/).find("p").text
      go sentence("check.showOf", what: impossible)
      assert_selector "a[aria-current='page']", text: sentence("lanes.step.stepName")
      assert_selector "[data-button='#{EDGE}']"
    end

    def test_what_a_client_bears_is_said_and_looked_at_again
      open_step("check")
      assert_selector "main li", text: "No button asks for help"
      refute(findings.any? { |one| one.include?("more than this client bears") })
      fill_in sentence("check.bears"), with: "200"
      find_field(sentence("check.bears")).native.send_keys(:enter)
      assert_selector "main li", text: "More than 200 ms is more than this client bears."
      click_button sentence("desk.undo")
      assert_no_selector "main li", text: "more than this client bears"
    end

    # Somebody mended it meanwhile: what is open says so, and loses nothing.
    def test_what_somebody_else_mends_is_gone
      open_step("check")
      mend("No button asks for help, on no host.")
      assert_selector "aside label", text: "Put “Ask for help” on"
      save("assign", button: "pocket-phone/volume-up", gesture: "long_press", action: { "kind" => "help" })
      assert_selector "aside [role=status]", text: sentence("check.gone")
      assert_no_selector "main li", text: "No button asks for help"
    end

    def note_known(why)
      fill_in sentence("check.why"), with: why
      click_button sentence("check.markKnown")
      assert_selector "aside", text: why
    end

    # It is counted no more, stands below with who and why, and is found again where what it rests on is another.
    def test_what_is_known_and_wanted_is_found_again_when_that_changes
      open_step("check")
      double = findings_of("Serious").find { |one| one.include?("double-tap") }
      serious = findings_of("Serious").size
      mend(double)
      note_known("Only his tap is used.")
      assert_accessible
      press(:escape)
      within("section[aria-label='#{sentence("check.known")}']") { assert_text "Only his tap is used." }
      assert_equal serious - 1, findings_of("Serious").size
      assert_serious(serious - 1)

      save("timing", button: EDGE, setting: "bounce_guard_ms", value: 1400)
      assert_no_selector "section[aria-label='#{sentence("check.known")}']"
      within("section[aria-label='Serious']") { assert_text "since then what it rests on was changed" }
      assert_serious(serious)
      # Back as it was known, it is; and nobody need want it for ever.
      click_button sentence("desk.undo")
      within("section[aria-label='#{sentence("check.known")}']") { assert_text "Only his tap is used." }
      mend(double)
      click_button sentence("check.notKnown")
      assert_no_selector "section[aria-label='#{sentence("check.known")}']"
      assert_serious(serious)
    end

    # One at a time: somebody else's save in between changes what would mend it, and what was chosen stays chosen.
    def test_what_is_chosen_is_done_whatever_somebody_else_saves
      open_step("check")
      mend("No button asks for help, on no host.")
      choices = all("aside label", minimum: 2).map(&:text)
      find("aside label", text: choices[1]).click
      assert_selector "aside section"
      save("want", want: { "what" => "Rest", "importance" => "could" })
      assert_text "Revision 6, saved"
      assert(find_field(choices[1], type: "radio", visible: :all).checked?)
      click_button sentence("check.doThis")
      assert_no_selector "main li", text: "No button asks for help"
      fitting = Server::Store::Revisions.new(DATABASE).fitting(@client)[0]
      done = fitting.assignments.find { |one| one.action == { "kind" => "help" } }
      device = fitting.button(done.button).device
      gesture = Words.gesture(done.gesture)
      expected = "Put “Ask for help” on the #{gesture} of #{Words.button(fitting.device(device), fitting.button(done.button))}"
      assert_equal choices[1], expected.delete("⟦⟧")
    end

    def test_who_only_looks_sees_what_would_mend_it_and_it_fits_a_phone
      DATABASE[:viewings].insert(account_id: Server::Store::Accounts.new(DATABASE).demo_account("viewer"), client_id: @client)
      sign_in("viewer")
      resize(360, 740)
      visit "/clients/#{@client}/check"
      assert_selector "main li", text: "No button asks for help"
      assert_fits
      assert_accessible
      mend("No button asks for help, on no host.")
      assert_selector "aside label", text: "Put “Ask for help” on"
      assert_no_button sentence("check.doThis")
      assert_fits
    end
  end
end
