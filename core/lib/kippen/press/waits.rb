# frozen_string_literal: true

module Kippen
  module Press
    # How long each gesture waits on a button, exact from the rules, without pressing.
    module Waits
      # after – the moment it counts from: "press" (start of the gesture's last press),
      #         "release" (of that press), "long_press" (start + long-press time) or
      #         "hold_end" (the button that is held beside it is let go)
      # us    – whole microseconds from there until the action happens; one that
      #         counts from the press can't come before the release is known
      # parts – what the time is spent on: { "brush_guard" | "gap_bridge" | "tap_gap" => µs }
      Wait = Struct.new(:after, :us, :parts) do
        def self.of(after, **parts) = new(after, parts.values.sum, parts.select { |_, us| us.positive? }.transform_keys(&:to_s))
      end

      # Takes a Resolver::Choice and a Timing; returns { gesture => Wait } for what is
      # assigned, { "builtin" => Wait } where nothing is, {} where the mode switches it off.
      def self.of(choice, timing)
        return {} if choice.kind == :blocked
        return { "builtin" => known(timing) } if choice.kind == :builtin

        waits = {}
        waits["tap"] = tap(choice, timing) if choice.tap
        waits["double_tap"] = counted(choice, timing, 2) if choice.double_tap
        waits["triple_tap"] = counted(choice, timing, 3) if choice.triple_tap
        waits[choice.long.gesture] = long(choice, timing) if choice.long
        waits
      end

      # As soon as the press is known.
      def self.known(timing) = Wait.of("press", brush_guard: timing.brush_guard_us)

      def self.tap(choice, timing)
        sooner = choice.tap.at_once || choice.top == 1
        return further(choice, timing) unless sooner

        choice.long ? Wait.of("release", gap_bridge: timing.gap_bridge_us) : known(timing)
      end

      # The count that is the highest fires as soon as its press is known, unless more are counted for as long as one holds.
      def self.counted(choice, timing, count)
        choice.top == count && !choice.unhurried? ? known(timing) : further(choice, timing)
      end

      def self.further(choice, timing) = choice.unhurried? ? Wait.of("hold_end") : gap(timing)

      def self.gap(timing)
        return Wait.of("press", tap_gap: timing.tap_gap_us) if timing.tap_gap_from == "press"

        bridge = timing.gap_bridge_us
        Wait.of("release", gap_bridge: bridge, tap_gap: [timing.tap_gap_us - bridge, 0].max)
      end

      def self.long(choice, timing)
        return known(timing) if choice.lone_hold?

        Wait.of("long_press", brush_guard: [timing.brush_guard_us - timing.long_press_us, 0].max)
      end
      private_class_method :known, :tap, :counted, :further, :gap, :long
    end
  end
end
