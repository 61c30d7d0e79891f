# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Undo through reload, any revision brought back, two at once.
  class HistoryStoriesTest < SystemTest
    include ByKeyboard

    def assign(gesture, words)
      lane { click_button "Add a #{gesture}" }
      assert_selector "aside"
      say(words)
      click_button "Put it on the #{gesture}"
      assert_no_selector "aside"
    end

    # Saved by a Kippen that knew more, say: what can't be opened is told, what is in force is shown, and one goes on.
    def test_a_revision_that_can_not_be_opened_is_told
      row = { client_id: @client, number: 2, parent: 1, author: "Somebody",
              document: Sequel.pg_jsonb({ "kippen" => "fitting/1", "devices" => 7 }) }
      DATABASE[:revisions].insert(row)
      open_desk
      assert_text "Revision 2 can’t be opened by this Kippen."
      assert_text "Revision 1 is in force and shown instead."
      assert_accessible
      assign("double-tap", "packet mark")
      assert_text "Revision 3, saved"
      assert_no_text "can’t be opened by this Kippen"
    end

    def test_undo_through_reload_by_keyboard
      open_desk
      assign("double-tap", "packet mark")
      assign("long-press", "answer")
      assert_text "Revision 3, saved"
      visit page.current_url
      lane { assert_text "Answer the call" }
      press([:control, "z"])
      assert_text "Revision 4, saved"
      lane { assert_no_text "Answer the call" }
      visit page.current_url
      lane { assert_text "Mark the packet" }
      press([:control, "z"])
      assert_text "Revision 5, saved"
      lane { assert_no_text "Mark the packet" }
      assert_button sentence("desk.undo"), disabled: true
      press([:control, :shift, "z"])
      press([:control, :shift, "z"]) if page.has_text?("Revision 6, saved")
      assert_text "Revision 7, saved"
      lane { assert_text "Answer the call" }
      assert_button sentence("desk.redo"), disabled: true
    end

    def test_any_revision_is_compared_and_brought_back
      open_desk
      assign("double-tap", "packet mark")
      assign("long-press", "answer")
      click_button "Revision 3, saved"
      assert_selector "aside h2", text: sentence("history.whatWasSaved")
      within("aside ol li", text: sentence("history.revision", number: "3")) do
        assert_text "Pocket phone, Edge key, long-press: Answer the call."
        assert_no_text(/And \d+ more/)
      end
      click_button sentence("history.revision", number: "1"), match: :first
      within("section[aria-label='#{sentence("history.sinceThen")}']") do
        assert_text "Pocket phone, Edge key, double-tap: Mark the packet."
        assert_text "Pocket phone, Edge key, long-press: Answer the call."
      end
      assert_accessible
      click_button sentence("history.bringRevisionBack", number: "1")
      assert_text "Revision 4, saved"
      lane { assert_no_text "Answer the call" }
      click_button sentence("desk.undo")
      assert_text "Revision 5, saved"
      lane { assert_text "Answer the call" }
    end

    def test_any_two_are_compared_in_words_and_in_lanes_and_a_state_gets_a_note
      open_desk
      assign("double-tap", "packet mark")
      assign("long-press", "answer")
      click_button "Revision 3, saved"
      fill_in sentence("history.noteHowNow"), with: "before the new chair"
      click_button sentence("history.keepWithThisNote")
      assert_text "Revision 4, saved"
      assert_text "before the new chair"
      within("section[aria-label='#{sentence("history.compareTwo")}']") { assert_text sentence("history.nothingDiffers") }
      pick sentence("history.revision", number: "2"), from: sentence("history.from")
      within("section[aria-label='#{sentence("history.compareTwo")}']") do
        assert_text "Pocket phone, Edge key, long-press: Answer the call."
      end
      click_button sentence("history.showBothLanes")
      assert_selector "h2", text: sentence("lanes.revisionRevision", from: "2", to: "4")
      within("[data-button][aria-label='revision 2']") { assert_no_text "Answer the call" }
      within("[data-button][aria-label='revision 4']") { assert_button "long-press: Answer the call, at 500 ms." }
      assert_no_selector "[data-button='pocket-phone/volume-up']"
      assert_accessible
      click_button sentence("lanes.backLanesAsThey")
      lane { assert_button "long-press: Answer the call, at 500 ms. Change" }
    end

    def test_older_revisions_are_reached
      52.times { |count| save("timing", button: EDGE, setting: "long_press_ms", value: 500 + count) }
      open_desk
      click_button "Revision 53, saved"
      assert_selector "aside ol li", count: 50
      click_button sentence("history.olderOnes")
      assert_selector "aside ol li", count: 53
    end

    # What another saves is shown here without loading anew, and undo takes back that.
    def test_somebody_else_saves_and_it_is_shown_at_once
      open_desk
      save("assign", button: EDGE, gesture: "long_press", action: ACTIONS["long_press"])
      lane { assert_text "Answer the call" }
      assert_text "Revision 2, saved"
      assert_text sentence("desk.savedRevision", author: "Another specialist", number: "2")
    end

    # All that was kept of a client goes out, it is erased, and comes in again with its history.
    def test_a_whole_client_goes_out_and_comes_in_again
      save("assign", button: EDGE, gesture: "long_press", action: { "kind" => "help" })
      file = Tempfile.new(["client", ".json"])
      Server::Store::Everything.new(DATABASE, @client).pieces.each { |piece| file.write(piece) }
      file.flush
      Server::Store::Clients.new(DATABASE).erase(@client)
      sign_in_as("specialist")
      assert_no_link "Bram"
      attach_file sentence("caseload.withFittingFile"), file.path
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
      @client = URI(page.current_url).path.split("/")[2]
      assert_text "Revision 3, saved"
      go_to "/clients/#{@client}/assign?sheet=history"
      assert_selector "aside li", text: "with its history"
      assert_selector "aside li", text: "Another specialist"
    ensure
      file&.close!
    end
  end
end
