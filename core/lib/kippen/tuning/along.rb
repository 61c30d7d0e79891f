# frozen_string_literal: true

module Kippen
  module Tuning
    # What becomes of trials along the values of one setting: worked out once, where a boundary is taken hold of.
    module Along
      LETTERS = { "right" => "r", "missed" => "m", "extra" => "e", "other" => "o", "unwanted" => "u" }.freeze
      # Nobody moves further than this beyond what was pressed.
      ROOM = 1.5
      LEAST_MS = 600
      # Where there are many trials, fewer values are looked at.
      MOST_REPLAYS = 60_000
      LEAST_VALUES = 12

      # settable – the values that can be set, from the least on (of many trials, some of them); states – each a letter a
      # trial, in their order, see LETTERS; at – the place of each value's in them
      Answer = Struct.new(:settable, :states, :at, keyword_init: true)

      module_function

      # series – Series; timing – { setting => value } of the others; deadline – how long it may take.
      def of(series, timing, setting, deadline: Deadline::NEVER)
        replays = Replays.new(series)
        values = thinned(values(series, timing, setting), series.trials.size, timing[setting])
        letters = values.map do |value|
          deadline.check
          state(replays, series, timing.merge(setting => value))
        end
        states = letters.uniq
        Answer.new(settable: values, states:, at: letters.map { |one| states.index(one) }).freeze
      end

      # A letter for each trial under a timing.
      def state(replays, series, timing) = replays.scores(series.trials, timing).map { |score| LETTERS.fetch(score.verdict) }.join

      def values(series, timing, setting)
        known = Fitting::Timing::SETTINGS.fetch(setting)
        return known.choices if known.choices
        return levels(series, timing, setting) unless known.duration?

        (Kinds::Settable.values(series.settable[setting], known.range, to: to(series, timing[setting])) | [timing[setting]]).sort
      end

      # So many of the values as can be looked at, evenly spread, the first, the last and the one that holds among them.
      def thinned(values, trials, now)
        most = [MOST_REPLAYS / [trials, 1].max, LEAST_VALUES].max
        return values if values.size <= most

        (Array.new(most) { |index| values[(index * (values.size - 1)).fdiv(most - 1).round] } | ([now] & values)).sort
      end

      # As far as somebody pressed, and some more.
      def to(series, now)
        longest = series.trials.map { |trial| trial.rows.empty? ? 0 : (trial.rows.last[0] - trial.rows.first[0]) / 1000.0 }
          .max || 0
        [longest * ROOM, now * ROOM, LEAST_MS].max.clamp(0, Fitting::Timing::SETTINGS.fetch("long_press_ms").range.end)
      end

      def levels(series, timing, setting)
        all = (1..50).map { |step| (step * 0.02).round(2) } | [timing[setting]]
        all = all.map { |value| Kinds::Settable.nearest(series.settable[setting], value) }.uniq.sort
        all.select { |value| Fitting::Timing.from(timing.merge(setting => value)).levels_ok? }
      end
      private_class_method :values, :thinned, :to, :levels
    end
  end
end
