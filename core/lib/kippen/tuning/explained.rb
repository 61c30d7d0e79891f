# frozen_string_literal: true

module Kippen
  module Tuning
    # Each fitted value in sentences: what it does, what was seen of the person, how much room there is around it.
    class Explained
      # series – Series; timing – { setting => value } whole; sweeps – as Answer has them
      def initialize(series, timing, sweeps)
        @series = series
        @timing = timing
        @sweeps = sweeps
        @marks = series.trials.to_h do |trial|
          [trial, Marks.of(trial, press_at: timing["press_at"], release_at: timing["release_at"])]
        end
      end

      # [sentence…] of a setting.
      def of(setting) = [Words.say(:"means_#{setting}"), seen(setting), room(setting)].compact

      # [least, most] value around the fitted one with as few wrong presses, of those that were swept; nil where there
      # is none but itself.
      def around(setting)
        swept = @sweeps[setting] or return
        here = swept.index { |value, *| value == @timing[setting] } or return
        wrong = swept.map { |_, ghosts, lost, _| ghosts + lost }
        low = here
        low -= 1 while low.positive? && wrong[low - 1] <= wrong[here]
        high = here
        high += 1 while high < wrong.size - 1 && wrong[high + 1] <= wrong[here]
        low == high ? nil : [swept[low][0], swept[high][0]]
      end

      private

      def room(setting)
        low, high = around(setting)
        low && Words.say(:room_around, from: Words.value(setting, low), to: Words.value(setting, high))
      end

      def seen(setting)
        case setting
        when "long_press_ms" then between(:seen_lengths, longest_short, shortest_long)
        when "tap_gap_ms" then between(:seen_gaps, apart(%w[double_tap triple_tap]).max, nil)
        when "bounce_guard_ms" then between(:seen_again, apart(%w[tap click rest]).select do |ms|
          ms < 300
        end.max, apart(%w[double_tap triple_tap double_click]).min)
        when "gap_bridge_ms" then between(:seen_drop_outs, apart(%w[long_press drag]).max, nil)
        when "brush_guard_ms" then between(:seen_brushes, held(STILL).max, held(%w[tap click]).min)
        when "press_at", "release_at" then between(:seen_levels, peaks(STILL).max, peaks(@series.offered).min)
        end
      end

      def between(key, low, high)
        return unless low

        low, high = [low, high].map { |value| value && Words.number(value > 1 ? value.round : value) }
        Words.say(high ? key : :"#{key}_alone", low:, high:)
      end

      def longest_short = held(%w[tap double_tap triple_tap]).max
      def shortest_long = held(%w[long_press]).min
      def held(sorts) = of_sorts(sorts).flat_map { |trial| @marks[trial]["held"] }
      def apart(sorts) = of_sorts(sorts).flat_map { |trial| @marks[trial]["apart"] }
      def peaks(sorts) = of_sorts(sorts).filter_map { |trial| trial.rows.filter_map { |_, _, level| level }.max }
      def of_sorts(sorts) = @series.trials.select { |trial| sorts.include?(trial.intended) }
    end
  end
end
