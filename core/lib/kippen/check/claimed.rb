# frozen_string_literal: true

module Kippen
  module Check
    # An assignment that can win, on a gesture that the system or another service claims too, and nobody said it was freed.
    class Claimed < Finder
      ID = "claimed"

      def findings
        @case.winners.flat_map do |one|
          button = @fitting.button(one.button)
          claims = @case.data(button).fetch("claims", []).select { |claim| claim["gesture"] == one.gesture && !claim["freed"] }
          claims.map { |claim| claimed(one, button, claim) }
        end
      end

      def candidates(finding)
        @case.winners.select { |one| where_of(one).compact == finding.where }
          .map { |one| take_off(one) }
      end

      private

      def claimed(one, button, claim)
        words = Words.say(:check_claimed, button: name(button), gesture: Words.gesture(one.gesture),
                                          action: action_name(one.action), by: claim["by"],
                                          free_by: claim["free_by"].delete_suffix("."))
        found("serious", words, where: where_of(one),
                                rests_on: [itself(button), assigned(button.ref)])
      end
    end
  end
end
