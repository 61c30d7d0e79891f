# frozen_string_literal: true

module Kippen
  module Check
    # A button that is needed to get around lost what it did, and nothing else on its host does it.
    class WayAroundTaken < Finder
      ID = "way_around_taken"

      def findings
        @case.buttons.filter_map do |button|
          data = @case.data(button)
          own = data["builtin_action"] if data["is"] == "needed"
          next if own.nil? || still?(button, own)

          found("look", Words.say(:check_way_around, button: name(button), builtin: button.builtin || action_name(own)),
                where: { "host" => button.host, "button" => button.ref },
                rests_on: [itself(button), assigned(button.ref)])
        end
      end

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        own = @case.data(button)["builtin_action"]
        [*giving_back(button.ref), *free_places(own, hosts: [button.host])]
      end

      private

      def still?(button, own) = @case.ways(own, hosts: [button.host]).any?
    end
  end
end
