# frozen_string_literal: true

module Kippen
  module Check
    # What this client's presses come to, replayed with what a button offers as usual, everywhere, and its timing.
    class Presses
      # So few say nothing of how often something goes wrong.
      FEW = 8

      # series – [Tuning::Series], one a button; those of buttons that are not there are passed over
      def initialize(fitting, series)
        @fitting = fitting
        @series = series.select { |one| fitting.button(one.button_id) && !one.pass_through? }.group_by(&:button_id)
        @scores = {}
      end

      # [[Tuning::Trial, Tuning::Judge::Score]…] of a button.
      def of(button) = @scores[button.ref] ||= @series.fetch(button.ref, []).flat_map { |one| judged(button, one) }

      # [right, of all] of the trials in which a gesture was asked of a button.
      def right(button, gesture)
        asked = of(button).select { |trial, _| trial.intended == trial_of(gesture) }
        [asked.count { |_, score| score.right? }, asked.size]
      end

      # Trials in which something else was meant and this gesture came.
      def became(button, gesture)
        of(button).select { |trial, score| trial.intended != trial_of(gesture) && score.got == trial_of(gesture) }.map(&:first)
      end

      # Trials of a button as they were made, of whichever series.
      def trials(button) = @series.fetch(button.ref, []).flat_map(&:trials)

      private

      # Presses are asked for as long-presses, whatever lasts as long as they do.
      def trial_of(gesture) = gesture == "hold" ? "long_press" : gesture

      def judged(button, series)
        asked = series.dup.tap { |one| one.offered = offered(button) }.freeze
        replays = Tuning::Replays.new(asked)
        timing = @fitting.timing(button).settings
        series.trials.map { |trial| [trial, replays.score(trial, timing)] }
      end

      def offered(button)
        choice = Press::Lane.new(@fitting, button).choice
        %i[tap double_tap triple_tap].select { |gesture| choice[gesture] }.map(&:to_s) + (choice.long ? %w[long_press] : [])
      end
    end
  end
end
