# frozen_string_literal: true

module Kippen
  module Tuning
    # Where a fit looks: for each setting the values between which something in the traces would be decided
    # otherwise, as far as they can be set.
    class Space
      FILTERS = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].freeze
      LEVELS = %w[press_at release_at].freeze
      # Settings that trade against each other: moved together.
      PAIRS = [%w[gap_bridge_ms long_press_ms], %w[gap_bridge_ms brush_guard_ms], %w[gap_bridge_ms bounce_guard_ms],
               %w[bounce_guard_ms tap_gap_ms], %w[bounce_guard_ms brush_guard_ms], LEVELS].freeze
      # Of one setting so many values are tried at once. Where traces are so long that each costs a replay, fewer: of all of
      # them together so many rows.
      MOST = 200
      FEW = 14
      ROWS = 1_000

      # From so many ms on, in such steps.
      STEPS = [[500, 10], [200, 5], [50, 2], [0, 1]].freeze

      attr_reader :series

      # trials – with their copies
      def initialize(series, trials)
        @series = series
        @trials = trials
        @levels = trials.flat_map { |trial| trial.rows.filter_map { |_, kind, value| value if kind == "level" } }.uniq.sort
        @touches = {}
      end

      # Names of the settings that are fitted, in the order in which they are looked at.
      def settings
        gestures = series.pass_through? ? [] : series.offered
        [*(LEVELS if series.kind == "force"), *FILTERS, *("long_press_ms" if gestures.include?("long_press")),
         *("tap_gap_ms" if gestures.intersect?(%w[double_tap triple_tap]))]
      end

      # Pairs of them.
      def pairs = PAIRS.select { |pair| (pair - settings).empty? }

      # Values of a setting to be tried, from the least on. timing – the others as they are; most – how many
      def values(setting, timing, most: self.most)
        found = overall(setting, timing, most)
        LEVELS.include?(setting) ? found.select { |value| levels_ok?(timing.merge(setting => value)) } : found
      end

      # Of one setting so many values are tried.
      def most
        @most ||= begin
          rows = @trials.map { |trial| trial.rows.size }.select { |count| count > Cells::MOST_ROWS }.sum
          rows.zero? ? MOST : (ROWS / rows).clamp(FEW, MOST)
        end
      end

      # From what a bounce guard may count.
      def guards
        allowed = series.settable.fetch("bounce_guard_from", {})
        allowed["values"] || (allowed.key?("fixed") ? [allowed["fixed"]] : %w[press release])
      end

      # The nearest value that can be set.
      def nearest(setting, value) = Kinds::Settable.nearest(series.settable[setting], value)

      # The nearest of those that are tried.
      def near(setting, value) = nearest(setting, round(setting, value))
      def off(setting) = FILTERS.include?(setting) ? 0 : nil

      # The values furthest from the one that is set between which nothing that was measured lies, as near as they can be set.
      def around(setting, timing)
        return [] if LEVELS.include?(setting)

        below, above = measured(setting, timing).map { |us| us / 1000.0 }.uniq.partition { |ms| ms <= timing[setting] }
        [[below.max, :ceil], [above.min, :floor]].filter_map { |ms, way| ms && nearest(setting, stepped(setting, ms, way)) }
      end

      private

      def overall(setting, timing, most)
        @overall ||= {}
        @overall[[most, *key(setting, timing)]] ||=
          settable(setting, [*chosen(observed(setting, timing), most, setting), *off(setting)])
      end

      def settable(setting, values) = values.map { |value| near(setting, value) }.uniq.sort

      # Nobody presses to the millisecond: in steps of some hundredths.
      def round(setting, value)
        return value.round(2) if LEVELS.include?(setting)

        stepped(setting, value, :round)
      end

      def stepped(setting, value, way)
        step = STEPS.find { |from, _| value >= from }[1]
        range = Fitting::Timing::SETTINGS.fetch(setting).range
        ((value / step.to_f).public_send(way) * step).clamp(range.begin, range.end)
      end

      def key(setting, timing) = [setting, *timing.values_at("press_at", "release_at", "bounce_guard_from", "tap_gap_from")]
      def levels_ok?(timing) = timing["release_at"] < timing["press_at"]

      # Thresholds in the middle between measured values, from the least on.
      def observed(setting, timing)
        @observed ||= {}
        @observed[key(setting, timing)] ||=
          if LEVELS.include?(setting)
            @levels
          else
            between(measured(setting, timing).filter_map { |us| us / 1000.0 if us >= 1000 }.uniq.sort)
          end
      end

      def between(sorted)
        return [] if sorted.empty?

        [sorted.first * 0.8, *sorted, sorted.last * 1.25].each_cons(2).map { |low, high| Math.sqrt(low * high) }
      end

      def measured(setting, timing)
        all = touches(timing)
        case setting
        when "brush_guard_ms" then lengths(all)
        when "long_press_ms" then lengths(all) + spans(all)
        when "bounce_guard_ms" then timing["bounce_guard_from"] == "release" ? opens(all) : aparts(all)
        when "tap_gap_ms" then timing["tap_gap_from"] == "press" ? aparts(all) : opens(all)
        else opens(all)
        end
      end

      def touches(timing)
        levels = timing.values_at("press_at", "release_at")
        @touches[levels] ||= @trials.map { |trial| Touches.of(trial.rows, press_at: levels[0], release_at: levels[1]) }
      end

      def lengths(all) = all.flatten(1).map { |from, to| to - from }
      def spans(all) = all.reject(&:empty?).map { |touches| touches.last[1] - touches.first[0] }
      def opens(all) = all.flat_map { |touches| touches.each_cons(2).map { |one, other| other[0] - one[1] } }
      def aparts(all) = all.flat_map { |touches| touches.each_cons(2).map { |one, other| other[0] - one[0] } }

      # Evenly over what there is, and in the widest gaps, where kinds of presses part.
      def chosen(values, most, setting)
        return values if values.size <= most
        return thinned(values, most) if LEVELS.include?(setting)

        wide = values.each_cons(3).max_by(most / 3) { |low, _, high| high / low }.map { |_, value, _| value }
        thinned(values, most - wide.size) | wide
      end

      def thinned(values, most) = Array.new(most) { |index| values[(index * (values.size - 1) / (most - 1.0)).round] }
    end
  end
end
