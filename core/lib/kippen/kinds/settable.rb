# frozen_string_literal: true

module Kippen
  class Kinds
    # Which values of a setting a device can really be set to: a range with a step, a list of
    # values, or a fixed one, as the kind's data say.
    module Settable
      # allowed – of the data, or nil for anything; returns the value, or the nearest that can be set.
      def self.nearest(allowed, value)
        return value if allowed.nil?
        return allowed["fixed"] if allowed.key?("fixed")
        return nearest_of(allowed["values"], value) if allowed["values"]

        in_steps(allowed, value)
      end

      # Where a device can be set to anything, what is moved goes in such steps.
      STEP = 10

      # The values that can be set, from the least on, none beyond +to+; range – of the setting itself.
      def self.values(allowed, range, to:)
        allowed ||= {}
        given = allowed["values"] || (allowed.key?("fixed") && [allowed["fixed"]])
        return given.sort if given

        from, step = [allowed.fetch("from", range.begin), allowed.fetch("step", STEP)].map { |number| Rational(number.to_s) }
        last = [allowed.fetch("to", range.end), to].min
        (0..((last - from) / step).floor).map { |steps| plain(from + (steps * step)) }
      end

      # The smaller of two that are as near. Words are themselves or the first there is.
      def self.nearest_of(values, value)
        return values.include?(value) ? value : values.first unless value.is_a?(Numeric)

        values.min_by { |one| [(one - value).abs, one] }
      end

      # Decimal, not binary, arithmetic: 0.07 is seven steps of 0.01.
      def self.in_steps(allowed, value)
        from, to, step, given = [*allowed.values_at("from", "to", "step"), value].map { |number| Rational(number.to_s) }
        best = (from + (((given - from) / step).round * step)).clamp(from, to)
        return value if best == given

        plain(best)
      end

      def self.plain(number) = number.denominator == 1 ? number.numerator : number.to_f
      private_class_method :nearest_of, :in_steps, :plain
    end
  end
end
