# frozen_string_literal: true

module Kippen
  module Press
    # Every assignment of a button for a gesture, and why it won or lost here and now.
    module Candidates
      # result: "won", "off", "mode" (another mode), "place" (another place), "covered" (one
      # found earlier counts), "otherwise" (of base, but the mode doesn't fall back to base)
      Candidate = Struct.new(:assignment, :result)

      # Takes a Fitting, a Button, the gesture, the mode's id and a Resolver::Spot.
      # Returns Candidates in the order in which they are looked at, those out of question last.
      def self.of(fitting, button, gesture, mode, spot)
        gestures = Resolver::LONGS.include?(gesture) ? Resolver::LONGS : [gesture]
        all = fitting.assignments.select { |a| a.button == button.ref && gestures.include?(a.gesture) }
        falls_back = mode == Fitting::BASE || fitting.mode(mode)&.otherwise == "base"
        won = false
        all.sort_by { |a| rank(a, mode, spot) }.map do |assignment|
          result = lost(fitting, button, assignment, mode, spot, falls_back) || (won ? "covered" : "won")
          won ||= result == "won"
          Candidate.new(assignment, result)
        end
      end

      # The mode's own before those of base; a part before the app before everywhere.
      def self.rank(assignment, mode, spot)
        [assignment.mode == mode ? 0 : 1, spot.places.index(assignment.place) || spot.places.size, assignment.index]
      end

      def self.lost(fitting, button, assignment, mode, spot, falls_back)
        return "off" if assignment.off || button.off || fitting.place(assignment.place)&.off
        return "mode" unless [mode, Fitting::BASE].include?(assignment.mode)
        return "otherwise" unless assignment.mode == mode || falls_back

        "place" unless spot.places.include?(assignment.place)
      end
      private_class_method :rank, :lost
    end
  end
end
