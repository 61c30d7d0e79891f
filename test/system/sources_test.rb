# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Everything this browser can hear: mouse buttons, pen, keys, gamepads; and how listening ends.
  class SourcesTest < SystemTest
    def setup
      super
      give_three_jobs
    end

    def teardown
      browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", identifier: @script) if @script
      super
    end

    def bind_by(words)
      click_button sentence("bench.teachButtons")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      yield
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Volume up")
      click_button sentence("bench.enoughEsc")
      assert_button "Pocket phone, Edge key: #{words} stands for it. Change"
    end

    def press_mouse(button) = browser.action.pointer_down(button).pause(duration: 0.05).pointer_up(button).perform

    def over_lanes = browser.action.move_to(find("h2", text: sentence("lanes.whatEachButtonDoes")).native).perform

    { back: "mouse back", middle: "mouse middle", right: "mouse right" }.each do |button, words|
      define_method("test_the #{words} button is heard and swallowed") do
        visit "about:blank"
        open_desk
        over_lanes
        bind_by(words) { press_mouse(button) }
        listen
        over_lanes
        press_mouse(button)

        assert_tiles "• tap → Wake the screen"
        assert_equal "/clients/#{@client}/assign", URI(page.current_url).path
      end
    end

    def test_a_second_mouse_button_while_one_is_down
      open_desk
      over_lanes
      bind_by("mouse right") { press_mouse(:right) }
      listen
      over_lanes
      browser.action.pointer_down(:middle).pointer_down(:right).pause(duration: 0.05).pointer_up(:right).pointer_up(:middle)
        .perform

      assert_tiles "• tap → Wake the screen"
    end

    def patch = find("[data-hears-primary]", text: "Press", match: :first)

    def test_the_left_button_is_taken_only_on_the_patch
      open_desk
      bind_by("mouse left") { browser.action.move_to(patch.native).click.perform }
      listen
      over_lanes
      browser.action.click.perform
      lane { click_button "tap: Wake the screen" }
      click_button sentence("caseload.close")
      browser.action.move_to(patch.native).click.perform
      assert_tiles "• tap → Wake the screen"

      click_button sentence("find.stopEscEsc")
      assert_button sentence("bench.startListening")
    end

    def test_a_pen
      open_desk
      pen = Selenium::WebDriver::Interactions.pointer(:pen, name: "pen")
      touch_down = lambda do |element|
        browser.action(devices: [pen]).move_to(element.native, device: "pen").pointer_down(:left, device: "pen")
          .pause(duration: 0.05, device: pen).pointer_up(:left, device: "pen").perform
      end
      bind_by("pen tip") { touch_down.call(patch) }
      listen
      touch_down.call(find("h2", text: sentence("lanes.whatEachButtonDoes")))
      touch_down.call(patch)

      assert_tiles "• tap → Wake the screen"
    end

    def with_a_pad
      @script = browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: <<~JS)["identifier"]
        const pad = { index: 0, timestamp: 0, axes: [], buttons: [0, 1, 2].map(() => ({ pressed: false, value: 0 })) }
        window.pressPad = (button, pressed) => { pad.buttons[button] = { pressed, value: pressed ? 1 : 0 }; pad.timestamp = performance.now() }
        navigator.getGamepads = () => [pad]
      JS
    end

    def tap_pad
      page.execute_script("pressPad(2, true)")
      sleep 0.1
      page.execute_script("pressPad(2, false)")
    end

    def test_a_gamepad
      with_a_pad
      open_desk
      bind_by("gamepad 1, button 2") { tap_pad }
      listen
      tap_pad

      assert_tiles "• tap → Wake the screen"
    end

    # A device that is first used appears by itself, and gets a name.
    def test_a_gamepad_that_nobody_has_added_yet
      with_a_pad
      open_step("devices")
      find("label", text: sentence("devices.findButton")).click
      click_button sentence("find.listenEverything")
      tap_pad
      within("article[aria-label='gamepad left']") do
        assert_text sentence("find.newDeviceOf")
        fill_in sentence("find.newDeviceCalled"), with: "Pad on the tray"
        click_button sentence("find.addNewDevice")
        assert_text "Pad on the tray, "
        assert_no_text sentence("find.newDeviceOf")
      end
      assert_accessible
    end

    def test_keys_typed_into_a_field_are_left_alone
      open_desk
      bind_edge_to "KeyA"
      listen
      lane { click_button "tap: Wake the screen" }
      find_field(sentence("assign.findAction")).send_keys "a"

      assert_field sentence("assign.findAction"), with: "a"
      assert_no_selector "ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] li"
    end

    def test_escape_twice_ends_listening_but_not_with_something_between
      open_desk
      bind_edge_to
      listen
      find("body").send_keys :escape
      press_key("F8", 0.05)
      find("body").send_keys :escape
      assert_button sentence("bench.listeningStopEscEsc")

      find("body").send_keys :escape
      assert_button sentence("bench.startListening")
      key("keyDown", "F8", moment)
      key("keyUp", "F8", moment)
      assert_tiles "• tap → Wake the screen"
    end

    def test_losing_the_focus_ends_listening
      open_desk
      bind_edge_to
      listen
      page.execute_script("window.dispatchEvent(new Event('blur'))")
      assert_button sentence("bench.startListening")
    end

    def test_a_pressed_button_is_marked_by_outline_and_word
      save("timing", button: EDGE, setting: "long_press_ms", value: 5000)
      save("timing", button: EDGE, setting: "tap_gap_ms", value: 3000)
      open_desk
      bind_edge_to
      listen
      key("keyDown", "F8", moment)
      lane { assert_text sentence("find.down"), exact: false }
      assert_text(/down; becomes long: \d+ of 5000 ms/)
      key("keyUp", "F8", moment)
      assert_text(/let go; waiting for a further press: \d+ of 3000 ms/)
      lane { assert_no_text sentence("find.down") }
    end

    def test_a_binding_can_be_taken_away
      open_desk
      bind_edge_to
      click_button sentence("bench.noLongerStandsFor", source: "key F8", name: "Pocket phone, Edge key")
      assert_no_selector "ul[aria-label='#{sentence("bench.whatStandsForWhichButton")}']"
    end
  end
end
