# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"

module Kippen
  # Devices put together, got ready, their buttons found.
  class DevicesTest < SystemTest
    include ByKeyboard

    def fitting = Server::Store::Revisions.new(DATABASE).fitting(@client).first

    def card(name, &) = within("article[aria-label='#{name}']", &)

    # What the mouse does over the heading: no control, and no place that is kept for presses.
    def on_heading = browser.action.move_to(find("h2", text: sentence("devices.findButton")).native)

    def find_buttons
      open_step("devices")
      find("label", text: sentence("devices.findButton")).click
      click_button sentence("find.listenEverything")
      assert_text sentence("find.pressButton")
    end

    # From nothing, by keys alone: a host, a remote, its unknown key caught, named, and something to do given to it.
    def test_a_new_remote_from_nothing_to_a_caught_named_button_by_keyboard
      @client = add_client(Fitting.read("kippen" => "fitting/1", "client" => { "name" => "Somebody new" }))
      open_step("devices")
      assert_text "Begin with the devices they can work."
      add_a_remote
      catch_the_star_key
      assert_equal ["key:F9"], fitting.button("television-remote/star-key").codes
      tab_to sentence("find.giveSomethingDo", name: "Star key")
      assert_focus_shows
      press(:enter)
      assert_selector "aside h2", text: "Star key, tap"
      say("louder")
      go sentence("assign.putOn", gesture: "tap")
      assert_text "Revision 4, saved"
      assert_equal({ "kind" => "volume", "direction" => sentence("joined.up") }, fitting.assignments.first.action)
    end

    def add_a_remote
      go sentence("devices.addDevices")
      type sentence("devices.findKind"), "tv"
      go "Television remote"
      go "Add Television remote"
      assert_selector "h3", text: sentence("devices.television")
      assert_selector "article[aria-label='Television remote']"
      assert_accessible
    end

    def catch_the_star_key
      tab_to sentence("devices.putTogether"), back: true
      press(:arrow_right)
      go sentence("find.listenEverything")
      assert_text sentence("find.pressButton")
      press_key("F9", 0.05)
      assert_selector "article[aria-label='key F9']"
      assert_text sentence("find.noButtonThisClient")
      assert_accessible
      press(:escape, :escape)
      assert_button sentence("find.listenEverything")
      go sentence("find.newButton")
      type sentence("find.nameNewButton"), "Star key"
      go sentence("devices.addAlone")
      within("article[aria-label='key F9']") { assert_text "Television remote, Star key" }
    end

    def test_a_button_is_marked_while_it_is_down_with_its_codes
      demo("ottoline")
      find_buttons
      browser.action.move_to(find("h2", text: sentence("devices.findButton")).native).pointer_down(:back).perform
      within("article[aria-label='mouse back']") do
        assert_selector "strong", text: sentence("bench.down")
        assert_text "Mouse, Back side button"
        assert_text "BTN_SIDE 0x113"
        assert_text "page 0x9, usage 0x4"
        assert_selector "svg [data-down='true']"
      end
      browser.action.pointer_up(:back).perform
      assert_no_selector "article strong", text: sentence("bench.down")
      assert_accessible
    end

    def test_wheel_steps_are_heard_on_the_patch
      demo("ottoline")
      find_buttons
      browser.action(duration: 0)
        .scroll_from(Selenium::WebDriver::WheelActions::ScrollOrigin.element(find("[data-hears-primary]").native), 0, 120).perform
      assert_selector "article[aria-label='wheel down']", text: "Mouse, Wheel down"
    end

    def test_two_that_can_not_be_told_apart_and_keys_that_are_kept_are_said_so
      demo("ottoline")
      save("add_device", of: "mouse-five", name: "Second mouse", host: "computer")
      find_buttons
      on_heading.pointer_down(:forward).pointer_up(:forward).perform
      assert_text "Can’t be told apart: Mouse, Forward side button or Second mouse, Forward side button."
      press_key("F13", 0.05)
      assert_text "key F13"
    end

    def test_of_a_kind_that_comes_in_several_each_is_said_which
      demo("sunniva")
      variants = Server::KINDS.find("grip").variants
      open_step("devices")
      click_button sentence("devices.addDevices")
      2.times { find("aside li button", text: "Squeeze grip", match: :first).click }
      pick variants[1]["name"], from: "Squeeze grip 2 of 2: which"
      assert_accessible
      click_button "Add 2 devices"
      saved(2)
      assert_equal variants.first(2).map { |one| one["id"] }, fitting.devices.last(2).map(&:variant)
    end

    def test_a_switch_plugged_into_a_box_is_heard_as_its_socket
      demo("sunniva")
      save("take_out", id: "elbow-switch")
      open_step("devices")
      click_button sentence("devices.addDevices")
      click_button "Single switch"
      click_button "Add Single switch"
      assert_selector "article[aria-label='Single switch']", text: sentence("devices.sits", name: "Switch box", place: "2")
      find_buttons
      press_key("F2", 0.05)
      within("article[aria-label='key F2']") { assert_text "Single switch" }
    end

    def test_a_wrong_button_is_taken_out_and_comes_back_with_what_it_had
      demo("ottoline")
      before = fitting.document
      open_step("devices")
      card("Mouse") { click_button "9 buttons, Mouse" }
      click_button sentence("devices.takeOutWithName", name: "Forward side button")
      assert_selector "h3", text: sentence("devices.takenOutAlone")
      assert_nil fitting.button("mouse/forward")
      assert_empty(fitting.assignments.select { |one| one.button == "mouse/forward" })
      click_button sentence("devices.bringBackWithName", name: "Forward side button")
      assert_no_selector "h3", text: sentence("devices.takenOutAlone")
      assert_equal before["assignments"].sort_by(&:to_s), fitting.document["assignments"].sort_by(&:to_s)
      assert_equal before["devices"], fitting.document["devices"]
    end

    def test_a_mirrored_grip_and_one_hand_off
      demo("sunniva")
      open_step("devices")
      more_of("Grip left", sentence("devices.copyMirrorAlone"))
      assert_text "Squeeze → Squeeze"
      find("label", text: sentence("devices.mirroredLeftBecomesRight")).click
      choose sentence("devices.fromNowUntilLink")
      click_button sentence("devices.letFollow", name: "Grip right")
      assert_no_selector "aside"
      help = fitting.assignments.select { |one| one.action["kind"] == "help" }.map(&:button)
      assert_equal %w[grip-left/squeeze grip-right/squeeze], help
      more_of("Grip left", sentence("devices.switchOff"))
      card("Grip left") { assert_text sentence("devices.switchedOffKeptBut") }
      assert_equal([true, false], %w[grip-left grip-right].map { |id| fitting.device(id).off })
      more_of("Grip right", sentence("devices.copyMirrorAlone"))
      assert_text "Grip right follows Grip left"
      assert_accessible
      click_button sentence("devices.cutLink")
      assert_no_selector "aside"
      assert_empty fitting.links
    end

    def choose(label) = find("label", text: label).click

    def test_a_pen_gets_ready_part_by_part
      demo("bram")
      open_step("devices")
      card("Pen") do
        click_button "Getting ready: 2 steps to go, Pen"
        assert_text sentence("devices.only", part: "tail")
        assert_text "ticked off by Hollis Amberwood"
        assert_text "Not ready yet. The tail button does nothing. It was not heard yet: press one of its buttons."
      end
      click_button "Done: Pair the pen's buttons"
      card("Pen") { assert_text "ticked off by Demo specialist" }
      assert_accessible
      click_button sentence("devices.notDoneAfterAllWithTitle", title: "Pair the pen's buttons")
      card("Pen") { assert_text sentence("devices.doKippenSeesItself") }
    end

    def test_a_phones_steps_come_back_with_a_new_version
      demo("bram")
      open_step("devices")
      card("Pocket phone") { assert_button "Getting ready: one step to go, Pocket phone" }
      more_of("Pocket phone", "Change")
      fill_in sentence("devices.versionAlone"), with: "14"
      click_button sentence("devices.save")
      assert_no_selector "aside"
      card("Pocket phone") do
        click_button "Getting ready: 3 steps to go, Pocket phone"
        assert_text sentence("devices.doAgainWasDone", changedFrom: "13")
        assert_text sentence("devices.laterFirst", needs: "Let Kippen's helper hear the keys")
      end
    end

    # The start combination changes what the pad is: its buttons are keys then. Kippen hears the first one itself.
    def test_a_gamepad_that_was_started_as_a_keyboard
      demo("ignace")
      open_step("devices")
      card("Pad") do
        click_button "Getting ready: one step to go, Pad"
        assert_no_text "Start it as a gamepad"
      end
      find("label", text: sentence("devices.findButton")).click
      click_button sentence("find.listenEverything")
      press_key("KeyE", 0.05)
      assert_text "Pad, Lower round button"
      press_key("KeyM", 0.05)
      assert_text sentence("find.noButtonThisClient")
    end

    def test_what_kippen_hears_it_ticks_off_itself
      demo("ottoline")
      find_buttons
      on_heading.pointer_down(:back).pause(duration: 0.1).pointer_up(:back).perform
      assert_text "Mouse, Back side button"
      bench { assert_text "Back side button" }
      press(:escape, :escape)
      page.refresh
      open_step("devices")
      card("Mouse") { assert_button "Getting ready: all done, Mouse" }
    end
  end
end
