# frozen_string_literal: true

require_relative "../helper"

module Kippen
  class TimingTest < CoreTest
    MICROSECONDS = { 0 => 0, 500 => 500_000, 0.001 => 1, 12.345 => 12_345, 1.1 => 1100, 0.0005 => nil, 2.5e2 => 250_000 }.freeze

    def test_milliseconds_become_whole_microseconds_without_binary_rounding
      assert_equal(MICROSECONDS, MICROSECONDS.keys.to_h { |ms| [ms, Fitting::Timing.microseconds(ms)] })
    end

    def test_both_ends_of_a_range_are_allowed
      Fitting::Timing::SETTINGS.values.select(&:duration?).each do |setting|
        range = setting.range
        assert_equal [nil, nil], [range.begin, range.end].map { |value| Fitting::Timing.fault(setting, value) }, setting.name
        assert_equal(["is #{range.begin - 1}, must be #{range.begin} to #{range.end} ms",
                      "is #{range.end + 1}, must be #{range.begin} to #{range.end} ms"],
                     [range.begin - 1, range.end + 1].map { |value| Fitting::Timing.fault(setting, value) })
      end
    end

    # Android 10 ViewConfiguration.java (android-platform-frameworks-base 10.0.0+r36): long-press
    # 500 ms, double press within 300 ms. GTK 3.24.38 documentation: long-press 500 ms.
    def test_unset_timing_is_what_systems_use_unfitted
      timing = Fitting::Timing.from({})
      assert_equal [500_000, 300_000], [timing.long_press_us, timing.tap_gap_us]
    end
  end
end
