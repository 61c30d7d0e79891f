# frozen_string_literal: true

module Kippen
  module Tuning
    # What the rows of a trace are as touches: of a contact as it closes and opens, of a force button as the two levels
    # make them. The one place that says so.
    module Touches
      module_function

      # [[from µs, to µs]…] of a trial's rows; what is not let go ends with the trace.
      def of(rows, press_at:, release_at:)
        down = nil
        found = contacts(rows, press_at, release_at).each_with_object([]) do |(at, kind, _), list|
          if kind == "down"
            down ||= at
          elsif down
            list << [down, at]
            down = nil
          end
        end
        down ? found << [down, rows.last[0]] : found
      end

      # The same trace as a contact would give it: rows of [µs, "down" or "up"], as the engine takes levels.
      def contacts(rows, press_at, release_at)
        return rows unless rows.first && rows.first[1] == "level"

        down = false
        rows.each_with_object([]) do |(at, _, level), found|
          now = down ? level > release_at : level >= press_at
          found << [at, now ? "down" : "up"] if now != down
          down = now
        end
      end
    end
  end
end
