# frozen_string_literal: true

module Kippen
  module Tuning
    # Trials made again a little differently: tomorrow's presses fall a little outside today's. Lengths and gaps of
    # presses spread roughly log-normally (from memory: literature), so each copy has all its lengths and all its
    # gaps multiplied by a factor of its own. The fewer trials there are, the further they reach. The engine judges
    # the copies as it judges the trials.
    module Smoothed
      # So many trials in all, copies included: what a fit of a few costs is what a fit of many does.
      ALTOGETHER = 240
      MOST_COPIES = 9
      # Of the spread that lengths of one person's presses have, invented: shrinks with the fifth root of the number,
      # as the width of a kernel does (Silverman 1986: from memory).
      SPREAD = 0.28
      SEED = 1

      module_function

      # Takes [Trial]; returns [Trial] with their copies behind each. The same for the same trials.
      def of(trials)
        return trials if trials.empty?

        copies = [(ALTOGETHER / trials.size) - 1, MOST_COPIES].min
        width = SPREAD * ((trials.size / 4.0)**-0.2)
        chance = Standins::Chance.new(SEED)
        trials.flat_map { |trial| [trial, *Array.new([copies, 0].max) { copy(trial, width, chance) }] }
      end

      def copy(trial, width, chance)
        closed, open, level = [width, width, width / 4].map { |one| Math.exp(one * chance.normal) }
        return trial if trial.rows.empty?

        at = before = trial.rows.first.first
        down = false
        rows = trial.rows.map do |time, kind, value|
          at += ((time - before) * (down || kind == "level" ? closed : open)).round
          before = time
          down = kind == "down"
          value ? [at, kind, (value * level).clamp(0.0, 1.0)] : [at, kind]
        end
        Trial.new(intended: trial.intended, rows:, weight: trial.weight, data: trial.data).freeze
      end
      private_class_method :copy
    end
  end
end
