# frozen_string_literal: true

module Kippen
  module Press
    # How long each gesture waits on a button, exact from the rules, without pressing.
    module Waits
      # after – the moment it counts from: "press" (start of the gesture's last press),
      #         "release" (of that press) or "long_press" (start + long-press time)
      # us    – whole microseconds from there until the action happens; one that
      #         counts from the press can't come before the release is known
      Wait = Struct.new(:after, :us)

      # Takes a Resolver::Choice and a Timing; returns { gesture => Wait } for what is
      # assigned, { "builtin" => Wait } where nothing is.
      def self.of(choice, timing)
        return { "builtin" => Wait.new("press", timing.brush_guard_us) } if choice.kind != :assigned

        waits = {}
        waits["tap"] = tap(choice, timing) if choice.tap
        waits["double_tap"] = counted(choice, timing, 2) if choice.double_tap
        waits["triple_tap"] = counted(choice, timing, 3) if choice.triple_tap
        waits[choice.long.gesture] = long(choice, timing) if choice.long
        waits
      end

      def self.tap(choice, timing)
        sooner = choice.tap.at_once || choice.top == 1
        return gap(timing) unless sooner

        choice.long ? Wait.new("release", timing.gap_bridge_us) : Wait.new("press", timing.brush_guard_us)
      end

      # The count that is the highest fires as soon as its press is known.
      def self.counted(choice, timing, count)
        choice.top == count ? Wait.new("press", timing.brush_guard_us) : gap(timing)
      end

      def self.gap(timing)
        return Wait.new("press", timing.tap_gap_us) if timing.tap_gap_from == "press"

        Wait.new("release", [timing.tap_gap_us, timing.gap_bridge_us].max)
      end

      def self.long(choice, timing)
        return Wait.new("press", timing.brush_guard_us) if choice.lone_hold?

        Wait.new("long_press", [timing.brush_guard_us - timing.long_press_us, 0].max)
      end
      private_class_method :tap, :counted, :gap, :long
    end
  end
end
