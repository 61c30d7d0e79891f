# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Held against R 4.2.2: prop.test(correct = FALSE), binom.test, quantile(type = 7), sd.
  class StatisticsTest < CoreTest
    WILSON = { [8, 10] => [0.4901625, 0.9433178], [0, 12] => [0.0, 0.2424940], [117, 120] => [0.9290700, 0.9914618] }.freeze
    EXACT = { [8, 10] => [0.4439045, 0.9747893], [0, 12] => [0.0, 0.2646485], [117, 120] => [0.9286768, 0.9948144] }.freeze

    def close(expected, found) = expected.zip(found).each { |one, other| assert_in_delta one, other, 1e-6 }

    def test_intervals_of_a_share
      WILSON.each { |(count, of), interval| close(interval, Statistics.wilson(count, of)) }
      EXACT.each { |(count, of), interval| close(interval, Statistics.exact(count, of)) }
      assert_equal [[0.0, 1.0]] * 2, [Statistics.wilson(0, 0), Statistics.exact(0, 0)]
    end

    def test_quantiles_and_spread
      close([2.2, 3, 7.6], [0.3, 0.5, 0.9].map { |share| Statistics.quantile([10, 4, 3, 2, 1], share) })
      close([3.535534], [Statistics.deviation([1, 2, 3, 4, 10])])
      assert_nil Statistics.quantile([], 0.5)
      assert_equal [0.0, 0.0], [Statistics.deviation([]), Statistics.deviation([7])]
    end
  end
end
