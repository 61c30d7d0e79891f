# frozen_string_literal: true

module Kippen
  module Check
    # What this client's presses come to, replayed with what a button offers in a place and a mode, and its timing.
    class Presses
      # So few say nothing of how often something goes wrong.
      FEW = 8

      USUAL = [Fitting::EVERYWHERE, Fitting::BASE].freeze

      # Series that are there already, by button.
      class Given
        def initialize(series) = @by_button = series.group_by(&:button_id)
        def of(button) = @by_button.fetch(button.ref, [])
        def key(_button) = nil
      end

      # source – gives of a button its [Tuning::Series]; key: what they are kept by for as long as the fitting is, or nil
      # deadline – looked at before each replay
      def initialize(fitting, source, deadline: Deadline::NEVER)
        @fitting = fitting
        @source = source
        @deadline = deadline
        @scores = {}
      end

      # [[Tuning::Trial, Tuning::Judge::Score]…] of a button; clicks that go to the host are not among them. spot – [place, mode]
      def of(button, spot = USUAL)
        @scores[[button.ref, spot]] ||= kept(button, spot) do
          offered = offered(button, *spot)
          @source.of(button).flat_map { |series| judged(button, series, offered) }
        end
      end

      # The same, with what the button would offer: gestures of Tuning::GESTURES.
      def offering(button, offered)
        remember(button, [:offering, offered]) { @source.of(button).flat_map { |series| judged(button, series, offered) } }
      end

      # [right, of all] of the trials in which a gesture was asked of a button.
      def right(button, gesture, spot = USUAL)
        asked = asked(button, gesture, spot)
        [asked.count(true), asked.size]
      end

      # Of each of these, as they came: did it come out as meant?
      def asked(button, gesture, spot = USUAL)
        of(button, spot).select { |trial, _| trial.intended == trial_of(gesture) }.map { |_, score| score.right? }
      end

      # Trials in which something else was meant and this gesture came.
      def became(button, gesture, spot = USUAL)
        meant = trial_of(gesture)
        of(button, spot).select { |trial, score| trial.intended != meant && score.got == meant }.map(&:first)
      end

      # Trials of a button as they were made.
      def trials(button) = of(button).map(&:first)

      # What the block makes of a button's presses, worked out once for as long as they and the fitting are.
      def remember(button, name, &)
        key = @source.key(button)
        key ? @fitting.recall([name, button.ref, key], &) : yield
      end

      # The days on which a button's presses were made, the oldest first: [Tuning::Series], judged by what the button offers as
      # usual. Presses that say no time are of no day.
      def days(button)
        offered = offered(button, *USUAL)
        counted = @source.of(button).reject(&:pass_through?)
        dated = counted.flat_map(&:trials).select { |trial| trial.data["at"].is_a?(String) }
        dated.group_by { |trial| trial.data["at"][0, 10] }.sort.map do |_, trials|
          counted.first.with(trials).dup.tap { |series| series.offered = offered }.freeze
        end
      end

      private

      def kept(button, spot, &) = remember(button, [:presses, spot], &)

      # Presses are asked for as long-presses, whatever lasts as long as they do.
      def trial_of(gesture) = gesture == "hold" ? "long_press" : gesture

      def judged(button, series, offered)
        return [] if series.pass_through?

        replays = Tuning::Replays.new(series.dup.tap { |one| one.offered = offered }.freeze, deadline: @deadline)
        timing = @fitting.timing(button).settings
        series.trials.map { |trial| [trial, replays.score(trial, timing)] }
      end

      def offered(button, place, mode)
        choice = Press::Lane.new(@fitting, button, place:, mode:).choice
        %i[tap double_tap triple_tap].select { |gesture| choice[gesture] }.map(&:to_s) + (choice.long ? %w[long_press] : [])
      end
    end
  end
end
