# frozen_string_literal: true

module Kippen
  module Check
    # An action whose wrong press is serious or dangerous, on a gesture that came when something else was meant, while resting or
    # carrying; or of which too few presses are known to tell.
    class DangerousPress < Finder
      ID = "dangerous_press"
      COSTS = %w[serious dangerous].freeze

      def self.kept? = false

      # What nobody knows of is told once, with the call for help.
      def findings
        unknown = HelpUnreliable.new(@case).findings.map(&:where)
        found = @case.winners.map { |one| dangerous(one) }.compact
        found.reject { |one| one.figures["seen"].zero? && unknown.include?(one.where) }
      end

      def candidates(finding)
        one = @case.winners.find { |other| where_of(other).compact == finding.where } or return []
        [*free_places(one.action, hosts: [@fitting.button(one.button).host]).map { |words, change| moved(words, change, one) },
         take_off(one)]
      end

      private

      def dangerous(one)
        button = @fitting.button(one.button)
        return unless COSTS.include?(cost(one, button))

        spot = [one.place, one.mode]
        wrong = @case.presses.became(button, one.gesture, spot).size
        of = @case.presses.of(button, spot).size
        return if wrong.zero? && of >= Presses::FEW

        wants = wanted(one, button).map { |want| RestsOn.pointer("wants", want.id) }
        found(wrong.positive? ? "serious" : "look", words(one, button, wrong, of), where: where_of(one),
                                                                                   figures: { "seen" => wrong, "of" => of },
                                                                                   rests_on: [assigned(one.button), *wants])
      end

      # The worst want for it there says; else the catalogue.
      def cost(one, button)
        costs = wanted(one, button).map(&:wrong)
        costs.max_by { |cost| Fitting::WantsReader::WRONG.index(cost) } || @case.catalogue.entry(one.action)&.harm&.fetch("cost")
      end

      # Wants for it on its host.
      def wanted(one, button)
        by_action.fetch(@case.catalogue.plain(one.action), []).select do |want|
          want.hosts.empty? || want.hosts.include?(button.host)
        end
      end

      # { action as the catalogue compares it => [Fitting::Want] }
      def by_action
        @by_action ||= @fitting.wants.select(&:action).group_by { |want| @case.catalogue.plain(want.action) }
      end

      def words(one, button, wrong, of)
        given = { action: action_name(one.action), gesture: Words.gesture(one.gesture), button: name(button), count: wrong, of: }
        Words.say(wrong.positive? ? :check_dangerous_seen : :check_dangerous_unknown, **given)
      end

      # Put there, and taken off here.
      def moved(words, change, one)
        carry = { "kind" => "carry", "button" => one.button, "gesture" => one.gesture, "to" => change.slice("button", "gesture"),
                  "copy" => false, "place" => one.place, "mode" => one.mode }
        [words, carry]
      end
    end
  end
end
