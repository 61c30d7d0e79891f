# frozen_string_literal: true

module Kippen
  module Check
    # A value that a gesture assigned there uses and that its device or host can't be set to; the nearest is offered.
    class NotSettable < Finder
      ID = "not_settable"

      def findings = @case.buttons.flat_map { |button| of(button) }

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        name, nearest = finding.figures.values_at("setting", "nearest")
        [[Words.say(:fix_set_to, setting: Words.setting(name), value: Words.value(name, nearest), button: name(button)),
          { "kind" => "timing", "button" => button.ref, "setting" => name, "value" => nearest }]]
      end

      private

      def of(button)
        settable = @case.kinds.settable(@fitting.device(button.device), @fitting.host(button.host))
        given = @fitting.timing(button).settings
        used(button).filter_map do |name|
          nearest = Kinds::Settable.nearest(settable[name], given[name])
          next if nearest == given[name]

          unsettable(button, name, given[name], nearest)
        end
      end

      def unsettable(button, name, value, nearest)
        device = @fitting.device(button.device)
        words = Words.say(:check_not_settable, button: name(button), setting: Words.setting(name),
                                               value: Words.value(name, value),
                                               device: device.name || device.id, nearest: Words.value(name, nearest))
        found("serious", words, where: { "button" => button.ref, "setting" => name },
                                figures: { "setting" => name, "value" => value, "nearest" => nearest },
                                rests_on: timing_of(button))
      end

      # The settings that what is assigned here is decided by.
      def used(button)
        lanes = @case.lanes(button).select { |lane| lane.choice.kind == :assigned }
        return [] if lanes.empty? || button.kind == "notch"

        [("long_press_ms" if lanes.any? { |lane| lane.choice.long }),
         *(%w[tap_gap_ms tap_gap_from] if lanes.any? { |lane| lane.choice.top > 1 && !lane.choice.unhurried? }),
         *filters(button)].compact
      end

      # A filter that is off asks nothing of a device.
      def filters(button)
        timing = @fitting.timing(button)
        names = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].reject { |name| timing.settings[name].zero? }
        names.include?("bounce_guard_ms") ? [*names, "bounce_guard_from"] : names
      end
    end
  end
end
