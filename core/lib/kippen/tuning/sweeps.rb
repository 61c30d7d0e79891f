# frozen_string_literal: true

module Kippen
  module Tuning
    # What each value of a setting would let through and lose, the others as they are.
    class Sweeps
      # Of one value so many are swept.
      MOST = 16

      def initialize(series, replays)
        @series = series
        @replays = replays
      end

      # { setting => [[value, ghosts let through, wanted presses lost, median total in ms]…] }. timing – { setting => value }
      def of(timing)
        space = Space.new(@series, @series.trials)
        space.settings.to_h do |setting|
          values = (thinned(space.values(setting, timing)) | space.around(setting, timing) | [timing[setting]]).sort
          [setting, values.map { |value| [value, *cost_of(timing.merge(setting => value))] }]
        end
      end

      private

      def thinned(values)
        return values if values.size <= MOST

        Array.new(MOST) { |index| values[(index * (values.size - 1) / (MOST - 1.0)).round] }.uniq
      end

      def cost_of(timing)
        scores = @replays.scores(@series.trials, timing)
        ghosts = scores.count { |score| %w[extra unwanted].include?(score.verdict) }
        lost = scores.count { |score| %w[missed other].include?(score.verdict) }
        [ghosts, lost, Statistics.quantile(scores.filter_map(&:total_us), 0.5)&.then { |us| (us / 1000.0).round(1) }]
      end
    end
  end
end
