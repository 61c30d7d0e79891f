# frozen_string_literal: true

module Kippen
  module Reach
    # Assignments that are switched on and can never come about, and why.
    class NeverHappens
      ID = "never"

      def initialize(fitting, knowledge, deadline: Deadline::NEVER)
        @fitting = fitting
        @resolver = Press::Resolver.of(fitting)
        @catalogue = knowledge.catalogue
        @spoken = Changes::Differences.new(fitting, fitting, knowledge)
        @deadline = deadline
      end

      # [Finding]. Raises Deadline::Passed.
      def findings
        won = winners
        on = @fitting.assignments.reject { |one| one.off || @fitting.button(one.button).off || won.include?(one) }
        on.map { |one| finding(one) }
      end

      # What wins anywhere, in any mode that can be come into: a Set of Fitting::Assignments. Raises Deadline::Passed.
      def winners = @fitting.recall(:winners) { winning.freeze }

      private

      def finding(one)
        what = @spoken.spoken(one.gesture, [one.button, one.place, one.mode])
        Finding.new(id: ID, bad: "look", what: Words.say(:never_wins, what:, why: why(one)),
                    where: { "button" => one.button, "gesture" => one.gesture, "place" => one.place, "mode" => one.mode })
      end

      def winning
        modes = WaysIn.of(@fitting)
        spots = [Fitting::EVERYWHERE, *@fitting.places.reject(&:off).map(&:id)].map { |id| spot(id) }
        found = Set.new.compare_by_identity
        @fitting.buttons.each do |button|
          @deadline.check
          next if @fitting.assigned(button.ref).empty?

          modes.modes(button.host).product(spots).each do |mode, spot|
            choice = @resolver.choice(button, mode, spot)
            found.merge([choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact)
          end
        end
        found
      end

      def spot(place) = @resolver.spot(@fitting.where(place))

      def why(one)
        host = @fitting.button(one.button).host
        return Words.say(:never_off_place, place: Words.place(@fitting, one.place)) if @fitting.place(one.place)&.off
        unless WaysIn.of(@fitting).modes(host).include?(one.mode)
          return Words.say(:never_mode, mode: Words.mode(@fitting, one.mode))
        end

        by = winner(one)
        Words.say(:never_covered, by: by ? "“#{@catalogue.name(by.assignment.action)}”" : Words.say(:what_does_itself))
      end

      # What wins where it stands.
      def winner(one)
        Press::Candidates.new(@fitting, one.mode, spot(one.place)).of(@fitting.button(one.button), one.gesture).find do |other|
          other.result == "won"
        end
      end
    end
  end
end
