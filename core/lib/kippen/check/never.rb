# frozen_string_literal: true

module Kippen
  module Check
    # An assignment that can never win.
    class Never < Finder
      ID = Reach::NeverHappens::ID

      def findings
        never.findings.map do |one|
          found("look", one.what, where: one.where, rests_on: [assigned(one.where["button"])])
        end
      end

      def candidates(finding)
        one = @fitting.assigned(finding.where["button"]).find { |item| never_of(item) == finding.where }
        one ? [take_off(one)] : []
      end

      private

      def never = Reach::NeverHappens.new(@fitting, @case.knowledge, deadline: @case.deadline)

      def never_of(one) = { "button" => one.button, "gesture" => one.gesture, "place" => one.place, "mode" => one.mode }
    end
  end
end
