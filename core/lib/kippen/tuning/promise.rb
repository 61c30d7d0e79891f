# frozen_string_literal: true

require "zlib"

module Kippen
  module Tuning
    # What is promised of a fit: every press judged by a timing that was fitted without it. How much presses beside may say
    # is decided by the person's own, those that were held out.
    class Promise
      FOLDS = 5
      # Of a press of one's own, what one beside it may say.
      BESIDE = [1.0, 0.3, 0].freeze
      # The more stands as long as it costs not so much of one's own presses: one more wrong may be chance.
      CHANCE = 0.6

      # In so many steps at most.
      def self.steps(series, beside)
        Fit.steps(series) * ((beside.empty? ? 1 : BESIDE.size * FOLDS) + (beside.empty? ? FOLDS : 1))
      end

      attr_reader :replays

      # beside – [Trial] of the same part of the body on other buttons, or of earlier sittings; fixed – { setting => value }
      # that stay; progress – a Progress; spare – is what was never asked for spared?
      def initialize(series, beside: [], price: Fit::PRICE, fixed: {}, progress: Progress.new, replays: Replays.new(series),
                     spare: true)
        @series = series
        @beside = beside
        @price = price
        @fixed = fixed
        @progress = progress
        @replays = replays
        @copies = Copies.of_both(series.trials, beside)
        @spare = spare
      end

      # The Fit of all presses.
      def fit = @fit ||= made(@series.trials, weight).tap { |fit| worked(fit) }

      # How much a press beside says.
      def weight = @weight ||= least(places.to_a)

      # [[Trial, Score]…], each judged by a timing that was fitted without it, with a weight chosen without it too.
      def unseen
        @unseen ||= folds.flat_map do |held|
          held.map { |place| [@series.trials[place], judged(least(places.to_a - held))[place]] }
        end
      end

      # The same of a bounce guard found by hand on the others. timing – { setting => value } of the rest
      def by_hand(timing)
        folds.flat_map do |held|
          guard = ByHand.guard(@series.trials.values_at(*(places.to_a - held)), @replays, timing)
          held.map do |place|
            [@series.trials[place], @replays.score(@series.trials[place], timing.merge("bounce_guard_ms" => guard))]
          end
        end
      end

      # [timing…] that the folds found, one each.
      def found = folds.map { |held| timing_without(held, weight) }

      private

      def places = 0...@series.trials.size
      def weights = @beside.empty? ? [0] : BESIDE

      def made(trials, weight)
        series = @series.with(trials)
        evidence = Evidence.new(series, beside: @beside, beside_weight: weight, copies: @copies, spare: @spare)
        Fit.new(series, price: @price, fixed: @fixed, progress: @progress, replays: @replays, evidence:)
      end

      # Each sort of prompt is spread over all; by what was pressed, not by when, so that another order gives the same.
      def folds
        @folds ||= begin
          sorted = places.sort_by do |place|
            @series.trials[place].then { |trial| [trial.intended, Zlib.crc32(trial.rows.to_s), trial.rows.to_s] }
          end
          sorted.each_with_index.group_by { |_, index| index % FOLDS }.values.map { |list| list.map(&:first) }
        end
      end

      def timing_without(held, weight)
        @without ||= {}
        @without[[held, weight]] ||= worked(made(@series.trials.values_at(*(places.to_a - held)), weight))
      end

      # Its timing; it may be done sooner than it might have been.
      def worked(fit)
        upto = @progress.done + Fit.steps(@series)
        fit.timing.tap { @progress.to(upto) }
      end

      # [Score…] in the order of the trials, with a weight.
      def judged(weight)
        @judged ||= {}
        @judged[weight] ||= folds.each_with_object([]) do |held, scores|
          timing = timing_without(held, weight)
          held.each { |place| scores[place] = @replays.score(@series.trials[place], timing) }
        end
      end

      # The most weight by which presses in some places, unseen, cost hardly more than by any.
      def least(places)
        return weights.first if weights.one?

        costs = weights.to_h { |weight| [weight, places.sum { |place| cost(judged(weight)[place]) }] }
        costs.find { |_, cost| cost <= costs.values.min + CHANCE }[0]
      end

      def cost(score) = score.right? ? @price * (score.total_us || 0) / 1e6 : 1
    end
  end
end
