# frozen_string_literal: true

require "minitest/autorun"
require_relative "lanes"

module Kippen
  # How stories are shared out.
  class LanesTest < Minitest::Test
    TIMES = { "core" => { "A#one" => 3.0, "A#two" => 4.0, "B#one" => 5.0 }, "system" => { "S#long" => 9.0, "S#short" => 1.0, "S#middle" => 4.0 } }.freeze

    def test_the_longest_first_each_to_the_lane_that_is_done_sooner
      lanes = Lanes.new(TIMES)
      names = %w[S#short S#new S#long S#middle]
      assert_equal [%w[S#long S#short], %w[S#new S#middle]], lanes.split(names)
      assert_equal lanes.split(names), lanes.split(names.reverse), "the same for the same"
      assert_equal [%w[S#long S#new S#middle S#short], []], lanes.split(names, busy: [0, 99])
    end

    def test_what_comes_before_the_stories
      lanes = Lanes.new(TIMES)
      assert_equal [12.0, 50.0], lanes.busy(%w[lint web core system])
      assert_equal [7.0, 0], lanes.busy(%w[core], "core" => %w[A])
      assert_equal [4.0, 40.0], lanes.busy(%w[core lint], "core" => %w[A#two])
    end

    def test_what_was_measured_is_kept_by_area
      lines = ["system\tS#b\t1.26\t.\n", "system\tS#a\t0.5\t.\n", "core\tA#one\t2\t.\n"]
      assert_equal({ "system" => { "S#a" => 0.5, "S#b" => 1.3 }, "core" => { "A#one" => 2.0 } }, Lanes.measured(lines))
    end
  end
end
