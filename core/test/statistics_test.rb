# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Held against R 4.2.2: prop.test(correct = FALSE), binom.test, wilcox.test, fisher.test, quantile(type = 7).
  class StatisticsTest < CoreTest
    WILSON = { [8, 10] => [0.4901625, 0.9433178], [0, 12] => [0.0, 0.2424940], [117, 120] => [0.9290700, 0.9914618] }.freeze
    EXACT = { [8, 10] => [0.4439045, 0.9747893], [0, 12] => [0.0, 0.2646485], [117, 120] => [0.9286768, 0.9948144] }.freeze

    def close(expected, found) = expected.zip(found).each { |one, other| assert_in_delta one, other, 1e-6 }

    def test_intervals_of_a_share
      WILSON.each { |(count, of), interval| close(interval, Statistics.wilson(count, of)) }
      EXACT.each { |(count, of), interval| close(interval, Statistics.exact(count, of)) }
      assert_equal [[0.0, 1.0]] * 2, [Statistics.wilson(0, 0), Statistics.exact(0, 0)]
    end

    # wilcox.test(exact = FALSE), fisher.test.
    def test_whether_two_samples_and_two_shares_differ
      before = [170, 182, 150, 165, 190, 200, 175]
      after = [210, 190, 230, 205, 240, 199, 220, 182]
      close([0.00909316982999, 0.00909316982999, 0.0605688602027],
            [Statistics.rank_sum(before, after), Statistics.rank_sum(after, before),
             Statistics.rank_sum([1, 2, 2, 3], [2, 4, 5, 5, 6])])
      assert_nil Statistics.rank_sum([], [1])
      assert_nil Statistics.rank_sum([4, 4], [4])
      close([0.0367375112615, 0.0372670807453, 0.034965034965],
            [[3, 40, 11, 40], [0, 12, 5, 12], [8, 10, 1, 6]].map { |counts| Statistics.fisher(*counts) })
      assert_in_delta 1, Statistics.fisher(3, 10, 3, 10), 1e-9
    end

    def test_quantiles
      close([2.2, 3, 7.6], [0.3, 0.5, 0.9].map { |share| Statistics.quantile([10, 4, 3, 2, 1], share) })
      assert_nil Statistics.quantile([], 0.5)
    end

    # By hand: sorted 0.005 × 4, 0.01 × 3, 0.03 × 2, 0.04 × 1, none less than the one before. The procedure: Holm, "A simple
    # sequentially rejective multiple test procedure", Scandinavian Journal of Statistics 6 (1979).
    def test_holm
      assert_equal([0.03, 0.06, 0.06, 0.02], Statistics.holm([0.01, 0.04, 0.03, 0.005]).map { |one| one.round(6) })
      assert_equal [0.2], Statistics.holm([0.2])
      assert_equal [1.0, 1.0], Statistics.holm([0.9, 0.8])
      assert_empty Statistics.holm([])
    end
  end
end
