# frozen_string_literal: true

module Kippen
  module Tuning
    # What a timing comes to on trials, counted.
    module Judged
      module_function

      # Was a timing chosen on these presses, or had it not seen them? Whatever share is told says so.
      FROM = %w[seen unseen].freeze

      # scores – [[Trial, Judge::Score]…]; from – of FROM. Returns { "right", "low", "high", "n", "from", "by_gesture",
      # "total_ms" }: shares with Wilson's 95 % interval; totals of the right ones as medians, in ms.
      def of(scores, from:)
        raise ArgumentError, "from is #{FROM.join(" or ")}" unless FROM.include?(from)

        groups = scores.group_by { |trial, _| trial.intended }
        share(scores, from).merge("by_gesture" => groups.sort.to_h { |intended, list| [intended, share(list, from)] },
                                  "total_ms" => groups.sort.to_h { |intended, list| [intended, total(list)] }.compact)
      end

      # The whole of what was asked as one went: the mean of the gestures, weighed by how often each is used. by_gesture – as
      # .of has it; uses – { gesture => times }, nil: equally. { "right", "low", "high" }
      def whole(by_gesture, uses)
        asked = by_gesture.reject { |intended, judged| STILL.include?(intended) || judged["n"].zero? }
        return { "right" => nil, "low" => 0.0, "high" => 1.0 } if asked.empty?

        shares = shares(asked.keys, uses)
        right = asked.sum { |intended, judged| judged["right"] * shares[intended] }
        low, high = Statistics.weighed(asked.map { |intended, judged| [judged["right"], judged["n"], shares[intended]] })
        { "right" => rounded(right), "low" => rounded(low), "high" => rounded(high) }
      end

      # { gesture => its part of all }
      def shares(gestures, uses)
        weights = gestures.to_h { |gesture| [gesture, uses ? uses.fetch(gesture, 0).to_f : 1.0] }
        all = weights.values.sum
        weights.transform_values { |weight| weight / all }
      end

      # { intended => { what came of it => count } }
      def confusion(scores)
        scores.group_by { |trial, _| trial.intended }.sort.to_h do |intended, list|
          [intended, list.map { |_, score| score.got }.tally.sort.to_h]
        end
      end

      def share(scores, from)
        right = scores.count { |_, score| score.right? }
        low, high = Statistics.wilson(right, scores.size)
        { "right" => rounded(scores.empty? ? nil : right / scores.size.to_f), "low" => rounded(low), "high" => rounded(high),
          "n" => scores.size,
          "from" => from }
      end

      def total(scores)
        Statistics.quantile(scores.filter_map { |_, score| score.total_us }, 0.5)&.then { |us| (us / 1000.0).round(1) }
      end

      def rounded(share) = share&.round(4)
      private_class_method :shares, :share, :total, :rounded
    end
  end
end
