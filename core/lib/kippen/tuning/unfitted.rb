# frozen_string_literal: true

module Kippen
  module Tuning
    # Timings that systems use for everybody, read from the packages named, to be held against what was fitted to one.
    module Unfitted
      TIMINGS = {
        # GTK 3.24.38, its documentation: double-click time 400 ms, counted from press to press; long-press 500 ms.
        unfitted_gtk: { "tap_gap_ms" => 400, "tap_gap_from" => "press", "long_press_ms" => 500 },
        # Qt 5.15.8, run offscreen: 400 ms from press to press; press and hold 800 ms.
        unfitted_qt: { "tap_gap_ms" => 400, "tap_gap_from" => "press", "long_press_ms" => 800 },
        # X server 21.1.7, xkbAccessX.c: slow keys 300 ms, bounce keys 300 ms, counted from letting go.
        unfitted_x: { "brush_guard_ms" => 300, "bounce_guard_ms" => 300, "bounce_guard_from" => "release" }
      }.freeze
      # What a counted press depends on, and no click that goes through to the host.
      COUNTED = %w[tap_gap_ms tap_gap_from long_press_ms].freeze

      module_function

      # { name => whole timing } that are others than the usual one for what is offered.
      def of(series, usual)
        idle = if series.pass_through?
                 COUNTED
               else
                 [*(COUNTED.first(2) unless series.offered.intersect?(%w[double_tap triple_tap])),
                  *("long_press_ms" unless series.offered.include?("long_press"))]
               end
        TIMINGS.transform_values { |timing| usual.merge(timing.except(*idle)) }.reject { |_, timing| timing == usual }
      end
    end
  end
end
