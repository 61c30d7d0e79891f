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

      # began_us – when the first press of it began; what it came to is said by #coming_to
      def initialize(at_us, button, began_us, mode)
        @at_us = at_us
        @button = button
        @began_us = began_us
        @mode = mode
      end

      # The place and the action of an assignment, where the assignment itself is no longer at hand.
      From = Struct.new(:place, :action)

      # from – the Assignment that won, or a From; nil where none did
      def coming_to(gesture, phase, from = nil)
        @gesture = gesture
        @phase = phase
        if from
          @place = from.place
          @action = from.action
        end
        self
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

      # A contact of which nothing came. reason – "brush", "bounce", "beyond" or "stray"
      class Ignored < Outcome
        attr_reader :reason, :ended_us

        def initialize(at_us, button, reason)
          super(at_us, button, nil, nil)
          @reason = reason
          @phase = "ignored"
        end

        # From when to when there was contact.
        def lasting(began_us, ended_us)
          @began_us = began_us
          @ended_us = ended_us
          self
        end

        def to_h
          { "at_us" => at_us, "button" => button, "phase" => phase, "reason" => reason,
            "began_us" => began_us, "ended_us" => ended_us }
        end
      end
    end
  end
end
