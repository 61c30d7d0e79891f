# frozen_string_literal: true

module Kippen
  module Server
    # The map and the day as the JSON of the contract, in words where people read them.
    class RenderReach
      def initialize(ways)
        @ways = ways
        @fitting = ways.fitting
        @overview = Reach::Overview.new(ways)
      end

      def to_h
        plain = @overview.plain
        { "wants" => plain["wants"].map { |row| want(row) }, "day" => day, "devices" => devices(plain["devices"]),
          "least" => @ways.figures.rate, "thin" => @overview.thin.map { |thin| thin(thin) } }
      end

      private

      def want(row)
        want = @fitting.wants.find { |one| one.id == row["id"] }
        { "id" => want.id, "what" => want.what, "times" => want.times_a_day, "importance" => want.importance,
          "wrong" => want.wrong, "cells" => cells(row), "best" => row["ways"].first&.fetch("device"), "second" => row["second"] }
      end

      # One a device, in the fitting's order.
      def cells(row)
        because = row["none_because"].to_h { |one| one.values_at("device", "why") }
        ways = row["ways"].to_h { |one| [one["device"], one] }
        @fitting.devices.map do |device|
          way, why = [ways, because].map { |one| one[device.id] }
          { "device" => device.id, "way" => way && way(way), "why" => why && Words.say(:"reach_none_#{why}") }
        end
      end

      def way(way)
        way.except("steps").merge("steps" => way["steps"].map { |step| step.merge("words" => step_words(step)) })
      end

      # "Edge key, double-tap; while “Reading”".
      def step_words(step)
        button = @fitting.button(step["button"])
        words = Words.say(:way_on, gesture: Words.gesture(step["gesture"]),
                                   button: Words.button(@fitting.device(button.device), button))
        line = step["line"] && Words.say(:reach_line, line: step["line"])
        mode = step["mode"] && Words.say(:in_mode, mode: Words.mode(@fitting, step["mode"]))
        [words, mode, line].compact.join(", ")
      end

      def day
        day = @overview.day
        parts = day["parts"].sort_by { |part, presses| [-presses, part] }
        day.merge("parts" => parts.map { |part, presses| { "part" => part, "presses" => presses } })
      end

      def devices(rows)
        rows.map { |row| row.merge("name" => name(row["device"]), "is_off" => @fitting.device(row["device"]).off) }
      end

      def thin(thin)
        want = @fitting.wants.find { |one| one.id == thin.want }
        words = Words.say(:"check_thin_#{thin.id}", what: want&.what, device: thin.device && name(thin.device), part: thin.part,
                                                    **thin.figures.transform_keys(&:to_sym))
        { "id" => thin.id, "what" => words, "want" => thin.want, "device" => thin.device }
      end

      def name(id) = @fitting.device(id).then { |device| device.name || device.id }
    end
  end
end
