# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Android 10 ViewConfiguration.java (android-platform-frameworks-base 10.0.0+r36): a double
  # tap within 300 ms, a long press from 500 ms. That the window runs from the first up to the
  # second down is from memory. Kippen's unset timing is the same.
  class AndroidTest < ReferenceTest
    WINDOW_MS = 300
    LONG_MS = 500

    def read = fitting(%w[tap double_tap long_press], {})

    def test_the_double_tap_window_runs_from_up_to_down
      [60, 200, 400].each do |held|
        { %w[double_tap] => WINDOW_MS - 1, %w[tap tap] => WINDOW_MS + 1 }.each do |expected, apart|
          presses = [[0, "down"], [held, "up"], [held + apart, "down"], [held + WINDOW_MS + 60, "up"]]
          assert_equal expected, gestures(read, presses), "held #{held}"
        end
      end
    end

    def test_the_long_press
      assert_equal %w[tap], gestures(read, [[0, "down"], [LONG_MS - 1, "up"]])
      assert_equal %w[long_press], gestures(read, [[0, "down"], [LONG_MS + 1, "up"]])
      assert_equal LONG_MS * 1000, replay(read, [[0, "down"], [900, "up"]]).first.at_us
    end
  end
end
