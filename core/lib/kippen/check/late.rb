# frozen_string_literal: true

module Kippen
  module Check
    # A wait longer than what this client is set to bear: once a button, with all its gestures.
    class Late < Finder
      ID = "late"
      USUAL_MS = 400

      # How long a wait the client bears: as somebody said, or as usual.
      def self.bears_ms(fitting) = fitting.document.dig("client", "bears_ms") || USUAL_MS

      def findings = @case.buttons.filter_map { |button| late(button) }

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        waiting = @case.lanes(button).select { |lane| lane.tap_choice&.chosen == "waits" }
        waiting.map do |lane|
          [Words.say(:fix_at_once, button: name(button)),
           { "kind" => "tap_at_once", "button" => button.ref, "place" => lane.place, "mode" => lane.mode, "at_once" => true }]
        end
      end

      private

      def late(button)
        longest = longest(button)
        return if longest.empty?

        told = longest.map { |gesture, us| Words.say(:check_waits, gesture: Words.gesture(gesture), ms: Words.ms(us)) }
        found("look", Words.say(:check_late, button: name(button), waits: told.join(", "), bears: Words.ms(bears_us)),
              where: { "button" => button.ref }, figures: longest.transform_values { |us| us / 1000.0 },
              rests_on: ["/client/bears_ms", *timing_of(button), assigned(button.ref)])
      end

      # { gesture => µs } of what is waited too long for; only what waits for something that may still come: a long-press is late
      # because it is long.
      def longest(button)
        waits = @case.lanes(button).flat_map { |lane| lane.waits.to_a }
          .select { |_, wait| %w[press release].include?(wait.after) && wait.us > bears_us }
        waits.group_by(&:first).transform_values { |list| list.map { |_, wait| wait.us }.max }
      end

      def bears_us = Late.bears_ms(@fitting) * 1000
    end
  end
end
