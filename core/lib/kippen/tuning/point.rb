# frozen_string_literal: true

module Kippen
  module Tuning
    # A timing as replays compare it: its durations in µs in fixed places, then what the timers of the engine and the host
    # come to together. values – [bridge, bounce guard, brush guard, long-press, tap gap, tap gap − bridge, brush guard −
    # long-press, double-click time + brush guard, the same − brush guard]; counts – from what guard and gap count, as a number
    class Point
      # Which values go with a setting, and whether they rise or fall as it rises.
      PLACES = { "gap_bridge_ms" => { 0 => 1, 5 => -1 }, "bounce_guard_ms" => { 1 => 1 },
                 "brush_guard_ms" => { 2 => 1, 6 => 1, 7 => 1, 8 => -1 },
                 "long_press_ms" => { 3 => 1, 6 => -1 }, "tap_gap_ms" => { 4 => 1, 5 => 1 } }.freeze
      # Those alone, always the same list.
      GOING_WITH = PLACES.transform_values { |ways| ways.keys.freeze }.freeze
      DURATIONS = [0, 1, 2, 3, 4].freeze
      SIZE = 9
      ALL = (0...SIZE).to_a.freeze

      DURATION_NAMES = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms long_press_ms tap_gap_ms].freeze

      attr_reader :values, :counts

      # given – { setting => value } of all settings; double_click_us – of the host, 0 where it counts nothing
      def initialize(given, double_click_us)
        @given = given
        durations = DURATION_NAMES.map { |name| Fitting::Timing.microseconds(given.fetch(name)) }
        bridge, _, brush, long, gap = durations
        @values = [*durations, gap - bridge, brush - long, double_click_us + brush, double_click_us - brush].freeze
        @counts = (given.fetch("bounce_guard_from") == "release" ? 2 : 0) + (given.fetch("tap_gap_from") == "release" ? 1 : 0)
      end

      # The Fitting::Timing.
      def timing = @timing ||= Fitting::Timing.from(@given)
    end
  end
end
