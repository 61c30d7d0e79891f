# frozen_string_literal: true

module Kippen
  module Press
    # What a press came to: one row.
    # phase   – "fire", "start", "repeat", "end", "unassigned" or "ignored"
    # gesture – "builtin" where nothing is assigned; nil for an ignored contact
    # place, action – of the assignment that won; nil where there is none
    # reason, ended_us – only for "ignored": "brush", "bounce", "beyond" or "stray"
    Outcome = Struct.new(:at_us, :button, :gesture, :phase, :began_us, :mode, :place, :action, :reason, :ended_us) do
      def self.ignored(at_us, button, reason, began_us, ended_us)
        new(at_us, button, nil, "ignored", began_us, nil, nil, nil, reason, ended_us)
      end

      # The row as the JSON object that the command line and the vectors know.
      def to_h
        return ignored_row if phase == "ignored"

        row = { "at_us" => at_us, "button" => button, "gesture" => gesture, "phase" => phase,
                "began_us" => began_us, "mode" => mode }
        row["place"] = place if place
        row["action"] = action if action
        row
      end

      private

      def ignored_row
        { "at_us" => at_us, "button" => button, "phase" => phase, "reason" => reason,
          "began_us" => began_us, "ended_us" => ended_us }
      end
    end
  end
end
