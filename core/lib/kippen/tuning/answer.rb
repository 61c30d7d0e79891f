# frozen_string_literal: true

module Kippen
  module Tuning
    # What a fit comes to, all that is told of it: the timing, what is promised of presses it has not seen, what it
    # is compared with, what each value costs and gains. The same for the same trials.
    class Answer
      FOLDS = 5
      # Of one value so many are swept.
      SWEPT = 16
      # Fewer trials of an offered gesture say little.
      FEW = 8

      # watch – is told how far it has come
      def initialize(series, price: Fit::PRICE, fixed: {}, watch: Watch.new)
        @series = series
        @price = price
        @fixed = fixed
        @watch = watch
        @watch.of = ((FOLDS + 1) * Fit.steps(series)) + Space.new(series, []).settings.size
        @replays = Replays.new(series)
      end

      # The JSON object of the command.
      def to_h
        { "timing" => timing, "expected" => Judged.of(unseen), "seen" => Judged.of(scores(timing)), "confusion" => Judged.confusion(unseen),
          "compared" => compared, "sweeps" => sweeps, "notes" => notes }
      end

      # How many times all trials were replayed for it; once #to_h has been asked.
      def passes = @passes = (@fit.replays.count + @validated + @replays.count) / [@series.trials.size, 1].max.to_f

      def timing = @timing ||= fitted(@fit = fit(@series))

      # { name => timing } that are compared, fitted last.
      def timings
        { timing_today: usual.merge(@series.given), timing_usual: usual, **Unfitted.of(@series, usual), timing_by_hand: by_hand,
          timing_fitted: usual.merge(timing) }
      end

      private

      def fit(series) = Fit.new(series, price: @price, fixed: @fixed, watch: @watch)

      # It may be done sooner than it might have been.
      def fitted(fit)
        upto = @watch.done + Fit.steps(@series)
        fit.timing.tap { @watch.to(upto) }
      end

      def scores(timing) = @series.trials.zip(@replays.scores(@series.trials, timing))

      # [[Trial, Score]…], each judged by a timing that was fitted without it.
      def unseen
        @unseen ||= begin
          @validated = 0
          folds.flat_map do |held_out|
            without = fit(@series.with(@series.trials - held_out))
            found = fitted(without)
            @validated += without.replays.count
            held_out.zip(@replays.scores(held_out, found))
          end
        end
      end

      # Each sort of prompt is spread over all.
      def folds
        dealt = @series.trials.group_by(&:intended).sort.flat_map(&:last).each_with_index.group_by { |_, index| index % FOLDS }
        dealt.values.map { |list| list.map(&:first) }
      end

      def compared
        timings.map { |name, one| { "name" => Words.say(name), "timing" => one }.merge(Judged.of(scores(one)).slice("right", "low", "high", "total_ms")) }
      end

      def usual = @usual ||= Fitting::Timing::USUAL

      # From 100 ms up by 50 until one press counts once: common practice, no source.
      def by_hand
        wanted = @series.pass_through? ? "click" : "tap"
        ones = @series.trials.select { |trial| trial.intended == wanted }
        found = (100..1000).step(50).find { |ms| @replays.scores(ones, usual.merge("bounce_guard_ms" => ms)).none? { |score| score.verdict == "extra" } }
        usual.merge("bounce_guard_ms" => found || 1000)
      end

      # { setting => [[value, ghosts let through, wanted presses lost, median total in ms]…] }
      def sweeps
        space = Space.new(@series, @series.trials)
        fitted = usual.merge(timing)
        space.settings.to_h do |setting|
          values = (space.values(setting, fitted) | [fitted[setting]]).sort
          values = Array.new(SWEPT) { |index| values[(index * (values.size - 1) / (SWEPT - 1.0)).round] }.uniq if values.size > SWEPT
          swept = values.map { |value| [value, *cost_of(fitted.merge(setting => value))] }
          @watch.step
          [setting, swept]
        end
      end

      def cost_of(timing)
        scored = scores(timing)
        ghosts = scored.count { |_, score| %w[extra unwanted].include?(score.verdict) }
        lost = scored.count { |_, score| %w[missed other].include?(score.verdict) }
        [ghosts, lost, Statistics.quantile(scored.filter_map { |_, score| score.total_us }, 0.5)&.then { |us| (us / 1000.0).round(1) }]
      end

      def notes
        [*few, *not_saved, *impossible, *wrong_bound].compact
      end

      def few
        counts = @series.offered.to_h { |gesture| [gesture, @series.trials.count { |trial| trial.intended == gesture }] }
        counts.select { |_, count| count < FEW }.map { |gesture, count| Words.say(:few_trials, count:, gesture: spoken(gesture)) }
      end

      # What no timing tells for this person, even one made for the gesture alone.
      def not_saved
        told = Judged.of(unseen)["by_gesture"].slice(*@series.offered).select { |_, judged| judged["n"] >= FEW && judged["high"] < 0.9 }
        told.map { |gesture, judged| Words.say(:no_timing_saves, gesture: spoken(gesture), percent: (judged["right"] * 100).round, count: judged["n"]) }
      end

      def impossible
        fitted = Fitting::Timing.from(usual.merge(timing))
        return pass_through_notes(fitted) if @series.pass_through?

        Press::LimitsOfTiming.of(@replays.choice, fitted).map { |limit| Words.limit(limit, fitted) }
      end

      def pass_through_notes(fitted)
        return [] unless @series.double_click_ms && fitted.bounce_guard_us >= @series.double_click_ms * 1000

        [Words.say(:guard_beyond_double_click, guard: Words.ms(fitted.bounce_guard_us), double: @series.double_click_ms)]
      end

      # With no wrong one in n, at most about 3 in n (Hanley and Lippman-Hand 1983: from memory).
      def wrong_bound
        return [] unless unseen.any? && unseen.all? { |_, score| score.verdict == "right" }

        [Words.say(:none_wrong, count: unseen.size, percent: (300.0 / unseen.size).round(1))]
      end

      def spoken(gesture) = Words::GESTURES.fetch(gesture, gesture.tr("_", "-"))
    end
  end
end
