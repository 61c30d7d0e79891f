# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A session ends by itself: said before, and nothing of what was being written is lost.
  class SessionTest < SystemTest
    def setup
      super
      demo("bram")
      open_step("wants")
    end

    def end_all_sessions = DATABASE[:account_active_session_keys].delete

    # The page's clock so many minutes on.
    def minutes_on(minutes) = page.execute_script("const now = Date.now.bind(Date); Date.now = () => now() + #{minutes} * 60000")

    def write_a_want
      click_button "Change the want Answer the video call"
      within("aside") { fill_in sentence("wants.askedFor"), with: "Bram and his sister" }
      end_all_sessions
      within("aside") { click_button sentence("wants.saveWant") }
      assert_selector "h2", text: sentence("signin.signedOut")
    end

    def test_it_is_said_before_and_one_can_stay
      assert_no_text "you are signed out"
      # What the page was still asking begins it anew.
      3.times { minutes_on(115) unless page.has_text?("Nothing was done here for long: at", wait: 7) }
      assert_text "Nothing was done here for long: at"
      assert_accessible
      click_button sentence("signin.staySigned")
      assert_no_text "Nothing was done here for long"
    end

    def test_what_was_being_written_is_there_after_signing_in_again
      write_a_want
      assert_accessible
      assert_no_text "Answer the video call"
      assert_equal [sentence("signin.signAgainKippen"), sentence("signin.signedOut")],
                   [page.title, page.evaluate_script("document.activeElement.textContent")]
      click_button sentence("signin.openDemoAsSpecialist")
      within("aside") { assert_field sentence("wants.askedFor"), with: "Bram and his sister" }
      assert_match(/Bram/, page.title)
      assert_text "Not saved. Sign in first"
      click_button sentence("desk.tryAgain")
      assert_text "Revision 2, saved"
      assert_equal "Bram and his sister", Server::Store::Revisions.new(DATABASE).fitting(@client).first.wants.first.asked_by
    end

    def test_somebody_else_gets_nothing_of_it
      DATABASE[:viewings].insert(account_id: Server::Store::Accounts.new(DATABASE).demo_account("viewer"), client_id: @client)
      write_a_want
      click_button sentence("signin.openDemoAsViewer")
      assert_selector "h2", text: sentence("wants.whatWantsDo", name: "Bram Oduya-Lisle")
      assert_no_selector "aside"
      assert_no_text "Bram and his sister"
    end

    def test_signed_out_on_purpose_nothing_stays
      visit "/"
      click_button sentence("shared.ui.signOut")
      assert_selector "h2", text: sentence("signin.sign")
      assert_no_selector "[hidden]", text: "Bram", visible: :all
    end
  end
end
