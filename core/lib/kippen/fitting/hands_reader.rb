# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the stand-in hands of a fitting: how a simulated hand presses.
    class HandsReader
      include Members

      # Members that are distributions: { "median" => ms, "spread" => 0 to 2 }.
      NEEDED = %w[press_ms long_ms apart_ms].freeze
      # Things that happen now and then, with the distributions they need.
      PARTS = { "restrike" => %w[after_ms length_ms], "bounce" => %w[gap_ms], "drop_out" => %w[gap_ms], "brush" => %w[length_ms],
                "force" => [] }.freeze
      # Single numbers, with their range.
      NUMBERS = { "chance" => 0..1, "per_second" => 0..50, "press" => 0.05..1, "wobble" => 0..0.5, "rest" => 0..1,
                  "carry" => 0..1 }.freeze
      WHICH = { "restrike" => %w[chance], "bounce" => %w[chance], "drop_out" => %w[per_second], "brush" => %w[chance],
                "force" => %w[press wobble] }.freeze
      MAY = { "force" => %w[rest carry] }.freeze
      MEDIAN = 1..20_000
      SPREAD = 0..2
      SLOWING = 0..0.2

      def initialize(document, faults)
        @document = document
        @faults = faults
      end

      # Returns the hands as they stand in the document.
      def hands
        objects(@document, "hands", Limits::HANDS).map do |item, pointer|
          unless Ids.ok?(item["id"])
            @faults.add("#{pointer}/id", Words.say(:must_be_like, value: Faults.show(item["id"]), allowed: Ids::ALLOWED))
          end
          words(item, "name", pointer)
          NEEDED.each { |name| distribution(item[name], "#{pointer}/#{name}") }
          number(item["slowing"], SLOWING, "#{pointer}/slowing") if item.key?("slowing")
          PARTS.each { |name, inside| part(item[name], name, inside, "#{pointer}/#{name}") if item.key?(name) }
          item
        end.freeze
      end

      private

      def part(part, name, inside, pointer)
        return @faults.add(pointer, Words.say(:must_be_an_object)) unless part.is_a?(Hash)

        inside.each { |key| distribution(part[key], "#{pointer}/#{key}") }
        WHICH.fetch(name).each { |key| number(part[key], NUMBERS.fetch(key), "#{pointer}/#{key}") }
        MAY.fetch(name, []).each { |key| number(part[key], NUMBERS.fetch(key), "#{pointer}/#{key}") if part.key?(key) }
      end

      def distribution(value, pointer)
        return @faults.add(pointer, Words.say(:must_object_with_median_spread)) unless value.is_a?(Hash)

        number(value["median"], MEDIAN, "#{pointer}/median")
        number(value.fetch("spread", 0), SPREAD, "#{pointer}/spread")
      end

      def number(value, range, pointer)
        return if value.is_a?(Numeric) && range.cover?(value)

        @faults.add(pointer, Words.say(:must_be_number_from_to, value: Faults.show(value), from: range.begin, to: range.end))
      end
    end
  end
end
