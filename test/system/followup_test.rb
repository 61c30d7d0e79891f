# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What became of it since last time, on one page.
  class FollowupTest < SystemTest
    def setup
      super
      demo("ottoline")
      save("assign", button: "mouse/back", gesture: "long_press", action: { "kind" => "help" })
    end

    def open_followup
      sign_in("specialist")
      visit "/clients/#{@client}/followup"
      assert_selector "h2", text: sentence("followup.title")
    end

    def part(title, &) = within("section[aria-label='#{sentence("followup.#{title}")}']", &)

    def test_what_changed_works_now_and_is_open
      open_followup
      part("differs") { assert_text "long-press: Ask for help" }
      part("works") { assert_selector "li", text: /Call somebody to come\s*#{sentence("followup.gained")}/ }
      part("worksNot") { assert_text "Write down who rang which bell" }
      part("devices") { assert_text "Mouse: #{sentence("handed.nothingYet")}" }
      part("findings") { assert_no_text "No button asks for help" }
      assert_accessible
      find("summary", text: sentence("followup.oneByOne")).click
      part("differs") { assert_selector "h4", text: /Revision 2, .*, Another specialist/ }
    end

    # Somebody saves meanwhile: it is there without asking; what is taken back is told as that.
    def test_what_is_tried_and_given_up
      open_followup
      click_button sentence("desk.undo")
      saved(3)
      part("givenUp") { assert_text "Revision 2 was taken back." }
      part("worksNot") { assert_text "Call somebody to come" }
      save("timing", button: "mouse/left", setting: "tap_gap_ms", value: 500)
      part("differs") { assert_text "500 ms" }
    end

    def test_the_next_visit_and_a_narrow_page
      open_followup
      fill_in sentence("followup.nextVisit"), with: "12/10/2026"
      find("h2", text: sentence("followup.title")).click
      saved(3)
      assert_equal "2026-12-10", Server::Store::Revisions.new(DATABASE).document(@client, 3).dig("client", "next_visit")
      part("differs") { assert_text "The next visit is on 2026-12-10." }
      resize(360, 740)
      assert_fits
      assert_accessible
    end
  end
end
