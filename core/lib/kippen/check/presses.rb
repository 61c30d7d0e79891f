# frozen_string_literal: true

module Kippen
  module Check
    # What this client's presses come to, replayed with what a button offers as usual, everywhere, and its timing.
    class Presses
      # So few say nothing of how often something goes wrong.
      FEW = 8

      # Series that are there already, by button.
      class Given
        def initialize(series) = @by_button = series.group_by(&:button_id)
        def of(button) = @by_button.fetch(button.ref, [])
        def key(_button) = nil
      end

      # source – gives of a button its [Tuning::Series]; key: what they are kept by for as long as the fitting is, or nil
      def initialize(fitting, source)
        @fitting = fitting
        @source = source
        @scores = {}
      end

      # [[Tuning::Trial, Tuning::Judge::Score]…] of a button; clicks that go to the host are not among them.
      def of(button) = @scores[button.ref] ||= kept(button) { @source.of(button).flat_map { |series| judged(button, series) } }

      # [right, of all] of the trials in which a gesture was asked of a button.
      def right(button, gesture)
        asked = of(button).select { |trial, _| trial.intended == trial_of(gesture) }
        [asked.count { |_, score| score.right? }, asked.size]
      end

      # Trials in which something else was meant and this gesture came.
      def became(button, gesture)
        of(button).select { |trial, score| trial.intended != trial_of(gesture) && score.got == trial_of(gesture) }.map(&:first)
      end

      # Trials of a button as they were made.
      def trials(button) = of(button).map(&:first)

      private

      def kept(button, &)
        key = @source.key(button)
        key ? @fitting.recall([:presses, button.ref, key], &) : yield
      end

      # Presses are asked for as long-presses, whatever lasts as long as they do.
      def trial_of(gesture) = gesture == "hold" ? "long_press" : gesture

      def judged(button, series)
        return [] if series.pass_through?

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
