# frozen_string_literal: true

module Kippen
  module Press
    # What presses came to, in the order in which it was decided; whoever listens is told at once.
    class Decisions
      # recorder – is told what happened inside, for explanations; nil for speed
      def initialize(schedule, recorder)
        @schedule = schedule
        @recorder = recorder
        @outcomes = []
      end

      # The Outcomes since this was last asked.
      def take
        taken = @outcomes
        @outcomes = []
        taken
      end

      # why – one of Telling's reasons
      def fire(burst, assignment, why)
        add(burst, why, outcome(burst).coming_to(assignment.gesture, "fire", assignment))
      end

      # A hold begins, repeats or is over.
      def hold(burst, phase, why)
        long = burst.choice.long
        add(burst, why, outcome(burst).coming_to(long.gesture, phase, long))
      end

      # phase – "start", "end", or "fire" for a press of no length
      def builtin(burst, phase, why) = add(burst, why, outcome(burst).coming_to("builtin", phase))

      # A gesture that was made and has no assignment.
      def unassigned(burst, gesture, why) = add(burst, why, outcome(burst).coming_to(gesture, "unassigned"))

      # A contact of which nothing comes. reason – see Outcome::Ignored
      def ignore(contact, reason, began_us, ended_us)
        outcome = Outcome::Ignored.new(@schedule.now_us, contact.button.ref, reason).lasting(began_us, ended_us)
        @outcomes << outcome
        @recorder&.ignored(contact, outcome)
      end

      private

      def outcome(burst) = Outcome.new(@schedule.now_us, burst.contact.button.ref, burst.began_us, burst.mode)

      def add(burst, why, outcome)
        @outcomes << outcome
        @recorder&.decided(burst.contact, outcome, why)
      end
    end
  end
end
