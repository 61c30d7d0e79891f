# frozen_string_literal: true

module Kippen
  # What is said of counts and lengths, each by its name.
  module Statistics
    # Of the standard normal distribution, for 95 %.
    Z95 = 1.959963984540054
    CLOSE = 1e-12

    module_function

    # Wilson's score interval of a share, 95 %: [low, high] of +count+ in +of+. R: prop.test(correct = FALSE).
    # [0, 1] where there is nothing.
    def wilson(count, of)
      return [0.0, 1.0] if of.zero?

      share = count / of.to_f
      z2 = (Z95**2) / of
      middle = (share + (z2 / 2)) / (1 + z2)
      half = Z95 * Math.sqrt((share * (1 - share) / of) + (z2 / (4 * of))) / (1 + z2)
      [[middle - half, 0.0].max, [middle + half, 1.0].min]
    end

    # The 95 % interval of a mean of shares that are weighed: [low, high]. Each share's own Wilson interval, and so its own
    # number, goes into it (MOVER: Zou, Huang and Zhang 2009, A note on confidence interval estimation for a linear function
    # of binomial proportions, Computational Statistics & Data Analysis 53: from memory).
    # shares – [[share, of how many, weight]…], the weights together 1
    def weighed(shares)
      middle = shares.sum { |share, _, weight| share * weight }
      below, above = [0, 1].map do |side|
        Math.sqrt(shares.sum { |share, of, weight| (weight * (share - wilson(share * of, of)[side]))**2 })
      end
      [[middle - below, 0.0].max, [middle + above, 1.0].min]
    end

    # The exact interval of Clopper and Pearson, 95 %. R: binom.test.
    def exact(count, of)
      return [0.0, 1.0] if of.zero?

      low = count.zero? ? 0.0 : bisect { |share| 1 - at_most(count - 1, of, share) < 0.025 }
      high = count == of ? 1.0 : bisect { |share| at_most(count, of, share) > 0.025 }
      [low, high]
    end

    # The chance of at most +count+ in +of+ at a share, by the binomial distribution.
    def at_most(count, of, share)
      return 1.0 if count >= of || share.zero?
      return 0.0 if share == 1

      (0..count).sum { |hits| Math.exp(choose_log(of, hits) + (hits * Math.log(share)) + ((of - hits) * Math.log(1 - share))) }
    end

    def choose_log(of, hits) = Math.lgamma(of + 1)[0] - Math.lgamma(hits + 1)[0] - Math.lgamma(of - hits + 1)[0]

    # Where the block turns from true to false, between 0 and 1.
    def bisect
      low = 0.0
      high = 1.0
      while high - low > CLOSE
        middle = (low + high) / 2
        yield(middle) ? low = middle : high = middle
      end
      low
    end

    # A quantile as R's type 7, of numbers in any order; share – 0 to 1; nil of none.
    def quantile(numbers, share)
      return if numbers.empty?

      sorted = numbers.sort
      at = (sorted.size - 1) * share
      below = sorted[at.floor]
      below + ((sorted[at.ceil] - below) * (at - at.floor))
    end

    # The chance that two samples of one kind differ as much or more, by the sums of their ranks (Wilcoxon, Mann
    # and Whitney), two-sided, by the normal approximation with corrections for continuity and ties.
    # R: wilcox.test(exact = FALSE). nil where one of them is empty or all are the same.
    def rank_sum(one, other)
      return if one.empty? || other.empty?

      all = one + other
      spread = rank_spread(all, one.size * other.size)
      return if spread.zero?

      ranks = ranks(all)
      expected = one.size * (all.size + 1) / 2.0
      off = (one.sum { |value| ranks.fetch(value) } - expected).abs
      Math.erfc([off - 0.5, 0].max / spread / Math.sqrt(2)).clamp(0, 1)
    end

    # The standard deviation of a rank sum; ties make it smaller. pairs – how many of one and the other
    def rank_spread(all, pairs)
      n = all.size.to_f
      ties = all.tally.values.sum { |count| (count**3) - count }
      Math.sqrt(pairs / 12.0 * (n + 1 - (ties / (n * (n - 1)))))
    end

    # { value => its rank, ties sharing the mean of theirs }
    def ranks(values)
      before = 0
      values.tally.sort.to_h { |value, count| [value, before + ((count + 1) / 2.0)].tap { before += count } }
    end

    # Several p values taken together, after Holm (1979): each as it may be held against one bound. Takes and returns them in
    # their order; none where there are none.
    def holm(values)
      worst = 0
      sorted = values.each_with_index.sort.each_with_index.map do |(value, index), rank|
        worst = (value * (values.size - rank)).clamp(worst, 1.0)
        [index, worst]
      end
      sorted.sort.map(&:last)
    end

    # The chance that two shares differ as much or more, all counts at the edge given (Fisher), two-sided: of
    # all tables the sum of those that are no likelier. hits in so many, of each. R: fisher.test.
    def fisher(hits, of, other_hits, other_of)
      total = hits + other_hits
      possible = ([0, total - other_of].max..[total, of].min)
      log = possible.to_h do |count|
        [count, choose_log(of, count) + choose_log(other_of, total - count) - choose_log(of + other_of, total)]
      end
      seen = log.fetch(hits)
      log.values.select { |one| one <= seen + 1e-7 }.sum { |one| Math.exp(one) }.clamp(0, 1)
    end
    private_class_method :at_most, :choose_log, :bisect, :rank_spread, :ranks
  end
end
