# frozen_string_literal: true

require_relative "helper"
require_relative "by_keyboard"
require_relative "in_sight"

module Kippen
  # How much stands on a screen, by day and by night, wide and narrow; and that nothing is covered or lost.
  class LooksTest < SystemTest
    include ByKeyboard
    include InSight

    WIDTHS = [[1280, 800], [640, 400], [360, 740]].freeze

    def emulate(**features)
      browser.execute_cdp("Emulation.setEmulatedMedia",
                          features: features.map do |name, value|
                            { name: name.to_s.tr("_", "-"), value: }
                          end + [{ name: "prefers-reduced-motion", value: "reduce" }])
    end

    def teardown
      emulate
      super
    end

    def test_nine_lanes_stand_above_an_idle_bench
      demo("ottoline")
      open_step("assign")
      assert_selector "[data-button='mouse/forward']"
      assert_operator in_sight("[data-button]"), :>=, 9
      # Assigned or not.
      %w[left right middle back].each do |id|
        save("assign", button: "mouse/#{id}", gesture: "long_press", action: { "kind" => "help", "how" => "ask" })
      end
      assert_text "Revision 5, saved"
      assert_operator in_sight("[data-button]"), :>=, 9
    end

    def test_no_chip_covers_another_and_no_word_is_lost
      demo("ottoline")
      %w[long_press double_tap].each do |gesture|
        save("assign", button: "mouse/back", gesture:, action: { "kind" => "help", "how" => "ask" })
      end
      save("timing", button: "mouse/back", setting: "long_press_ms", value: 5000)
      save("timing", button: "mouse/forward", setting: "long_press_ms", value: 120)
      open_step("assign")
      WIDTHS.each do |width, height|
        resize(width, height)
        assert_selector "[data-button='mouse/back']", text: "Page before"
        nothing_lost("at #{width}")
        assert_fits
      end
      resize(1280, 800)
      within("[data-button='mouse/back']") { first("button[data-spot]").click }
      assert_selector "aside"
      nothing_lost("with the sheet open")
    end

    # What is drawn to scale follows a new width a moment later.
    def nothing_lost(where)
      eventually { covered.empty? && run_together.empty? }
      assert_empty covered, where
      assert_empty run_together, where
    end

    def test_the_first_lane_stands_on_the_first_screen
      demo("ottoline")
      open_step("assign")
      WIDTHS.drop(1).each do |width, height|
        resize(width, height)
        assert_selector "[data-button='mouse/left']"
        top = page.evaluate_script("document.querySelector('[data-button] button[data-spot]').getBoundingClientRect().top")
        assert_operator top, :<, height - 40, "at #{width}"
      end
    end

    # A boundary stands once, in its device's head; a button may have its own.
    def test_a_button_gets_a_time_of_its_own_and_gives_it_up
      demo("ottoline")
      open_step("assign")
      find("[data-button='mouse/back'] h4 button").click
      fill_in sentence("assign.longPressTime"), with: "900"
      click_button sentence("assign.setForThisButton", name: "long-press time")
      saved(2)
      within("[data-button='mouse/back']") do
        assert_selector "[role=slider][aria-label='Long-press time of Mouse, Back side " \
                        "button'][aria-valuetext='900 ms']"
      end
      assert_selector "[role=slider][aria-label^='Long-press time of Mouse']", count: 2
      assert_accessible
      click_button sentence("assign.asItsDeviceWithName", name: "Long-press time")
      saved(3)
      assert_selector "[role=slider][aria-label^='Long-press time of Mouse']", count: 1
    end

    def test_the_lanes_are_one_stop
      demo("ottoline")
      open_step("assign")
      assert_selector "[data-button='remote/up']"
      stops = page.evaluate_script("[...document.querySelectorAll('section[data-device] *')].filter((one) => one.tabIndex >= " \
                                   "0).length")
      assert_equal 1, stops
      landmarks = page.evaluate_script("document.querySelectorAll('main section[aria-label], main " \
                                       "section[aria-labelledby]').length")
      assert_operator landmarks, :<=, 4
    end

    BEYOND = "[...document.querySelectorAll('body *')].filter((one) => one.getBoundingClientRect().right > innerWidth + 1)" \
             ".map((one) => one.tagName + '.' + one.className).slice(0, 8)"
    def test_long_unbroken_names_push_nothing_off
      long = "Quillwort" * 13
      fitting = { "kippen" => "fitting/1", "client" => { "name" => long, "about" => long },
                  "hosts" => [{ "id" => "h", "name" => long, "system" => "computer" }],
                  "wants" => [{ "id" => "w", "what" => long }],
                  "devices" => [{ "id" => "d", "name" => long, "host" => "h",
                                  "buttons" => [{ "id" => "a", "name" => long, "builtin" => long },
                                                { "id" => "b", "name" => long }] }] }
      @client = add_client(Fitting.read(fitting))
      %w[wants devices assign].product(WIDTHS).each do |step, (width, height)|
        resize(1280, 800)
        open_step(step)
        resize(width, height)
        eventually { page.evaluate_script(BEYOND).empty? }
        assert_empty page.evaluate_script(BEYOND), "#{step} at #{width}"
        assert_fits
      end
    end

    # What an address alone does not lead to (screens_test has the rest).
    def test_by_night_the_sheet_and_the_command_bar_are_accessible_too
      emulate(prefers_color_scheme: "dark")
      demo("ottoline")
      open_step("assign")
      assert_equal sentence("shared.ui.dark"), page.evaluate_script("document.documentElement.dataset.light")
      within("[data-button='mouse/back']") { first("button[data-spot]").click }
      assert_selector "aside"
      assert_accessible
      find("body").send_keys(:escape, [:control, "k"])
      assert_selector "dialog"
      assert_accessible
      find("dialog input").send_keys(:escape)
      find("body").send_keys(:f1)
      assert_selector "aside h2", text: sentence("desk.keysHowLooks")
      pick sentence("shared.ui.light"), from: sentence("shared.ui.lightDark")
      assert_equal sentence("shared.ui.light"), page.evaluate_script("document.documentElement.dataset.light")
    end

    def test_forced_colours_keep_boundaries_and_choices
      emulate(forced_colors: "active")
      demo("ottoline")
      open_step("assign")
      assert_selector "[data-button='mouse/left'] [data-kind=ignored]"
      edges = page.evaluate_script(<<~JS)
        ["[role=slider] span", "[data-button='mouse/left'] [data-kind=ignored]", ".ant-radio-button-wrapper-checked"].map((one) => {
          const style = getComputedStyle(document.querySelector(one))
          return Math.max(...[style.borderTopWidth, style.outlineWidth].map(parseFloat)) > 0
        })
      JS
      assert_equal [true] * 3, edges
    end

    def test_the_focus_never_falls_to_the_page
      demo("ottoline")
      open_step("devices")
      find("button[aria-label='Getting ready: one step to go, Mouse']").send_keys(:enter)
      first("button[aria-label^='Done: ']").send_keys(:enter)
      saved(2)
      kept("Done")
      go sentence("bench.teachButtons")
      press_key("F8", 0.05)
      press(:escape)
      kept("after teaching")
      go sentence("bench.startListening")
      kept("listening")
      press(:escape, :escape)
      kept("listening no more")
    end

    def kept(words)
      eventually { !page.evaluate_script("document.activeElement === document.body") }
      refute_equal "BODY", page.evaluate_script("document.activeElement.tagName"), words
    end

    def test_everything_is_found_by_name_and_single_keys_are_off_until_they_are_wanted
      demo("ottoline")
      open_step("assign")
      find("body").send_keys("w")
      assert_selector "a[aria-current='page']", text: sentence("devices.assign")
      find("body").send_keys([:control, "k"])
      find("dialog input").send_keys("louder")
      assert_selector "dialog [role=option]", text: "Louder"
      find("dialog [role=option]", text: /action\s*Louder/i).click
      assert_selector "[aria-label='#{sentence("lanes.handAlone")}']", text: "Louder"
      find("[data-button='mouse/back'] [aria-label^='Put it on the long-press']").click
      saved(2)
      within("[data-button='mouse/back']") { assert_button "long-press: Louder, at 500 ms. Change" }
      find("body").send_keys(:f1)
      find("label", text: "Single keys too").click
      find("body").send_keys("w")
      assert_selector "a[aria-current='page']", text: sentence("wants.step.stepName")
    end
  end
end
