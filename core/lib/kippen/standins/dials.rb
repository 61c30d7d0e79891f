# frozen_string_literal: true

module Kippen
  module Standins
    # What can be turned of a stand-in hand, each a single number; where a part of its description is missing, turning it
    # up makes one with the usual lengths.
    class Dials
      # at – the way to the number; unit – "ms", "%" or ""; scale – so much of the number is one of the unit
      Dial = Struct.new(:id, :at, :unit, :scale, :from, :to, :step, keyword_init: true)

      ALL = [
        Dial.new(id: "press", at: %w[press_ms median], unit: "ms", scale: 1, from: 30, to: 2_000, step: 10),
        Dial.new(id: "long", at: %w[long_ms median], unit: "ms", scale: 1, from: 200, to: 4_000, step: 50),
        Dial.new(id: "apart", at: %w[apart_ms median], unit: "ms", scale: 1, from: 50, to: 2_000, step: 10),
        Dial.new(id: "spread", at: %w[press_ms spread], unit: "%", scale: 0.01, from: 0, to: 100, step: 5),
        Dial.new(id: "restrike", at: %w[restrike chance], unit: "%", scale: 0.01, from: 0, to: 100, step: 5),
        Dial.new(id: "bounce", at: %w[bounce chance], unit: "%", scale: 0.01, from: 0, to: 100, step: 5),
        Dial.new(id: "drop_out", at: %w[drop_out per_second], unit: "", scale: 1, from: 0, to: 10, step: 0.5),
        Dial.new(id: "brush", at: %w[brush chance], unit: "%", scale: 0.01, from: 0, to: 100, step: 5),
        Dial.new(id: "slowing", at: %w[slowing], unit: "%", scale: 0.01, from: 0, to: 10, step: 0.5),
        Dial.new(id: "force", at: %w[force press], unit: "%", scale: 0.01, from: 10, to: 100, step: 5)
      ].map(&:freeze).freeze

      # All lengths of a hand are spread alike when that is turned.
      SPREAD_TOO = %w[long_ms apart_ms].freeze
      # How long what happens now and then takes, invented; and how hard a hand presses that does not say.
      USUAL = { "restrike" => { "after_ms" => { "median" => 90, "spread" => 0.3 },
                                "length_ms" => { "median" => 55, "spread" => 0.3 } },
                "bounce" => { "gap_ms" => { "median" => 9, "spread" => 0.5 } },
                "drop_out" => { "gap_ms" => { "median" => 28, "spread" => 0.4 } },
                "brush" => { "length_ms" => { "median" => 38, "spread" => 0.4 } }, "force" => Hand::FORCE }.freeze

      # description – one of a fitting's "hands"; at – where what is said of them stands in what was sent
      def initialize(description, at: "")
        @hand = description
        @at = at
      end

      # { id => number in its unit }
      def values = ALL.to_h { |dial| [dial.id, in_unit(dial)] }

      # The description with some turned. values – { id => number in its unit }. Raises Invalid.
      def turned(values)
        faults = values.filter_map { |id, value| fault(id, value) }
        raise Invalid, faults if faults.any?

        values.reduce(@hand) { |hand, (id, value)| turn(hand, find(id), value) }
      end

      private

      def find(id) = ALL.find { |dial| dial.id == id }

      def in_unit(dial)
        number = @hand.dig(*dial.at) || USUAL.dig(*dial.at) || 0
        value = (number / dial.scale.to_r).to_f.round(2)
        value == value.to_i ? value.to_i : value
      end

      def turn(hand, dial, value)
        number = (value * dial.scale.to_r).to_f.round(4)
        number = number.to_i if number == number.to_i
        part, member = dial.at
        return hand.merge(part => number) unless member

        turned = hand.merge(part => { **USUAL.fetch(part, {}), **hand.fetch(part, {}), member => number })
        return turned unless dial.id == "spread"

        SPREAD_TOO.reduce(turned) { |all, other| all.merge(other => all.fetch(other).merge("spread" => number)) }
      end

      def fault(id, value)
        dial = find(id) or return Fault.new("#{@at}/dials/#{id}", Words.say(:not_known_here))
        return if value.is_a?(Numeric) && value.between?(dial.from, dial.to)

        Fault.new("#{@at}/dials/#{id}",
                  Words.say(:must_be_number_from_to, value: Faults.show(value), from: dial.from, to: dial.to))
      end
    end
  end
end
