# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Who may do what, as each of them meets it.
  class PeopleTest < SystemTest
    include ByKeyboard

    def test_the_sign_in_and_the_demo_by_one_press
      visit "/"
      assert_selector "h2", text: "Sign in"
      assert_accessible
      fill_in "E-mail address", with: "specialist@saltmarsh-row.example"
      fill_in "Password", with: "not the password"
      click_button "Sign in"
      assert_text "The address or the password is not right"
      fill_in "Password", with: PASSWORD
      click_button "Sign in"
      assert_selector "h1", text: "Clients"
      click_button "Sign out"
      assert_selector "h2", text: "Sign in"
      visit "/clients/#{@client}/assign"
      assert_selector "h2", text: "Sign in"
    end

    def test_a_first_service_of_ones_own
      visit "/"
      click_button "Set up your own service"
      fill_in "Name of the service", with: "Withy Bed"
      fill_in "Your name", with: "Una"
      fill_in "Your address", with: "una@withy.example"
      fill_in "A password", with: PASSWORD
      click_button "Set it up"
      assert_text "No client here yet"
      assert_text "Withy Bed"
    end

    def test_a_viewer_looks_and_can_not_change
      DATABASE[:viewings].insert(account_id: Server::Store::Accounts.new(DATABASE).demo_account("viewer"), client_id: @client)
      sign_in_as("viewer")
      assert_no_text "Take in a client"
      click_link "Bram Oduya-Lisle"
      assert_text "You may look."
      assert_selector "button[aria-label^='Wake the screen'][aria-disabled='true']"
      assert_no_button "Add a long-press"
      assert_no_button "Start listening"
      assert_accessible
      find("[role=slider][aria-label='Long-press time of Pocket phone']").send_keys(:page_up, :enter)
      click_link "Devices"
      assert_selector "article"
      assert_no_button "Add devices"
      assert_no_button "Take out Pocket phone"
      click_link "Wants"
      assert_no_button "Write it down"
      assert_text "Revision 1, saved"
    end

    def test_a_foreign_service_sees_nothing
      accounts = Server::Store::Accounts.new(DATABASE)
      other = accounts.add_service("Withy Bed")
      accounts.add(other, email: "una@withy.example", name: "Una", role: "lead", password: PASSWORD)
      visit "/"
      fill_in "E-mail address", with: "una@withy.example"
      fill_in "Password", with: PASSWORD
      click_button "Sign in"
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
      tab_to "Show more clients"
      press(:enter)
      assert_selector "main li", count: 100
      tab_to "Find a client", back: true
      press("987")
      assert_selector "main li", count: 1
      assert_accessible
      tab_to "Client 987"
      assert_focus_shows
    end

    def test_a_lead_erases_a_client_after_a_second_look
      sign_in_as("lead")
      click_button "Data of Bram Oduya-Lisle"
      assert_text "Saved revisions of the fitting: 1"
      assert_accessible
      click_button "Erase Bram Oduya-Lisle …"
      assert_button "Erase for good", disabled: true
      fill_in "To erase, type the name: Bram Oduya-Lisle", with: "Bram Oduya-Lisle"
      click_button "Erase for good"
      assert_text "No client here yet"
      click_link "Service"
      within("section[aria-labelledby='audit']") do
        assert_text "erased a client"
        assert_no_text "Bram"
      end
    end

    def test_a_lead_makes_an_account_and_names_a_client_to_it
      sign_in_as("lead")
      click_link "Service"
      within("form[aria-labelledby='new-account']") do
        fill_in "Name", with: "Wilmot"
        fill_in "E-mail address", with: "wilmot@saltmarsh-row.example"
        fill_in "First password", with: PASSWORD
      end
      pick "Viewer: looks", from: "Role"
      click_button "Make the account"
      click_button "Change the account of Wilmot"
      pick "Bram Oduya-Lisle", from: "Clients they may look at"
      press(:escape)
      assert_accessible
      eventually { DATABASE[:viewings].any? }
      assert_equal [@client], DATABASE[:viewings].select_map(:client_id)
    end

    def test_wants_are_written_down_by_keyboard_while_talking
      open_step("wants")
      type "What do they want to do?", "answer phone"
      type "Times a day", "6"
      pick_by_keys "A wrong press", "is serious"
      press(:tab)
      tab_to "Write it down"
      press(:enter)
      assert_text "answer phone"
      assert_focused "What do they want to do?", "the line is free again"
      assert_text "no button does it yet"
      assert_text "meant: Answer the phone"
      press("louder", :enter)
      assert_text "Pocket phone, Volume up: tap, by itself"
      assert_text "1 of 2 open"
      assert_accessible
      go "Change the want answer phone"
      assert_selector "aside h2", text: "A want"
      press(:escape)
      assert_focused "Change the want answer phone"
    end
  end
end
