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
      assert_selector "h1", text: sentence("kinds.kinds")
    end

    def editor(&) = within("section[aria-labelledby='kind-title']", &)

    # Begun from a touchpad, with one more button.
    def make_one
      seek "Touchpad", from: sentence("kinds.beginWith")
      click_button sentence("kinds.begin")
      editor do
        fill_in sentence("kinds.name"), with: "Reed pad"
        click_button sentence("kinds.addButton")
        fill_in sentence("kinds.buttonName"), with: "Rim"
        fill_in sentence("kinds.itself", gesture: "tap"), with: "Louder"
      end
    end

    def test_a_touchpad_that_no_list_has
      make_one
      assert_accessible
      click_button sentence("kinds.keep")
      assert_selector "h2", text: "Reed pad"
      assert_text "edition 1, by Demo specialist, with no client"
      use_it
      change_it
      take_it_up
      in_another_service(given(sentence("kinds.asFileOf", name: "Reed pad")))
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
        assert_text sentence("devices.ofEdition", kind: "Reed pad", edition: "1")
        click_button "6 buttons, Reed pad"
        click_button sentence("devices.putRightWithName", name: "Rim")
      end
      within("aside") do
        fill_in "On a long-press", with: "Torch"
        click_button sentence("devices.putRight")
      end
      saved(3)
    end

    # One button less: edition 2.
    def change_it
      go_to("/kinds")
      click_link sentence("kinds.change", name: "Reed pad")
      editor do
        find("summary", text: "Rim").click
        click_button sentence("kinds.removeButtonOf", name: "Rim")
        click_button sentence("kinds.keepAs", edition: "2")
      end
      assert_text "edition 2, by Demo specialist, with one client"
      assert_no_button sentence("kinds.takeAwayOf", name: "Reed pad")
    end

    def take_it_up
      open_step("devices")
      within("article[aria-label='Reed pad']") do
        assert_text "edition 1"
        click_button sentence("devices.lookAtEditionOf", name: "Reed pad")
      end
      assert_text "Rim: Reed pad has it no longer. It is taken out with all there was to it"
      assert_accessible
      click_button sentence("devices.takeUp")
      saved(4)
      within("article[aria-label='Reed pad']") { assert_text sentence("devices.ofEdition", kind: "Reed pad", edition: "2") }
      assert_button sentence("devices.bringBackWithName", name: "Rim")
    end

    # The same person, in a service that knows nothing of it.
    def in_another_service(data)
      other = Server::Store::Accounts.new(DATABASE).add_service("Withy Bed")
      DATABASE[:accounts].where(service_id: @service, role: "specialist").update(service_id: other)
      page.refresh
      assert_text sentence("devices.noneYet")
      path = File.join(Dir.tmpdir, "reed-pad.kind.json").tap { |file| File.write(file, JSON.generate(data)) }
      attach_file sentence("kinds.orRead"), path, make_visible: true
      editor { click_button sentence("kinds.keep") }
      assert_text "edition 1, by Demo specialist, with no client"
      click_button sentence("kinds.takeAwayOf", name: "Reed pad")
      assert_text sentence("devices.noneYet")
    end

    # What the service found out of televisions, and a client's own takes up.
    def test_what_hosts_are_is_said_once_for_all
      click_link sentence("kinds.hostsOfService")
      within("section[aria-labelledby='hosts-title']") do
        all(:field, sentence("devices.linesItShows")).to_a.last.fill_in(with: "7")
        assert_accessible
        click_button sentence("kinds.keepAs", edition: "1")
      end
      assert_button sentence("kinds.keepAs", edition: "2")
      assert_equal 7, given(sentence("kinds.hostsAsFile"))["hosts"][0]["shortlist"]["most"]
      open_step("devices")
      click_button sentence("kinds.change", name: "Television")
      within("aside") do
        click_button sentence("devices.takeWhatServiceSays")
        assert_field sentence("devices.linesItShows"), with: "7"
        click_button sentence("devices.save")
      end
      saved(2)
      assert_equal 7, Server::Store::Revisions.new(DATABASE).head(@client).fitting.host(sentence("kinds.systems.television")).corrected["lines"]
    end

    # Two at one kind: who comes second sees by whom, and decides.
    def test_two_people_at_one_kind
      make_one
      click_button sentence("kinds.keep")
      assert_text "edition 1, by Demo specialist"
      account = Server::Store::Accounts.new(DATABASE).then { |accounts| accounts.open(accounts.demo_account("lead")) }
      kept = Server::Store::KeptKinds.new(DATABASE, account)
      kept.save(kept.document("reed-pad").merge("words" => "theirs"), 1)
      editor do
        fill_in sentence("kinds.name"), with: "Reed pad, mine"
        click_button sentence("kinds.keepAs", edition: "2")
        assert_text "kept edition 2 meanwhile. Yours stands here as you typed it."
        assert_field sentence("kinds.name"), with: "Reed pad, mine"
        click_button sentence("kinds.onTop")
      end
      assert_text "edition 3, by Demo specialist"
      editor { click_button sentence("kinds.putBack", edition: "2") }
      assert_text "edition 4, by Demo specialist"
      assert_field sentence("kinds.words"), with: "theirs"
    end

    # What was typed goes only where one says so.
    def test_what_was_typed_is_not_lost
      click_button sentence("kinds.begin")
      editor { fill_in sentence("kinds.name"), with: "Reed pad" }
      click_link sentence("caseload.clientsAlone")
      assert_selector "[role=alertdialog]", text: sentence("shared.ui.notSavedYet")
      click_button sentence("shared.ui.goOnWriting")
      editor { assert_field sentence("kinds.name"), with: "Reed pad" }
      editor { click_button sentence("kinds.close") }
      click_button sentence("shared.ui.leaveIt")
      assert_no_selector "section[aria-labelledby='kind-title']"
    end

    def test_what_is_wrong_is_told_at_its_field
      click_button sentence("kinds.begin")
      editor do
        find("summary", text: "First button").click
        fill_in sentence("kinds.heard"), with: "nose:1"
        click_button sentence("kinds.keep")
        assert_selector "[role=alert]", text: /must|no/
      end
      assert_accessible
    end
  end
end
