# frozen_string_literal: true

module Kippen
  class Fitting
    # How long each thing takes on a button. Held in whole microseconds, given in
    # milliseconds with at most three decimals; levels in parts of full scale.
    Timing = Struct.new(
      :gap_bridge_us, :bounce_guard_us, :bounce_guard_from, :brush_guard_us,
      :long_press_us, :tap_gap_us, :tap_gap_from, :press_at, :release_at, keyword_init: true
    ) do
      def initialize(**)
        super
        freeze
      end
    end

    class Timing
      Setting = Struct.new(:name, :default, :range, :choices, keyword_init: true) do
        def field = name.sub(/_ms\z/, "_us").to_sym
        def duration? = name.end_with?("_ms")
      end

      # The legal range of every setting and the value that holds where nothing is said.
      SETTINGS = [
        Setting.new(name: "gap_bridge_ms", default: 0, range: 0..500),
        Setting.new(name: "bounce_guard_ms", default: 0, range: 0..2000),
        Setting.new(name: "bounce_guard_from", default: "press", choices: %w[press release].freeze),
        Setting.new(name: "brush_guard_ms", default: 0, range: 0..2000),
        Setting.new(name: "long_press_ms", default: 500, range: 100..5000),
        Setting.new(name: "tap_gap_ms", default: 300, range: 50..3000),
        Setting.new(name: "tap_gap_from", default: "release", choices: %w[press release].freeze),
        Setting.new(name: "press_at", default: 0.6, range: 0..1),
        Setting.new(name: "release_at", default: 0.45, range: 0..1)
      ].to_h { |setting| [setting.name, setting.freeze] }.freeze

      # { setting => the value that holds where nothing is said }
      USUAL = SETTINGS.transform_values(&:default).freeze

      # Takes a Hash of given settings (already checked one by one); returns a Timing.
      def self.from(given)
        new(**SETTINGS.values.to_h do |setting|
          value = given.fetch(setting.name, setting.default)
          [setting.field, setting.duration? ? microseconds(value) : value]
        end)
      end

      # { setting => value } as a file has it.
      def settings
        SETTINGS.values.to_h do |setting|
          value = self[setting.field]
          [setting.name, if setting.duration?
                           (value % 1000).zero? ? value / 1000 : value / 1000.0
                         else
                           value
                         end]
        end
      end

      # ms – Integer or Float. Returns whole microseconds, or nil where it has more
      # than three decimals. Decimal, not binary, arithmetic: 0.001 is exactly 1 µs.
      def self.microseconds(milliseconds)
        return milliseconds * 1000 if milliseconds.is_a?(Integer)

        micro = Rational(milliseconds.to_s) * 1000
        micro.denominator == 1 ? micro.numerator : nil
      end

      # What is wrong with one given value, or nil. Says what is allowed.
      def self.fault(setting, value)
        return choice_fault(setting, value) if setting.choices
        return Words.say(:must_be_a_number, value: Faults.show(value)) unless value.is_a?(Numeric)

        from = setting.range.begin
        to = setting.range.end
        fault = setting.duration? ? :must_be_from_to_ms : :must_be_from_to
        return Words.say(fault, value: Faults.show(value), from:, to:) unless value.between?(from, to)

        Words.say(:has_more_than_three_decimals) if setting.duration? && microseconds(value).nil?
      end

      def self.choice_fault(setting, value)
        return if setting.choices.include?(value)

        Words.say(:must_be_one_of, value: Faults.show(value), values: setting.choices.join(", "))
      end
      private_class_method :choice_fault

      # 0 < release_at < press_at <= 1
      def levels_ok? = release_at.positive? && release_at < press_at
    end
  end
end
