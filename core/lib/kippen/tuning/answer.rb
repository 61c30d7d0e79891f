# frozen_string_literal: true

module Kippen
  module Tuning
    # What a fit comes to, all that is told of it: the timing, what is promised of presses it has not seen, what it
    # is compared with, what it rests on, what each value costs and gains. The same for the same trials in any order.
    class Answer
      # Fewer trials of an offered gesture say little.
      FEW = 8

      # beside – [Trial] of the same part of the body; progress – is told how far it has come
      def initialize(series, beside: [], price: Fit::PRICE, fixed: {}, progress: Progress.new)
        @series = series
        @beside = beside
        progress.of = Promise.steps(series, beside) * (fixed.empty? ? 1 : 2)
        @promise = Promise.new(series, beside:, price:, fixed:, progress:)
        @free = fixed.empty? ? @promise : Promise.new(series, beside:, price:, progress:, replays: @promise.replays)
      end

      # The JSON object of the command.
      def to_h
        { "timing" => timing, "expected" => Judged.of(unseen, from: "unseen"), "seen" => Judged.of(scores, from: "seen"),
          "confusion" => Judged.confusion(unseen), "compared" => SideBySide.new(@series, @promise, whole).list,
          "rests_on" => rests_on,
          "risks" => Risks.of(@series, @series.whole, whole).map { |risk| risk.to_h.transform_keys(&:to_s) },
          "unsaved" => unsaved.map { |one| one.to_h.transform_keys(&:to_s).merge("words" => one.words) },
          "sweeps" => Sweeps.new(@series, @promise.replays).of(whole), "notes" => notes }
      end

      def timing = @promise.fit.timing

      private

      def whole = @series.whole.merge(timing)
      def unseen = @promise.unseen
      def scores = @series.trials.zip(@promise.replays.scores(@series.trials, timing))
      def unsaved = @unsaved ||= Unsaved.of(@series, unseen, @promise.replays)
      def pressed = @series.trials.reject { |trial| STILL.include?(trial.intended) }

      def rests_on
        evidence = Evidence.new(@series, beside: @beside, beside_weight: @promise.weight)
        { "own" => @series.trials.size, "beside" => { "presses" => @beside.size, "weight" => @promise.weight },
          "general" => evidence.general_weight, "never_asked" => evidence.missing }
      end

      def notes = [*nothing, *never_asked, *few, *unsaved.map(&:words), *impossible, *held, *cures]

      def nothing
        return [Words.say(:nothing_was_pressed)] if pressed.empty?

        timing.all? { |setting, value| @series.whole[setting] == value } ? [Words.say(:nothing_to_gain)] : []
      end

      def never_asked
        return [] if pressed.empty?

        rests_on["never_asked"].map { |gesture| Words.say(:never_asked, gesture: Words.gesture(gesture).capitalize) }
      end

      def few
        counts = @series.offered.to_h { |gesture| [gesture, @series.trials.count { |trial| trial.intended == gesture }] }
        counts.select { |_, count| count < FEW && count.positive? }.map do |gesture, count|
          Words.say(:few_trials, count:, gesture: Words.gesture(gesture))
        end
      end

      def impossible
        fitted = Fitting::Timing.from(whole)
        return pass_through_notes(fitted) if @series.pass_through?

        Press::LimitsOfTiming.of(@promise.replays.choice, fitted).map { |limit| Words.limit(limit, fitted) }
      end

      def pass_through_notes(fitted)
        return [] unless @series.double_click_ms && fitted.bounce_guard_us >= @series.double_click_ms * 1000

        [Words.say(:guard_beyond_double_click, guard: Words.ms(fitted.bounce_guard_us), double: @series.double_click_ms)]
      end

      # What is held may cost presses; both of what was not seen.
      def held
        now, free = [@promise, @free].map { |promise| promise.unseen.count { |_, score| score.right? } }
        return [] unless free > now

        [Words.say(:held_costs, free: (100.0 * free / unseen.size).round, now: (100.0 * now / unseen.size).round)]
      end

      # Where the folds cure the same ghosts in different ways.
      def cures
        ways = @promise.found.map do |timing|
          %w[gap_bridge_ms
             bounce_guard_ms].select { |setting| timing[setting].to_i.positive? }
        end.uniq
        ways.include?(%w[gap_bridge_ms]) && ways.include?(%w[bounce_guard_ms]) ? [Words.say(:cures_differ)] : []
      end
    end
  end
end
