# frozen_string_literal: true

module Kippen
  module Check
    # The settings that what is assigned to a button is decided by.
    module UsedSettings
      module_function

      # asked – Case; returns names
      def of(asked, button)
        lanes = asked.lanes(button).select { |lane| lane.choice.kind == :assigned }
        return [] if lanes.empty? || button.kind == "notch"

        [("long_press_ms" if lanes.any? { |lane| lane.choice.long }),
         *(%w[tap_gap_ms tap_gap_from] if lanes.any? { |lane| lane.choice.top > 1 && !lane.choice.unhurried? }),
         *filters(asked.fitting.timing(button).settings)].compact
      end

      # A filter that is off asks nothing of a device.
      def filters(settings)
        names = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].reject { |name| settings[name].zero? }
        names.include?("bounce_guard_ms") ? [*names, "bounce_guard_from"] : names
      end
      private_class_method :filters
    end
  end
end
