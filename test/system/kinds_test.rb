# frozen_string_literal: true

require_relative "helper"
require_relative "where"

module Kippen
  # A touchpad that no list has: made on its page, used, put right for one client, changed, taken up, given away as a file
  # and used in another service.
  class KindsTest < SystemTest
    include Where

    def setup
      super
      demo("ottoline")
      sign_in("specialist")
      @signed_in = true
      visit "/kinds"
      assert_selector "h1", text: "Kinds of device"
    end

    def editor(&) = within("section[aria-labelledby='kind-title']", &)

    # Begun from a touchpad, with one more button.
    def make_one
      seek "Touchpad", from: "It begins as"
      click_button "Begin it"
      editor do
        fill_in "What it is called", with: "Reed pad"
        click_button "One more button"
        fill_in "Its name", with: "Rim"
        fill_in "By itself on a tap", with: "Louder"
      end
    end

    def test_a_touchpad_that_no_list_has
      make_one
      assert_accessible
      click_button "Keep it"
      assert_selector "h2", text: "Reed pad"
      assert_text "edition 1, by Demo specialist, with no client"
      use_it
      change_it
      take_it_up
      in_another_service(given("Reed pad as a file"))
    end

    def given(link)
      go_to("/kinds")
      JSON.parse(page.evaluate_async_script("fetch(arguments[0]).then((r) => r.text()).then(arguments[1])",
                                            find_link(link)[:href]))
    end

    def use_it
      open_step("devices", sheet: "new-device")
      within("aside") { find("li button", text: "Reed pad", match: :first).click }
      click_button "Add Reed pad"
      saved(2)
      within("article[aria-label='Reed pad']") do
        assert_text "Reed pad, edition 1"
        click_button "6 buttons, Reed pad"
        click_button "Put it right: Rim"
      end
      within("aside") do
        fill_in "On a long-press", with: "Torch"
        click_button "Put it right"
      end
      saved(3)
    end

    # One button less: edition 2.
    def change_it
      go_to("/kinds")
      click_link "Change Reed pad"
      editor do
        find("summary", text: "Rim").click
        click_button "It has no Rim"
        click_button "Keep it as edition 2"
      end
      assert_text "edition 2, by Demo specialist, with one client"
      assert_no_button "Take Reed pad away"
    end

    def take_it_up
      open_step("devices")
      within("article[aria-label='Reed pad']") do
        assert_text "edition 1"
        click_button "See what it changes for Reed pad"
      end
      assert_text "Rim: Reed pad has it no longer. It is taken out with all there was to it"
      assert_accessible
      click_button "Take it up"
      saved(4)
      within("article[aria-label='Reed pad']") { assert_text "Reed pad, edition 2" }
      assert_button "Bring back Rim"
    end

    # The same person, in a service that knows nothing of it.
    def in_another_service(data)
      other = Server::Store::Accounts.new(DATABASE).add_service("Withy Bed")
      DATABASE[:accounts].where(service_id: @service, role: "specialist").update(service_id: other)
      page.refresh
      assert_text "None yet."
      path = File.join(Dir.tmpdir, "reed-pad.kind.json").tap { |file| File.write(file, JSON.generate(data)) }
      attach_file "Or read one from a file", path, make_visible: true
      editor { click_button "Keep it" }
      assert_text "edition 1, by Demo specialist, with no client"
      click_button "Take Reed pad away"
      assert_text "None yet."
    end

    # What the service found out of televisions, and a client's own takes up.
    def test_what_hosts_are_is_said_once_for_all
      click_link "What hosts are here"
      within("section[aria-labelledby='hosts-title']") do
        all(:field, "Lines of a shortlist it shows").to_a.last.fill_in(with: "7")
        assert_accessible
        click_button "Keep it as edition 1"
      end
      assert_button "Keep it as edition 2"
      assert_equal 7, given("As a file: what hosts are")["hosts"][0]["shortlist"]["most"]
      open_step("devices")
      click_button "Change Television"
      within("aside") do
        click_button "Take what it says"
        assert_field "Lines of a shortlist it shows", with: "7"
        click_button "Save"
      end
      saved(2)
      assert_equal 7, Server::Store::Revisions.new(DATABASE).head(@client).fitting.host("television").corrected["lines"]
    end

    # Two at one kind: who comes second sees by whom, and decides.
    def test_two_people_at_one_kind
      make_one
      click_button "Keep it"
      assert_text "edition 1, by Demo specialist"
      account = Server::Store::Accounts.new(DATABASE).then { |accounts| accounts.open(accounts.demo_account("lead")) }
      kept = Server::Store::KeptKinds.new(DATABASE, account)
      kept.save(kept.document("reed-pad").merge("words" => "theirs"), 1)
      editor do
        fill_in "What it is called", with: "Reed pad, mine"
        click_button "Keep it as edition 2"
        assert_text "kept edition 2 meanwhile. Yours stands here as you typed it."
        assert_field "What it is called", with: "Reed pad, mine"
        click_button "Keep mine on top of it"
      end
      assert_text "edition 3, by Demo specialist"
      editor { click_button "Put edition 2 back" }
      assert_text "edition 4, by Demo specialist"
      assert_field "Other words to find it by", with: "theirs"
    end

    # What was typed goes only where one says so.
    def test_what_was_typed_is_not_lost
      click_button "Begin it"
      editor { fill_in "What it is called", with: "Reed pad" }
      click_link "Clients"
      assert_selector "[role=alertdialog]", text: "What you wrote here is not saved."
      click_button "Go on writing"
      editor { assert_field "What it is called", with: "Reed pad" }
      editor { click_button "Close it" }
      click_button "Leave it unsaved"
      assert_no_selector "section[aria-labelledby='kind-title']"
    end

    def test_what_is_wrong_is_told_at_its_field
      click_button "Begin it"
      editor do
        find("summary", text: "First button").click
        fill_in "How a browser hears it", with: "nose:1"
        click_button "Keep it"
        assert_selector "[role=alert]", text: /must|no/
      end
      assert_accessible
    end
  end
end
