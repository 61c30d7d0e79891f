# frozen_string_literal: true

module Kippen
  module Press
    # What a press came to: one row.
    # phase   – "fire", "start", "repeat", "end", "unassigned" or "ignored"
    # gesture – "builtin" where nothing is assigned; nil for an ignored contact
    # place, action – of the assignment that won; nil where there is none
    # A plain class, for many are made.
    class Outcome
      attr_reader :at_us, :button, :gesture, :phase, :began_us, :mode, :place, :action

      def initialize(at_us, button, gesture, phase, began_us, mode, place, action)
        @at_us = at_us
        @button = button
        @gesture = gesture
        @phase = phase
        @began_us = began_us
        @mode = mode
        @place = place
        @action = action
      end

      def reason = nil

      # The row as the JSON object that the command line and the vectors know.
      def to_h
        row = { "at_us" => at_us, "button" => button, "gesture" => gesture, "phase" => phase,
                "began_us" => began_us, "mode" => mode }
        row["place"] = place if place
        row["action"] = action if action
        row
      end

      # A contact of which nothing came. reason – "brush", "bounce", "beyond" or "stray";
      # began_us, ended_us – of that contact
      class Ignored < Outcome
        attr_reader :reason, :ended_us

        def initialize(at_us, button, reason, began_us, ended_us)
          super(at_us, button, nil, "ignored", began_us, nil, nil, nil)
          @reason = reason
          @ended_us = ended_us
        end

        def to_h
          { "at_us" => at_us, "button" => button, "phase" => phase, "reason" => reason,
            "began_us" => began_us, "ended_us" => ended_us }
        end
      end
    end
  end
end
