# frozen_string_literal: true

module Kippen
  module Tuning
    # Trials of another day against these: have hands changed, and does the timing of then still fit?
    module Drift
      # what: "length", "gap" or "wrong"; before, after – medians in ms, or shares; p – how likely such a difference
      # is where nothing has changed, or nil where it can't be said
      Change = Struct.new(:what, :before, :after, :p, keyword_init: true) do
        # Sure enough to be told.
        def changed? = !p.nil? && p < SURE
      end

      SURE = 0.05

      module_function

      # before, after – Series of the same button; timing – the one in force; replays – of both. Returns [Change].
      def of(before, after, timing, replays: [before, after].map { |series| Replays.new(series) })
        lengths, gaps = %i[lengths gaps].map { |measure| [before, after].map { |series| public_send(measure, series) } }
        [compared("length", *lengths), compared("gap", *gaps), wrong([before, after], replays, timing)]
      end

      # Is somebody tiring? The first half of a sitting against the second: [Change] of lengths and gaps.
      def tiring(series)
        halves = series.trials.each_slice([(series.trials.size / 2.0).ceil, 1].max).to_a
        first, second = [0, 1].map { |half| series.with(halves[half] || []) }
        [compared("length", lengths(first), lengths(second)), compared("gap", gaps(first), gaps(second))]
      end

      # How long presses last that are meant to be short, in ms.
      def lengths(series) = short(series).flat_map { |touches| touches.map { |from, to| (to - from) / 1000.0 } }

      # How far apart presses are that belong together, in ms.
      def gaps(series)
        short(series).flat_map { |touches| touches.each_cons(2).map { |one, other| (other[0] - one[1]) / 1000.0 } }
      end

      # The touches of each.
      def short(series)
        trials = series.trials.reject { |trial| STILL.include?(trial.intended) || %w[long_press drag].include?(trial.intended) }
        trials.map { |trial| Touches.of(trial.rows, **series.levels) }
      end

      def compared(what, before, after)
        Change.new(what:, before: Statistics.quantile(before, 0.5)&.round(1), after: Statistics.quantile(after, 0.5)&.round(1),
                   p: Statistics.rank_sum(before, after)).freeze
      end

      def wrong(both, replays, timing)
        counts = both.zip(replays).map do |series, replayed|
          [replayed.scores(series.trials, timing).count { |score| score.verdict != "right" }, series.trials.size]
        end
        shares = counts.map { |count, of| of.zero? ? nil : (count / of.to_f).round(4) }
        Change.new(what: "wrong", before: shares[0], after: shares[1],
                   p: shares.all? ? Statistics.fisher(*counts.flatten) : nil).freeze
      end
      private_class_method :short, :compared, :wrong
    end
  end
end
