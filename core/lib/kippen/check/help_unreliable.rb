# frozen_string_literal: true

module Kippen
  module Check
    # The best way to ask for help goes wrong more often than may be; or nobody knows.
    class HelpUnreliable < Finder
      ID = "help_unreliable"
      def self.kept? = false

      def findings
        ways = NoHelp.new(@case).ways
        return [] if ways.empty? || ways.any?(&:builtin)

        seen = ways.map { |way| [way, *@case.presses.right(way.button, way.gesture, [way.place, way.mode])] }
        told = seen.select { |_, _, of| of >= Presses::FEW }
        return [unknown(ways.first)] if told.empty?

        way, right, of = told.max_by { |_, right, of| right.fdiv(of) }
        right.fdiv(of) < least ? [unreliable(way, right, of)] : []
      end

      # To a gesture that this client does rightly: where nothing is, or what is there comes here instead.
      def candidates(finding)
        way = NoHelp.new(@case).ways.find { |one| where(one).compact == finding.where } or return []
        help = action_of(way) or return []
        free = free_places(help).select { |_, change| sure?(@fitting.button(change["button"]), change["gesture"]) }
        free + @case.winners.filter_map { |one| swap(way, help, one) }
      end

      # As often as may be, at some press after those it was told of; or nobody knew then.
      def crossed?(finding, figures)
        of = figures["of"] or return finding.figures.key?("of")

        where = finding.where
        spot = [where.fetch("place", Fitting::EVERYWHERE), where.fetch("mode", Fitting::BASE)]
        asked = @case.presses.asked(@fitting.button(where["button"]), where["gesture"], spot)
        (of..asked.size).any? { |count| count.positive? && asked.first(count).count(true).fdiv(count) >= least }
      end

      private

      # So many must come out as meant.
      def least = @case.figures.rate

      def action_of(way)
        @fitting.assigned(way.button.ref).find { |one| [one.gesture, one.place, one.mode] == [way.gesture, way.place, way.mode] }
          &.action
      end

      # Does it come out as meant as often as help must?
      def sure?(button, gesture)
        right, of = @case.presses.right(button, gesture)
        of >= Presses::FEW && right.fdiv(of) >= least
      end

      # What is done surely, and help, change places; nil where that can't be.
      def swap(way, help, one)
        other = @fitting.button(one.button)
        plain = [one.place, one.mode] == Presses::USUAL && [way.place, way.mode] == Presses::USUAL
        return unless plain && other.host == way.button.host && one.action != help && sure?(other, one.gesture)

        put = lambda { |button, gesture, action|
          { "kind" => "assign", "button" => button.ref, "gesture" => gesture, "action" => action }
        }
        words = Words.say(:fix_swap, action: action_name(help), other: action_name(one.action),
                                     gesture: Words.gesture(one.gesture), button: name(other))
        [words, { "kind" => "several", "changes" => [put[other, one.gesture, help], put[way.button, way.gesture, one.action]] }]
      end

      def unreliable(way, right, of)
        low, high = Statistics.wilson(right, of).map { |share| (share * 100).round }
        found(high < least * 100 ? "serious" : "look",
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
