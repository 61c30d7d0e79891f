# frozen_string_literal: true

module Kippen
  module Reach
    # Assignments that are switched on and can never come about, and why.
    module Never
      # assignment – Fitting::Assignment; why – in words
      One = Struct.new(:assignment, :why, keyword_init: true)

      module_function

      # Takes a Fitting; returns [One].
      def of(fitting, catalogue, deadline: Deadline::NEVER)
        won = winners(fitting, deadline)
        on = fitting.assignments.reject { |one| one.off || fitting.button(one.button).off || won.include?(one) }
        on.map { |one| One.new(assignment: one, why: why(fitting, catalogue, one)).freeze }
      end

      # What wins anywhere, in any mode that can be come into.
      def winners(fitting, deadline)
        modes = WaysIn.of(fitting)
        places = [Fitting::EVERYWHERE, *fitting.places.reject(&:off).map(&:id)].map { |id| Press::Resolver.of(fitting).spot(fitting.where(id)) }
        found = Set.new.compare_by_identity
        fitting.buttons.each do |button|
          deadline.check
          next if fitting.assigned(button.ref).empty?

          modes.modes(button.host).product(places).each do |mode, spot|
            choice = Press::Resolver.of(fitting).choice(button, mode, spot)
            found.merge([choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact)
          end
        end
        found
      end

      def why(fitting, catalogue, one)
        host = fitting.button(one.button).host
        return Words.say(:never_off_place, place: Words.place(fitting, one.place)) if fitting.place(one.place)&.off
        return Words.say(:never_mode, mode: Words.mode(fitting, one.mode)) unless WaysIn.of(fitting).modes(host).include?(one.mode)

        by = winner(fitting, one)
        Words.say(:never_covered, by: by ? "“#{catalogue.name(by.assignment.action)}”" : Words.say(:what_does_itself))
      end

      # What wins where it stands.
      def winner(fitting, one)
        spot = Press::Resolver.of(fitting).spot(fitting.where(one.place))
        Press::Candidates.of(fitting, fitting.button(one.button), one.gesture, one.mode, spot).find { |other| other.result == "won" }
      end
      private_class_method :winners, :why, :winner
    end
  end
end
