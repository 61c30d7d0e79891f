# frozen_string_literal: true

module Kippen
  module Tuning
    # Where a fit looks: for each setting the values between which something in the traces would be decided
    # otherwise, as far as they can be set.
    class Space
      FILTERS = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].freeze
      LEVELS = %w[press_at release_at].freeze
      # Of one setting so many values are tried at once.
      MOST = 12

      attr_reader :series

      def initialize(series, trials)
        @series = series
        @touches = trials.map { |trial| touches(trial.rows) }
        @levels = trials.flat_map { |trial| trial.rows.filter_map { |_, kind, value| value if kind == "level" } }
      end

      # Names of the settings that are fitted, in the order in which they are looked at.
      def settings
        gestures = series.pass_through? ? [] : series.offered
        [*FILTERS, *("long_press_ms" if gestures.include?("long_press")), *("tap_gap_ms" if gestures.intersect?(%w[double_tap triple_tap])),
         *(LEVELS if series.kind == "force")]
      end

      # Values of a setting to be tried, from the least on. timing – the others as they are
      def values(setting, timing)
        near = (observed(setting, timing) + [off(setting)]).compact.filter_map { |value| nearest(setting, value) }
        near.select { |value| legal?(setting, value, timing) }.uniq.sort
      end

      # From what a bounce guard may count.
      def guards
        allowed = series.settable.fetch("bounce_guard_from", {})
        allowed["values"] || (allowed.key?("fixed") ? [allowed["fixed"]] : %w[press release])
      end

      # The nearest value that can be set.
      def nearest(setting, value)
        range = Fitting::Timing::SETTINGS.fetch(setting).range
        value = LEVELS.include?(setting) ? value.round(2) : value.round
        Kinds::Settable.nearest(series.settable[setting], value.clamp(range.begin, range.end))
      end

      def off(setting) = FILTERS.include?(setting) ? 0 : nil

      private

      # [[from, to]…] in µs of one trial.
      def touches(rows)
        rows.each_with_object([]) do |(at, kind, _), found|
          kind == "down" ? found << [at, at] : found.last&.then { |touch| touch[1] = at if kind == "up" }
        end
      end

      def observed(setting, timing)
        return thinned(@levels.uniq.sort) if LEVELS.include?(setting)

        between(measured(setting, timing).map { |us| us / 1000.0 })
      end

      def measured(setting, timing)
        case setting
        when "brush_guard_ms" then lengths
        when "long_press_ms" then lengths + spans
        when "bounce_guard_ms" then timing["bounce_guard_from"] == "release" ? opens : aparts
        when "tap_gap_ms" then timing["tap_gap_from"] == "press" ? aparts : opens
        else opens
        end
      end

      def lengths = @touches.flatten(1).map { |from, to| to - from }
      def spans = @touches.reject(&:empty?).map { |all| all.last[1] - all.first[0] }
      def opens = @touches.flat_map { |all| all.each_cons(2).map { |one, other| other[0] - one[1] } }
      def aparts = @touches.flat_map { |all| all.each_cons(2).map { |one, other| other[0] - one[0] } }

      # Thresholds between measured values: in the widest gaps, where kinds of presses part, and evenly over them.
      def between(measured)
        sorted = measured.select { |value| value >= 1 }.uniq.sort
        return [] if sorted.empty?

        ends = [sorted.first * 0.8, *sorted, sorted.last * 1.25]
        gaps = ends.each_cons(2).map { |low, high| [high / low, Math.sqrt(low * high)] }
        wide = gaps.max_by(MOST / 2) { |ratio, _| ratio }.map(&:last)
        thinned(gaps.map(&:last)) | wide
      end

      def thinned(values)
        return values if values.size <= MOST

        Array.new(MOST) { |index| values[(index * (values.size - 1) / (MOST - 1.0)).round] }
      end

      def legal?(setting, value, timing)
        return true unless LEVELS.include?(setting)

        Fitting::Timing.from(timing.merge(setting => value)).levels_ok?
      end
    end
  end
end
