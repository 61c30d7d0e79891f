# frozen_string_literal: true

module Kippen
  module Tuning
    # What a timing comes to on trials, counted.
    module Judged
      module_function

      # scores – [[Trial, Replays::Score]…]. Returns { "right", "low", "high", "n", "by_gesture", "total_ms" }:
      # shares with Wilson's 95 % interval; totals of the right ones as medians, in ms.
      def of(scores)
        groups = scores.group_by { |trial, _| trial.intended }
        share(scores).merge("by_gesture" => groups.sort.to_h { |intended, list| [intended, share(list)] },
                            "total_ms" => groups.sort.to_h { |intended, list| [intended, total(list)] }.compact)
      end

      # { intended => { what came of it => count } }
      def confusion(scores)
        scores.group_by { |trial, _| trial.intended }.sort.to_h { |intended, list| [intended, list.map { |_, score| score.got }.tally.sort.to_h] }
      end

      def share(scores)
        right = scores.count { |_, score| score.verdict == "right" }
        low, high = Statistics.wilson(right, scores.size)
        { "right" => rounded(scores.empty? ? nil : right / scores.size.to_f), "low" => rounded(low), "high" => rounded(high), "n" => scores.size }
      end

      def total(scores) = Statistics.quantile(scores.filter_map { |_, score| score.total_us }, 0.5)&.then { |us| (us / 1000.0).round(1) }
      def rounded(share) = share&.round(4)
      private_class_method :share, :total, :rounded
    end
  end
end
