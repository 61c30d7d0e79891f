# frozen_string_literal: true

module Kippen
  module Check
    # The best way to ask for help goes wrong more often than may be; or nobody knows.
    class HelpUnreliable < Finder
      ID = "help_unreliable"
      # So many must come out as meant.
      LEAST = 0.9

      def self.kept? = false

      def findings
        ways = NoHelp.new(@case).ways
        return [] if ways.empty? || ways.any?(&:builtin)

        seen = ways.map { |way| [way, *@case.presses.right(way.button, way.gesture, [way.place, way.mode])] }
        told = seen.select { |_, _, of| of >= Presses::FEW }
        return [unknown(ways.first)] if told.empty?

        way, right, of = told.max_by { |_, right, of| right.fdiv(of) }
        right.fdiv(of) < LEAST ? [unreliable(way, right, of)] : []
      end

      # As often as may be, at some press after those it was told of; or nobody knew then.
      def crossed?(finding, figures)
        of = figures["of"] or return finding.figures.key?("of")

        where = finding.where
        spot = [where.fetch("place", Fitting::EVERYWHERE), where.fetch("mode", Fitting::BASE)]
        asked = @case.presses.asked(@fitting.button(where["button"]), where["gesture"], spot)
        (of..asked.size).any? { |count| count.positive? && asked.first(count).count(true).fdiv(count) >= LEAST }
      end

      private

      def unreliable(way, right, of)
        low, high = Statistics.wilson(right, of).map { |share| (share * 100).round }
        found(high < LEAST * 100 ? "serious" : "look",
              Words.say(:check_help_unreliable, button: name(way.button), gesture: Words.gesture(way.gesture),
                                                right:, of:, low:, high:),
              where: where(way), figures: { "right" => right, "of" => of, "low" => low, "high" => high },
              rests_on: rests_on(way))
      end

      def unknown(way)
        found("look", Words.say(:check_help_unknown, button: name(way.button), gesture: Words.gesture(way.gesture)),
              where: where(way), rests_on: rests_on(way))
      end

      def rests_on(way) = [assigned(way.button.ref), *timing_of(way.button)]

      def where(way)
        where_of(Fitting::Assignment.new(button: way.button.ref, gesture: way.gesture, place: way.place, mode: way.mode))
      end
    end
  end
end
