# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What was typed in a sheet is not lost by an Esc, nor by a way that leads elsewhere.
  class UnsavedTest < SystemTest
    WANT = "Change the want Answer the video call"
    ASKED = "What you wrote here is not saved."

    def setup
      super
      demo("bram")
      open_step("wants")
      click_button WANT
    end

    def write = within("aside") { fill_in "Asked for by", with: "Bram and his sister" }

    def test_esc_asks_and_one_goes_on_where_one_was
      write
      find_field("Asked for by").send_keys(:escape)
      assert_selector "[role=alertdialog]", text: ASKED
      assert_equal "Go on writing", page.evaluate_script("document.activeElement.textContent")
      assert_accessible
      click_button "Go on writing"
      assert_no_text ASKED
      assert_field "Asked for by", with: "Bram and his sister"
      click_button "Save the want"
      assert_text "Revision 2, saved"
      assert_no_selector "aside"
    end

    def test_left_on_purpose_it_goes
      write
      click_button "Close"
      click_button "Leave it unsaved"
      assert_no_selector "aside"
      click_button WANT
      assert_field "Asked for by", with: "Bram"
    end

    def test_links_and_other_sheets_ask_too
      write
      find("header nav a", text: "Assign").click
      assert_text ASKED
      assert_selector "a[aria-current='page']", text: "Wants"
      click_button "Go on writing"
      find("header button", text: "Revision 1, saved").click
      assert_text ASKED
      click_button "Go on writing"
      find("body").send_keys([:control, "k"])
      find("dialog input").send_keys("tune", :enter)
      assert_text ASKED
      click_button "Go on writing"
      find("a", text: "Next: what each button does").click
      assert_text ASKED
      click_button "Go on writing"
      find("header button", text: "Revision 1, saved").click
      assert_text ASKED
      assert_field "Asked for by", with: "Bram and his sister"
      click_button "Leave it unsaved"
      assert_selector "aside h2", text: "What was saved"
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
      click_button "Go on writing"
      assert_field "Asked for by", with: "Bram and his sister"
      page.go_back
      click_button "Leave it unsaved"
      assert_no_selector "aside"
      assert(eventually { page.current_url != address })
      page.go_forward
      assert_field "Asked for by", with: "Bram"
    end

    def test_where_nothing_was_typed_nothing_is_asked
      find_field("Asked for by").send_keys("x", :backspace, :escape)
      assert_no_selector "aside"
      click_button WANT
      find("header nav a", text: "Assign").click
      assert_selector "h2", text: "What each button does"
    end
  end
end
