# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Who may do what, as each of them meets it.
  class PeopleTest < SystemTest
    include ByKeyboard

    def test_the_sign_in_and_the_demo_by_one_press
      visit "/"
      assert_selector "h2", text: sentence("signin.sign")
      assert_accessible
      fill_in sentence("service.eMailAddress"), with: "specialist@saltmarsh-row.example"
      fill_in sentence("signin.passwordAlone"), with: "not the password"
      click_button sentence("signin.sign")
      assert_text "The address or the password is not right"
      fill_in sentence("signin.passwordAlone"), with: PASSWORD
      click_button sentence("signin.sign")
      assert_selector "h1", text: sentence("caseload.clientsAlone")
      click_button sentence("shared.ui.signOut")
      assert_selector "h2", text: sentence("signin.sign")
      visit "/clients/#{@client}/assign"
      assert_selector "h2", text: sentence("signin.sign")
    end

    def test_a_first_service_of_ones_own
      visit "/"
      click_button sentence("signin.setUpYourOwn")
      fill_in sentence("signin.nameService"), with: "Withy Bed"
      fill_in sentence("signin.yourName"), with: "Una"
      fill_in sentence("signin.yourAddress"), with: "una@withy.example"
      fill_in sentence("signin.password"), with: PASSWORD
      click_button sentence("signin.setUp")
      assert_text "No client here yet"
      assert_text "Withy Bed"
    end

    def test_a_viewer_looks_and_can_not_change
      DATABASE[:viewings].insert(account_id: Server::Store::Accounts.new(DATABASE).demo_account("viewer"), client_id: @client)
      sign_in_as("viewer")
      assert_no_text sentence("caseload.takeClient")
      click_link "Bram Oduya-Lisle"
      assert_text "You may look."
      assert_selector "button[aria-label^='Wake the screen'][aria-disabled='true']"
      assert_no_button "Add a long-press"
      assert_no_button sentence("bench.startListening")
      assert_accessible
      find("[role=slider][aria-label='Long-press time of Pocket phone']").send_keys(:page_up, :enter)
      click_link sentence("devices.step.stepName")
      assert_selector "article"
      assert_no_button sentence("devices.addDevices")
      assert_no_button sentence("devices.takeOutWithName", name: "Pocket phone")
      click_link sentence("wants.step.stepName")
      assert_no_button sentence("wants.writeDown")
      assert_text "Revision 1, saved"
    end

    def test_a_foreign_service_sees_nothing
      accounts = Server::Store::Accounts.new(DATABASE)
      other = accounts.add_service("Withy Bed")
      accounts.add(other, email: "una@withy.example", name: "Una", role: "lead", password: PASSWORD)
      visit "/"
      fill_in sentence("service.eMailAddress"), with: "una@withy.example"
      fill_in sentence("signin.passwordAlone"), with: PASSWORD
      click_button sentence("signin.sign")
      assert_text "No client here yet"
      visit "/clients/#{@client}/assign"
      assert_text "There is nothing here by this name"
      assert_no_text "Bram"
    end

    def test_a_thousand_clients_are_searched_by_keyboard
      rows = Array.new(1000) { |index| { service_id: @service, name: "Client #{index}", revision: 1, seen_at: Time.now - 60 } }
      DATABASE[:clients].multi_insert(rows)
      sign_in_as("specialist")
      assert_selector "main li", count: 50
      tab_to sentence("caseload.showMoreClients")
      press(:enter)
      assert_selector "main li", count: 100
      tab_to sentence("caseload.findClient"), back: true
      press("987")
      assert_selector "main li", count: 1
      assert_accessible
      tab_to "Client 987"
      assert_focus_shows
    end

    def test_a_lead_erases_a_client_after_a_second_look
      sign_in_as("lead")
      click_button sentence("caseload.dataWithName", name: "Bram Oduya-Lisle")
      assert_text "Saved revisions of the fitting: 1"
      assert_accessible
      click_button sentence("caseload.erase", name: "Bram Oduya-Lisle")
      assert_button sentence("caseload.eraseForGood"), disabled: true
      fill_in sentence("caseload.eraseTypeName", name: "Bram Oduya-Lisle"), with: "Bram Oduya-Lisle"
      click_button sentence("caseload.eraseForGood")
      assert_text "No client here yet"
      click_link sentence("service.service")
      within("section[aria-labelledby='audit']") do
        assert_text "erased a client"
        assert_no_text "Bram"
      end
    end

    def test_a_lead_makes_an_account_and_names_a_client_to_it
      sign_in_as("lead")
      click_link sentence("service.service")
      within("form[aria-labelledby='new-account']") do
        fill_in sentence("service.name"), with: "Wilmot"
        fill_in sentence("service.eMailAddress"), with: "wilmot@saltmarsh-row.example"
        fill_in sentence("service.firstPassword"), with: PASSWORD
      end
      pick "Viewer: looks", from: sentence("service.role")
      click_button sentence("service.makeAccount")
      click_button sentence("service.changeAccount", name: "Wilmot")
      pick "Bram Oduya-Lisle", from: sentence("service.clientsTheyMayLook")
      press(:escape)
      assert_accessible
      eventually { DATABASE[:viewings].any? }
      assert_equal [@client], DATABASE[:viewings].select_map(:client_id)
    end

    def test_wants_are_written_down_by_keyboard_while_talking
      open_step("wants")
      type sentence("wants.whatDoTheyWant"), "answer phone"
      type sentence("wants.timesDay"), "6"
      pick_by_keys sentence("wants.wrongPress"), "is serious"
      press(:tab)
      tab_to sentence("wants.writeDown")
      press(:enter)
      assert_text "answer phone"
      assert_focused sentence("wants.whatDoTheyWant"), "the line is free again"
      assert_text sentence("wants.noButtonDoesYet")
      assert_text sentence("wants.meant", action: "Answer the phone")
      press("louder", :enter)
      assert_text "Pocket phone, Volume up: tap, by itself"
      assert_text sentence("wants.open", open: "1", count: "2")
      assert_accessible
      go "Change the want answer phone"
      assert_selector "aside h2", text: sentence("wants.want")
      press(:escape)
      assert_focused "Change the want answer phone"
    end
  end
end
