# frozen_string_literal: true

module Kippen
  module Reach
    # What a button really does at a spot.
    module WhatHappens
      BUILTIN = { "kind" => "builtin" }.freeze

      module_function

      # [[gesture, Assignment or nil for the button's own doing]…] of those that can come about: what is
      # off, covered, blocked by the mode or made impossible by the timing is not among them. A lone
      # hold of the built-in is the button passed through: its tap does what it does by itself.
      def gestures(fitting, button, mode, place)
        choice = Press::Resolver.of(fitting).choice(button, mode, Press::Resolver.of(fitting).spot(fitting.where(place)))
        return choice.kind == :builtin ? [["tap", nil]] : [] unless choice.kind == :assigned

        impossible = Press::LimitsOfTiming.of(choice,
                                              fitting.timing(button)).select { |limit| limit.how == "impossible" }.map(&:gesture)
        found = [choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact.reject do |one|
          impossible.include?(one.gesture)
        end
        found.map { |one| [choice.lone_hold? && passed_through?(one) ? "tap" : one.gesture, one] }
      end

      def passed_through?(assignment) = %w[builtin click].include?(assignment.action["kind"])

      # The action of one of them, as it stands in a document, or nil where nobody knows what the
      # button does by itself.
      def action(fitting, kinds, button, assignment)
        return assignment.action unless assignment.nil? || assignment.action["kind"] == "builtin"

        kinds.button(fitting.device(button.device), button)&.fetch("builtin_action", nil)
      end
    end
  end
end
