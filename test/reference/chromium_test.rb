# frozen_string_literal: true

require_relative "helper"
require_relative "real_screen"

module Kippen
  # Chromium's own click count: `event.detail` of real clicks (XTEST, in a window of its own on
  # a virtual X display), against a double-tap counted from press to press. That its window is
  # 500 ms is from memory; here it is measured. Whatever the machine's mood, what is compared
  # are the times that the browser itself stamped.
  class ChromiumTest < ReferenceTest
    include RealScreen

    WINDOW_MS = 500
    # Asked of the clicks' sender; what the browser stamps differs by some milliseconds.
    GAPS_MS = [90, 200, 350, 440, 470, 530, 560, 700].freeze
    # So near to the window's end the two clocks' rounding decides.
    UNSURE_MS = 3

    # [[ms, "down" | "up", detail]…] of pairs of real clicks.
    def clicks(browser, environment)
      browser.get("data:text/html,<body style='height:2000px'>click")
      browser.execute_script(<<~JS)
        window.heard = []
        for (const [type, kind] of [["mousedown", "down"], ["mouseup", "up"]])
          addEventListener(type, (event) => heard.push([event.timeStamp, kind, event.detail]))
      JS
      system(environment, "xdotool", "mousemove", "400", "450")
      GAPS_MS.each do |gap|
        system(environment, "xdotool", "click", "1", "sleep", (gap / 1000.0).to_s, "click", "1", "sleep", "0.8")
      end
      browser.execute_script("return heard")
    end

    def test_double_clicks_are_counted_as_chromium_does
      heard = on_a_real_screen { |browser, environment| clicks(browser, environment) }
      assert_equal GAPS_MS.size * 4, heard.size
      read = fitting(%w[tap double_tap], { "tap_gap_ms" => WINDOW_MS, "tap_gap_from" => "press" })
      sure = heard.each_slice(4).reject { |pair| (pair[2][0] - pair[0][0] - WINDOW_MS).abs < UNSURE_MS }
      counted = sure.map do |pair|
        twice = gestures(read, pair.map { |ms, kind, _| [ms - pair[0][0], kind] }) == %w[double_tap]
        assert_equal pair[2][2] == 2, twice, "#{pair[2][0] - pair[0][0]} ms apart"
        twice
      end
      assert_includes counted, true
      assert_includes counted, false
    end
  end
end
