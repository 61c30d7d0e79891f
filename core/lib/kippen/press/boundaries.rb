# frozen_string_literal: true

module Kippen
  module Press
    # The times of a press that can be moved, each at the end of the stretch it belongs to.
    module Boundaries
      # value_us, from_us, to_us – the setting and its legal range; own – the button's, not shared with its device's others
      Boundary = Struct.new(:setting, :stretch, :value_us, :from_us, :to_us, :own, keyword_init: true)

      COUNTED_FROM = { "bounce_guard_ms" => "bounce_guard_from", "tap_gap_ms" => "tap_gap_from" }.freeze
      ALWAYS = { "long_press_ms" => "held", "tap_gap_ms" => "apart" }.freeze
      WHERE_IN_FORCE = { "brush_guard_ms" => "held", "gap_bridge_ms" => "apart", "bounce_guard_ms" => "apart" }.freeze

      module_function

      # Long-press time and tap gap always; those of the click filter where they are in force.
      # timing – a Fitting::Timing; own – the settings that are a button's own. Returns [Boundary].
      def of(timing, own: [])
        filter = WHERE_IN_FORCE.select { |name, _| timing[Fitting::Timing::SETTINGS.fetch(name).field].positive? }
        ALWAYS.merge(filter).map do |name, stretch|
          boundary(name, counted_from_press?(timing, name) ? "held" : stretch, timing, own)
        end
      end

      def boundary(name, stretch, timing, own)
        setting = Fitting::Timing::SETTINGS.fetch(name)
        Boundary.new(setting: name, stretch:, value_us: timing[setting.field], from_us: setting.range.begin * 1000,
                     to_us: setting.range.end * 1000,
                     own: own.include?(name) || own.include?(COUNTED_FROM[name]))
      end

      def counted_from_press?(timing, name) = COUNTED_FROM.key?(name) && timing[COUNTED_FROM[name]] == "press"
      private_class_method :boundary, :counted_from_press?
    end
  end
end
