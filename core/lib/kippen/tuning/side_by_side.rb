# frozen_string_literal: true

module Kippen
  module Tuning
    # Timings held against each other, each on presses that it had not seen as far as there are such.
    class SideBySide
      # promise – a Promise of the series
      def initialize(series, promise, fitted)
        @series = series
        @promise = promise
        @fitted = fitted
      end

      # [{ "name", "timing", "right", "low", "high", "n", "from", "by_gesture", "total_ms" }…], today's first, fitted last.
      def list = [today, *unfitted, by_hand, fitted].freeze

      private

      def usual = Fitting::Timing::USUAL

      # Of a timing that was set for this person only presses since then can't be what it was fitted to.
      def today
        return row(:timing_today, usual, scores(@series.trials, usual)) if @series.given.empty?

        since = @series.trials.select { |trial| @series.since?(trial) }
        trials = since.empty? ? @series.trials : since
        row(:timing_today, @series.whole, scores(trials, @series.whole), from: since.empty? ? "seen" : "unseen")
      end

      def unfitted
        { timing_usual: usual, **Unfitted.of(@series, usual) }.map do |name, timing|
          row(name, timing, scores(@series.trials, timing))
        end
      end

      def by_hand
        guard = ByHand.guard(@series.trials, @promise.replays, usual)
        row(:timing_by_hand, usual.merge("bounce_guard_ms" => guard), @promise.by_hand(usual))
      end

      def fitted = row(:timing_fitted, @fitted, @promise.unseen)

      def scores(trials, timing) = trials.zip(@promise.replays.scores(trials, timing))

      def row(name, timing, scores, from: "unseen")
        { "name" => Words.say(name), "timing" => timing }.merge(Judged.of(scores, from:))
      end
    end
  end
end
