# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # The same few buttons do the right thing in each app and in each mode, and the client knows which: set up at the
  # desk, pressed with real keys, seen on the stand-in host.
  class WhereTest < SystemTest
    include ByKeyboard

    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze

    # buttons – { button => key }: what this browser hears stands for them.
    def bind(buttons)
      assert_button "Teach the buttons"
      nil
      patience = Time.now + Capybara.default_max_wait_time
      sleep 0.1 until (listener = DATABASE[:listeners].where(client_id: @client).get(:id)) || Time.now > patience
      buttons.each { |button, code| DATABASE[:bindings].insert(listener_id: listener, heard: "key:#{code}", button:) }
      page.refresh
      listen
      open_bench
    end

    def show_screen
      click_button "Their screen"
      assert_selector "section[aria-label^='Stand-in']"
    end

    # Finds in a long list by typing.
    def seek(option, from:)
      field = find_field(from)
      field.find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]").click
      field.send_keys(option)
      find(".ant-select-item-option", text: option, match: :first).click
    end

    # A press that is no part of the one before: the client's gap bridge carries presses across drop-outs.
    def press_anew(code, seconds)
      sleep 0.2
      press_key(code, seconds)
    end

    def said(words) = assert_selector("[data-said]", text: words)
    def point_at(element) = within("section[aria-label^='Stand-in']") { click_button element }
    def lane_of(name, &) = within("[data-button][aria-label^='#{name}']", &)

    def choose_action(words, name)
      fill_in "Find an action", with: words
      find("aside label", text: name, match: :first).click
    end

    def look_at(place: nil, mode: nil)
      pick(place, from: "Place") if place
      pick(mode, from: "Mode") if mode
    end

    def test_an_apps_own_assignment_and_the_fallback_to_everywhere
      demo("sunniva")
      open_step("assign")
      pick("Another place …", from: "Place")
      fill_in "Which app", with: "Packetry"
      click_button "Add it"
      saved(2)
      look_at(place: "in Packetry")
      lane_of("Knee switch") do
        assert_text "from every app"
        find("[aria-label^='tap: New log line']").click
      end
      choose_action("next packet", "Next packet")
      click_button "Put it on the tap"
      saved(3)
      show_screen
      bind("knee-switch/press" => "F8")
      pressed_in("Packetry", "Packetry shows the next packet.")
      pressed_in("Behind: Rookery", "Tidebook has begun a new line.")
    end

    # Where the client is, what a press comes to.
    def pressed_in(element, words)
      if element == "Packetry"
        click_button "Open an app"
        find(".ant-dropdown-menu-item", text: "Open Packetry").click
      else
        point_at(element)
      end
      sleep 0.5
      press_key("F8", 0.05)
      said(words)
    end

    def test_a_part_of_an_app_and_why
      demo("sunniva")
      open_step("assign")
      find("label", text: "Where", exact_text: true).click
      click_button "Add a place"
      find("label", text: "a part of its window").click
      fill_in "Which app", with: "Rookery"
      fill_in "What the part is called", with: "The margin"
      click_button "Add it"
      assert_text "Rookery: The margin"
      click_button "Show its lanes: Rookery: The margin"
      lane_of("Elbow switch") { find("[aria-label^='Add a tap'], [aria-label^='tap:'], [aria-label*='Nothing known']", match: :first).click }
      choose_action("next page", "Next page")
      click_button "Put it on the tap"
      saved(3)
      show_screen
      point_at("Rookery: The margin")
      bind("elbow-switch/press" => "F8")
      press_key("F8", 0.05)
      said("Rookery has turned to the next page.")
      click_button "What would it do?"
      seek("Elbow switch", from: "Button")
      assert_text "as usual in Rookery: The margin has one"
    end

    def test_a_modifier_until_pressed_again_and_only_while_held_with_its_cue
      demo("ottoline")
      button = first_button
      save("assign", button:, gesture: "long_press", action: { "kind" => "modifier", "key" => "Shift", "how" => "lock" })
      save("cues", cues: { "done" => %w[see] })
      open_step("assign")
      show_screen
      bind(button => "F8")
      press_key("F8", 0.9)
      said("Shift is pressed.")
      assert_selector "[data-cue]", text: "Shift"
      save("assign", button:, gesture: "hold", action: { "kind" => "modifier", "key" => "Control", "how" => "held" })
      assert_text "Revision 4, saved"
      press_key("F8", 0.9)
      said("Control is pressed.")
    end

    def first_button = DEMO_OTTOLINE
    DEMO_OTTOLINE = "mouse/back"

    def test_a_mode_without_a_way_back_is_told_and_put_right_by_one_press
      demo("sunniva")
      save("mode", mode: { "name" => "Bells", "otherwise" => "nothing" })
      open_step("assign")
      lane_of("Foot switch") { find("[aria-label^='Add a long-press']").click }
      choose_action("bells on", "Bells on or off")
      assert_text "Bells has no way back wherever the client is: once it is on, no button ends it."
      click_button "Put it on the long-press"
      within("main") { assert_selector "[role='alert']", text: "Bells has no way back" }
      click_button "Add the way back"
      assert_no_selector "[role='alert']", text: "Bells has no way back"
      show_screen
      bind("foot-switch/press" => "F8")
      press_anew("F8", 0.9)
      assert_selector "section[aria-label^='Stand-in']", text: "Bells until changed"
      press_anew("F8", 0.9)
      assert_no_selector "section[aria-label^='Stand-in']", text: "Bells until changed"
    end

    def test_a_shortlist_stepped_with_one_button_and_reordered
      demo("sunniva")
      open_step("assign")
      visit "/clients/#{@client}/assign?view=shortlists"
      click_button "Ask for help: one up"
      saved(2)
      assert_equal ["New log line", "Take it back", "Ask for help", "Next page"], all("main ol li > span").map(&:text).first(4)
      find("button[aria-label='Ask for help: one up']").send_keys(:enter)
      saved(3)
      assert_equal "Ask for help", all("main ol li > span")[1].text
      show_screen
      point_at("Behind: Tidebook")
      bind("cheek-switch/press" => "F8")
      press_anew("F8", 0.9)
      assert_selector "ol[aria-label='Shortlist Log'] li[data-marked='true']", text: "New log line"
      press_anew("F8", 0.05)
      assert_selector "ol[aria-label='Shortlist Log'] li[data-marked='true']", text: "Ask for help"
      press_anew("F8", 0.9)
      said("The call for help has gone out.")
      assert_no_selector "ol[aria-label='Shortlist Log']"
    end

    def test_a_shortlist_at_the_hosts_limit_and_the_refused_one_more
      demo("bram")
      host = "phone"
      lines = (1..6).map { |number| { "action" => { "kind" => "text", "text" => "Packet #{number}" } } }
      save("shortlist", shortlist: { "name" => "Often", "host" => host, "items" => lines })
      open_step("assign")
      visit "/clients/#{@client}/assign?view=shortlists"
      assert_text "6 of 6 lines"
      click_button "Change Often"
      click_button "Add a line"
      seek("Louder", from: "Line 7")
      click_button "Save"
      within("aside") { assert_text "Phone shows 6 lines of a shortlist; these are 7. Take out Louder." }
      assert_accessible
    end

    def test_hold_one_and_press_the_other_once_to_four_times
      demo("sunniva")
      open_step("assign")
      visit "/clients/#{@client}/assign?view=modes"
      click_button "Hold one, count the other"
      seek("Elbow switch", from: "Held")
      seek("Foot switch", from: "Counted")
      seek("Louder", from: "Once")
      seek("Quieter", from: "Twice")
      seek("Next page", from: "Three times or more")
      click_button "Put it there"
      saved(2)
      assert_selector "li", text: "Elbow switch held"
      show_screen
      bind("elbow-switch/press" => "F8", "foot-switch/press" => "F9")
      { 1 => "The sound is one step louder.", 2 => "The sound is one step quieter.", 3 => "Rookery has turned to the next page.", 4 => "Next page: 2." }
        .each { |count, words| counted(count) && said(words) }
    end

    # So many presses of one while the other is held, stamped as a hand would make them.
    def counted(count)
      at = Time.now.to_f
      key("keyDown", "F8", at)
      count.times do |index|
        key("keyDown", "F9", at + 0.15 + (index * 0.2))
        key("keyUp", "F9", at + 0.22 + (index * 0.2))
      end
      key("keyUp", "F8", at + 0.3 + (count * 0.2))
    end

    def test_four_switches_move_the_pointer
      demo("sunniva")
      open_step("assign")
      click_button "Arrangements"
      click_button "Move the pointer with buttons"
      seek("Knee switch", from: "Up")
      seek("Elbow switch", from: "Right")
      seek("Foot switch", from: "Down")
      seek("Cheek switch", from: "Left")
      assert_text(/Across the screen \(1280 px\) in [\d.]+ s\./)
      click_button "Let them move the pointer"
      saved(2)
      show_screen
      before = pointer
      bind("elbow-switch/press" => "F8")
      press_key("F8", 0.9)
      patience = Time.now + Capybara.default_max_wait_time
      sleep 0.1 until pointer > before + 5 || Time.now > patience
      assert_operator pointer, :>, before + 5, "held, it goes on"
    end

    def pointer = Float(page.evaluate_script("document.querySelector('[data-system] > span[aria-hidden=true]').style.left").delete_suffix("%"))

    def test_a_pen_as_a_mouse_with_three_buttons_and_one_app_different
      demo("bram")
      pen = "pen"
      open_step("assign")
      click_button "Arrangements"
      find("label", text: "Pen as a mouse with three buttons").click
      click_button "Put it on Pen"
      saved(2)
      save("place", place: { "app" => "packetry" })
      save("assign", button: "#{pen}/side-lower", gesture: "tap", action: { "kind" => "app", "app" => "packetry", "command" => "mark" }, place: "packetry")
      visit "/clients/#{@client}/assign?sheet=answers&place=packetry"
      seek("Lower side button", from: "Button")
      assert_text "tap → Mark the packet"
      pick("every app", from: "Where")
      assert_text "tap → Right click"
    end

    def test_by_keys_alone
      demo("sunniva")
      open_step("assign")
      visit "/clients/#{@client}/assign?view=places"
      go "Add a place"
      assert_focused "A new place"
      type "Which app", "Wrenbox"
      press(:escape) if page.has_selector?(".ant-select-dropdown", visible: true, wait: 0.2)
      go "Add it"
      saved(2)
      visit "/clients/#{@client}/assign?view=modes"
      go "Add a mode"
      type "What it is called", "Evening"
      press(:enter)
      saved(3)
      go "Change Evening"
      type "What it is called", " radio"
      press(:enter)
      saved(4)
      visit "/clients/#{@client}/assign?view=shortlists"
      go "Next page: one up"
      saved(5)
      go "Open it with a button: Log"
      pick_by_keys "Button", "Foot switch"
      go "Put it there"
      saved(6)
      visit "/clients/#{@client}/assign?view=cues"
      tab_to "a press did not count: hear"
      press(:space)
      saved(7)
    end

    def test_the_views_are_accessible
      demo("sunniva")
      open_step("assign")
      %w[places modes shortlists cues].each do |view|
        visit "/clients/#{@client}/assign?view=#{view}"
        assert_selector "h2", text: "Where and when"
        assert_no_selector ".ant-spin-spinning"
        assert_accessible
      end
      visit "/clients/#{@client}/assign?sheet=answers"
      show_screen
      assert_accessible
      resize(360, 800)
      assert_fits
    end
  end
end
