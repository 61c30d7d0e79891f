# frozen_string_literal: true

module Kippen
  module Check
    # The presses of the last day say that lengths, gaps or how many come out right have changed since the days before: all of a
    # client's buttons and measures taken together.
    class TrialsOld < Finder
      ID = "trials_old"

      def self.kept? = false

      def findings
        sure.group_by(&:first).map { |button, told| old(button, told.map(&:last)) }
      end

      private

      # [[button, Tuning::Drift::Change]…] that chance alone would not bring about.
      def sure
        all = @case.buttons.flat_map { |button| changes(button).map { |change| [button, change] } }
        all.zip(Statistics.holm(all.map { |_, change| change.p })).select { |_, p| p < Tuning::Drift::SURE }.map(&:first)
      end

      # Those of which anything can be said.
      def changes(button) = @case.presses.remember(button, :changes) { compared(button) }

      def compared(button)
        *before, after = @case.presses.days(button)
        return [] if before.empty?

        earlier = after.with(before.flat_map(&:trials))
        replays = [earlier, after].map { |series| Tuning::Replays.new(series, deadline: @case.deadline) }
        Tuning::Drift.of(earlier, after, @fitting.timing(button).settings, replays:).reject { |change| change.p.nil? }
      end

      def old(button, changes)
        told = changes.map { |change| Words.drifted(change) }
        found("look", Words.say(:check_trials_old, button: name(button), changes: told.join("; ")),
              where: { "button" => button.ref },
              figures: changes.to_h { |change| [change.what, change.after] }.compact, rests_on: timing_of(button))
      end
    end
  end
end
