# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What was typed in a sheet is not lost by an Esc, nor by a way that leads elsewhere.
  class UnsavedTest < SystemTest
    WANT = "Change the want Answer the video call"
    ASKED = Saying.sentence("shared.ui.notSavedYet")

    def setup
      super
      demo("bram")
      open_step("wants")
      click_button WANT
    end

    def write = within("aside") { fill_in sentence("wants.askedFor"), with: "Bram and his sister" }

    def test_esc_asks_and_one_goes_on_where_one_was
      write
      find_field(sentence("wants.askedFor")).send_keys(:escape)
      assert_selector "[role=alertdialog]", text: ASKED
      assert_equal sentence("shared.ui.goOnWriting"), page.evaluate_script("document.activeElement.textContent")
      assert_accessible
      click_button sentence("shared.ui.goOnWriting")
      assert_no_text ASKED
      assert_field sentence("wants.askedFor"), with: "Bram and his sister"
      click_button sentence("wants.saveWant")
      assert_text "Revision 2, saved"
      assert_no_selector "aside"
    end

    def test_left_on_purpose_it_goes
      write
      click_button sentence("caseload.close")
      click_button sentence("shared.ui.leaveIt")
      assert_no_selector "aside"
      click_button WANT
      assert_field sentence("wants.askedFor"), with: "Bram"
    end

    def test_links_and_other_sheets_ask_too
      write
      find("header nav a", text: sentence("devices.assign")).click
      assert_text ASKED
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
      click_button sentence("shared.ui.goOnWriting")
      find("header button", text: "Revision 1, saved").click
      assert_text ASKED
      click_button sentence("shared.ui.goOnWriting")
      find("body").send_keys([:control, "k"])
      find("dialog input").send_keys("tune", :enter)
      assert_text ASKED
      click_button sentence("shared.ui.goOnWriting")
      find("a", text: sentence("devices.step.nextButtons")).click
      assert_text ASKED
      click_button sentence("shared.ui.goOnWriting")
      find("header button", text: "Revision 1, saved").click
      assert_text ASKED
      assert_field sentence("wants.askedFor"), with: "Bram and his sister"
      click_button sentence("shared.ui.leaveIt")
      assert_selector "aside h2", text: sentence("history.whatWasSaved")
    end

    # The address stays with what is seen; what is in the history stays where it was.
    def test_the_browsers_own_back_asks_too
      visit "/clients/#{@client}/wants"
      click_button WANT
      write
      address = page.current_url
      page.go_back
      assert_text ASKED
      assert_equal address, page.current_url
      click_button sentence("shared.ui.goOnWriting")
      assert_field sentence("wants.askedFor"), with: "Bram and his sister"
      page.go_back
      click_button sentence("shared.ui.leaveIt")
      assert_no_selector "aside"
      assert(eventually { page.current_url != address })
      page.go_forward
      assert_field sentence("wants.askedFor"), with: "Bram"
    end

    def test_where_nothing_was_typed_nothing_is_asked
      find_field(sentence("wants.askedFor")).send_keys("x", :backspace, :escape)
      assert_no_selector "aside"
      click_button WANT
      find("header nav a", text: sentence("devices.assign")).click
      assert_selector "h2", text: sentence("lanes.whatEachButtonDoes")
    end
  end
end
