# frozen_string_literal: true

module Kippen
  module Press
    # Every assignment of a button for a gesture, and why it won or lost in a mode, at a spot.
    class Candidates
      # result: "won", "off", "mode" (another mode), "place" (another place), "covered" (one
      # found earlier counts), "otherwise" (of base, but the mode doesn't fall back to base)
      Candidate = Struct.new(:assignment, :result)

      # mode – its id; spot – a Resolver::Spot
      def initialize(fitting, mode, spot)
        @fitting = fitting
        @mode = mode
        @spot = spot
        @falls_back = mode == Fitting::BASE || fitting.mode(mode)&.otherwise == "base"
      end

      # Takes a Button and a gesture. Returns Candidates in the order in which they are looked at, those out
      # of question last.
      def of(button, gesture)
        gestures = Resolver::LONGS.include?(gesture) ? Resolver::LONGS : [gesture]
        all = @fitting.assignments.select { |a| a.button == button.ref && gestures.include?(a.gesture) }
        won = false
        all.sort_by { |a| rank(a) }.map do |assignment|
          result = lost(button, assignment) || (won ? "covered" : "won")
          won ||= result == "won"
          Candidate.new(assignment, result)
        end
      end

      private

      # The mode's own before those of base; a part before the app before everywhere.
      def rank(assignment)
        [assignment.mode == @mode ? 0 : 1, @spot.places.index(assignment.place) || @spot.places.size, assignment.index]
      end

      def lost(button, assignment)
        return "off" if assignment.off || button.off || @fitting.place(assignment.place)&.off
        return "mode" unless [@mode, Fitting::BASE].include?(assignment.mode)
        return "otherwise" unless assignment.mode == @mode || @falls_back

        "place" unless @spot.places.include?(assignment.place)
      end
    end
  end
end
