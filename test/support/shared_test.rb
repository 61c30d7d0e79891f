# frozen_string_literal: true

require "minitest/autorun"
require "tmpdir"
require_relative "shared"

module Kippen
  # How stories are shared out.
  class SharedTest < Minitest::Test
    NAMES = [*"a".."t"].map { |name| "S##{name}" }.freeze

    def shared(folder) = Shared.new(folder, times: { "S#q" => 40.0, "S#c" => 13.0, "S#gone" => 20.0 })

    def test_in_random_order_but_the_long_ones_first
      Dir.mktmpdir do |folder|
        orders = (1..20).map { |seed| shared(folder).order(NAMES, seed) }
        assert_equal [NAMES] * 20, orders.map(&:sort), "each has all of them"
        assert_equal([%w[S#c S#q]] * 20, orders.map { |order| order.first(2).sort })
        assert_equal [20, 2], [orders.uniq.size, orders.map(&:first).uniq.size]
        assert_equal orders[6], shared(folder).order(NAMES.reverse, 7), "the same for the same seed"
      end
    end

    def test_each_is_told_once_whoever_asks
      Dir.mktmpdir do |folder|
        tell = ->(one) { one.order(NAMES, 1).select { |name| one.mine?(name) } }
        told = Array.new(4) { Thread.new { tell.call(shared(File.join(folder, "told"))) } }.map(&:value)
        assert_equal NAMES, told.flatten.sort
      end
    end

    def test_what_took_long_is_kept
      lines = ["system\tS#b\t12.04\t.\n", "system\tS#a\t31.26\t.\n", "system\tS#c\t11.9\t.\n", "core\tA#one\t20\t.\n"]
      assert_equal({ "S#a" => 31.3, "S#b" => 12.0 }, Shared.measured(lines))
    end
  end
end
