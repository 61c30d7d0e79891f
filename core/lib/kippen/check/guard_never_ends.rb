# frozen_string_literal: true

module Kippen
  module Check
    # A bounce guard counted from letting go that a tremor which goes on never lets end.
    class GuardNeverEnds < Finder
      ID = "guard_never_ends"
      TOUCHES = 3
      LASTS_US = 2_000_000

      def self.kept? = false

      def findings
        @case.buttons.filter_map do |button|
          timing = @fitting.timing(button)
          next if timing.bounce_guard_us.zero? || timing.bounce_guard_from != "release"

          shut = @case.presses.trials(button).count { |trial| shut?(trial.rows, timing) }
          shut.zero? ? nil : never(button, timing, shut)
        end
      end

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        [[Words.say(:fix_set_to, setting: Words.setting("bounce_guard_from"), value: Words.say(:from_the_press),
                                 button: name(button)),
          { "kind" => "timing", "button" => button.ref, "setting" => "bounce_guard_from", "value" => "press" }]]
      end

      private

      # Touches each begun within the guard after the one before, one after the other.
      def shut?(rows, timing)
        touches = Tuning::Touches.of(rows, press_at: timing.press_at, release_at: timing.release_at)
        runs = touches.slice_when { |(_, up), (down, _)| down - up >= timing.bounce_guard_us }
        runs.any? { |run| run.size >= TOUCHES && run.last.last - run.first.first > LASTS_US }
      end

      def never(button, timing, shut)
        guard = Words.ms(timing.bounce_guard_us)
        found("serious", Words.say(:check_guard_never_ends, button: name(button), guard:, count: shut),
              where: { "button" => button.ref }, figures: { "trials" => shut },
              rests_on: timing_of(button))
      end
    end
  end
end
