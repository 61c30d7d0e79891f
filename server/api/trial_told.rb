# frozen_string_literal: true

module Kippen
  module Server
    # One trial of a fit: its trace, and why it came out as it did under each timing, as the bench would tell it.
    class TrialTold
      def initialize(fitting, row)
        @fitting = fitting
        @row = row
        @fit = RenderFit.new(fitting, row)
      end

      # number – the trial's place. Raises Store::Missing.
      def of(number)
        raise Store::Missing, Words.say(:fit_without_result) unless Store::Fits.readable?(@row)

        trial = @fit.series.trials[number] || raise(Store::Missing, Words.say(:no_trial_in_fit, number:))
        { "intended" => trial.intended, "words" => RenderTuning.words(trial.intended), "trace" => trace(trial),
          "told" => @row[:result]["compared"].map { |one| told(trial, one) } }
      end

      private

      def trace(trial)
        trial.rows.map { |at, kind, level| { "at_ms" => (at / 1000.0).round(1), "kind" => kind, "level" => level } }
      end

      def told(trial, compared)
        score = Tuning::Replays.new(@fit.series).score(trial, compared["timing"])
        { "name" => compared["name"], "verdict" => score.verdict, "got" => score.got,
          "total_ms" => score.total_us&.then { |us| (us / 1000.0).round(1) },
          "sentences" => sentences(trial, compared["timing"]) }
      end

      # Told on a button with what was asked of it, and nothing else.
      def sentences(trial, timing)
        fitting = Fitting.read(document(timing))
        telling = Press::Telling.new(fitting, CATALOGUE)
        bench = Press::Bench.new(fitting)
        rows = [*trial.rows, [(trial.rows.last&.first || 0) + Tuning::Judge::SETTLED_US, Press::Bench::TOLD]]
        rows.each_with_index do |(at, kind, level), index|
          source = kind == Press::Bench::TOLD ? "" : "d/b"
          bench.feed(Press::Bench::Message.new(number: index + 1, time_us: at, source:, kind:, value: level.to_s))
        end
        [*bench.take_over, *bench.open].flat_map { |story| telling.sentences(story, rules: false) }
      end

      def document(timing)
        gestures = @fit.series.pass_through? ? [%w[hold builtin]] : @fit.series.offered.map { |gesture| [gesture, "nothing"] }
        { "kippen" => Fitting::FORMAT, "timing" => timing,
          "devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "kind" => @fit.series.kind }] }], "assignments" => gestures
            .map { |gesture, kind| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => kind } } } }
      end
    end
  end
end
