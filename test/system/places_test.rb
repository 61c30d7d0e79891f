# frozen_string_literal: true

require_relative "helper"
require_relative "where"
require_relative "by_keyboard"

module Kippen
  # The same few buttons do the right thing in each app: set up at the desk, pressed with real keys, seen on the
  # stand-in host; and the pointer moved by buttons.
  class PlacesTest < SystemTest
    include Where
    include ByKeyboard

    def test_an_apps_own_assignment_and_the_fallback_to_everywhere
      demo("sunniva")
      open_step("assign")
      pick(sentence("lanes.anotherPlace"), from: sentence("lanes.inPlace"))
      fill_in sentence("where.whichApp"), with: "Packetry"
      click_button sentence("where.add")
      saved(2)
      look_at(place: "in Packetry")
      lane_of("Knee switch") do
        assert_text "from every app"
        find("[aria-label^='tap: New log line']").click
      end
      choose_action("next packet", "Next packet")
      click_button sentence("assign.putOn", gesture: "tap")
      saved(3)
      show_screen
      bind("knee-switch/press" => "F8")
      pressed_in("Packetry", "Packetry shows the next packet.")
      pressed_in("Behind: Rookery", "Tidebook has begun a new line.")
    end

    # Refused where one looks, with the way out beside it.
    def test_a_second_version_of_an_app_is_a_second_app_made_in_one_press
      demo("sunniva")
      open_step("assign", view: "places")
      assert_text "Computer knows it where the app tells what is under the pointer."
      click_button sentence("where.addPlace")
      fill_in sentence("where.whichApp"), with: "Tidebook"
      click_button sentence("where.add")
      assert_text "Tidebook is there already: the same app, the same part"
      assert_no_text "/change"
      assert_accessible
      click_button sentence("where.makeSecond", name: "Tidebook 2")
      saved(2)
      assert_no_selector "aside"
      assert_button sentence("where.showLanesOf", name: "Tidebook 2")
    end

    def test_a_part_of_an_app_and_why
      demo("sunniva")
      open_step("assign")
      find("label", text: sentence("where.place"), exact_text: true).click
      click_button sentence("where.addPlace")
      find("label", text: "a part of its window").click
      fill_in sentence("where.whichApp"), with: "Rookery"
      fill_in sentence("where.partName"), with: "The margin"
      click_button sentence("where.add")
      assert_text "Rookery: The margin"
      click_button sentence("where.showLanesOf", name: "Rookery: The margin")
      lane_of("Elbow switch") do
        find("[aria-label^='Add a tap'], [aria-label^='tap:'], [aria-label*='Nothing known']", match: :first).click
      end
      choose_action("next page", "Next page")
      click_button sentence("assign.putOn", gesture: "tap")
      saved(3)
      show_screen
      screens = DATABASE[:screens].all
      point_at("Rookery: The margin")
      assert(eventually { DATABASE[:screens].all != screens })
      bind("elbow-switch/press" => "F8")
      press_key("F8", 0.05)
      said("Rookery has turned to the next page.")
      click_button sentence("where.answersTitle")
      seek("Elbow switch", from: sentence("where.button"))
      assert_text "as usual in Rookery: The margin has one"
    end

    def test_a_pen_as_a_mouse_with_three_buttons_and_one_app_different
      demo("bram")
      pen = "pen"
      open_step("assign")
      click_button sentence("arrange.arrangements")
      find("label", text: "Pen as a mouse with three buttons").click
      click_button sentence("arrange.put", name: "Pen")
      saved(2)
      save("place", place: { "app" => "packetry" })
      save("assign", button: "#{pen}/side-lower", gesture: "tap",
                     action: { "kind" => "app", "app" => "packetry", "command" => "mark" }, place: "packetry")
      open_step("assign", sheet: "answers", place: "packetry")
      seek("Lower side button", from: sentence("where.button"))
      assert_text "tap → Mark the packet"
      pick("every app", from: sentence("where.place"))
      assert_text "tap → Right click"
    end

    def test_four_switches_move_the_pointer
      demo("sunniva")
      open_step("assign")
      click_button sentence("arrange.arrangements")
      click_button sentence("arrange.pointerByButtons")
      seek("Knee switch", from: sentence("arrange.direction.up"))
      seek("Elbow switch", from: sentence("arrange.direction.right"))
      seek("Foot switch", from: sentence("arrange.direction.down"))
      seek("Cheek switch", from: sentence("arrange.direction.left"))
      assert_text(/Across the screen \(1280 px\) in [\d.]+ s\./)
      click_button sentence("arrange.putPointer")
      saved(2)
      show_screen
      before = pointer
      bind("elbow-switch/press" => "F8")
      press_key("F8", 0.9)
      eventually { pointer > before + 5 }
      assert_operator pointer, :>, before + 5, "held, it goes on"
    end

    def test_by_keys_alone
      demo("sunniva")
      open_step("assign", view: "places")
      go sentence("where.addPlace")
      assert_focused sentence("where.newPlace")
      type sentence("where.whichApp"), "Wrenbox"
      press(:escape) if page.has_selector?(".ant-select-dropdown", visible: true, wait: 0.2)
      go sentence("where.add")
      saved(2)
      open_step("assign", view: "modes")
      go sentence("where.addMode")
      type sentence("where.modeName"), "Evening"
      press(:enter)
      saved(3)
      go sentence("where.changeOf", name: "Evening")
      type sentence("where.modeName"), " radio"
      press(:enter)
      saved(4)
      open_step("assign", view: "shortlists")
      go sentence("where.upOf", name: "Next page")
      saved(5)
      go sentence("where.openWithOf", name: "Log")
      pick_by_keys "Button", "Foot switch"
      go sentence("where.put")
      saved(6)
      open_step("assign", view: "cues")
      tab_to "a press did not count: hear"
      press(:space)
      saved(7)
      counted_and_pointed_by_keys
    end

    def counted_and_pointed_by_keys
      open_step("assign", sheet: "count")
      { "Held" => "Elbow switch", "Counted" => "Grip right", "Once" => "Louder" }.each do |field, words|
        found_by_keys(field, words)
      end
      go sentence("where.put")
      saved(8)
      open_step("assign", sheet: "pointer")
      assert_text "Across the screen"
      go sentence("arrange.putPointer")
      saved(9)
      open_step("assign", sheet: "answers")
      found_by_keys "Button", "Grip right"
      assert_text sentence("lanes.itself")
    end

    # Types what is looked for in a list, and takes the first.
    def found_by_keys(field, words)
      tab_to(field)
      press(words)
      assert_selector ".ant-select-item-option-active", text: words
      press(:enter)
    end

    def test_the_views_are_accessible
      demo("sunniva")
      open_step("assign")
      %w[places modes shortlists cues].each do |view|
        open_step("assign", view: view)
        assert_selector "h2", text: sentence("where.whereAndWhen")
        assert_no_selector ".ant-spin-spinning"
        assert_accessible
      end
      open_step("assign", sheet: "answers")
      show_screen
      assert_accessible
      resize(360, 800)
      assert_fits
    end

    def pressed_in(element, words)
      if element == "Packetry"
        click_button sentence("screens.openApp")
        find("[role=menuitem]", text: "Open Packetry").click
        assert_button "Behind: Rookery"
      else
        point_at(element)
        assert_no_button element
      end
      press_key("F8", 0.05, at: moment(after: 0.5))
      said(words)
    end

    def pointer
      Float(page.evaluate_script("document.querySelector('[data-system] > span[aria-hidden=true]').style.left")
        .delete_suffix("%"))
    end
  end
end
