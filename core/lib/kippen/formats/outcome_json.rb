# frozen_string_literal: true

require "json"

module Kippen
  module Formats
    # Outcomes as JSON lines: what `bin/kippen replay` prints. Ids and words of the engine
    # need no escaping; actions are written once and remembered.
    class OutcomeJson
      def initialize = @tails = {}.compare_by_identity

      # Takes a Press::Outcome; returns one line without its end.
      def line(row)
        return ignored(row) if row.phase == "ignored"

        "{\"at_us\":#{row.at_us},\"button\":\"#{row.button}\",\"gesture\":\"#{row.gesture}\",\"phase\":\"#{row.phase}\"," \
          "\"began_us\":#{row.began_us},\"mode\":\"#{row.mode}\"#{row.place ? tail(row) : "}"}"
      end

      private

      def ignored(row)
        "{\"at_us\":#{row.at_us},\"button\":\"#{row.button}\",\"phase\":\"ignored\",\"reason\":\"#{row.reason}\"," \
          "\"began_us\":#{row.began_us},\"ended_us\":#{row.ended_us}}"
      end

      # An action stands in one assignment, so its place is always the same.
      def tail(row) = @tails[row.action] ||= ",\"place\":\"#{row.place}\",\"action\":#{JSON.generate(row.action)}}"
    end
  end
end
