# frozen_string_literal: true

require_relative "helper"

module Kippen
  # How far the pointer comes: against figures seen on an X server 21.1.7 with mouse keys (delay 160, interval 40,
  # time_to_max 30, max_speed 30), and against the formula of the XKB Library, 10.5.2.
  class PointerTest < CoreTest
    X = { after_ms: 160, every_ms: 40, most: 30, over: 30 }.freeze

    def steps(**given) = Pointer::Steps.new(**given)

    def test_even_acceleration_as_the_x_server_gives_it
      found = steps(delta_px: 5, curve: 0, **X)
      assert_equal([5, 5, 10, 15, 145, 150, 150], [1, 2, 3, 4, 30, 31, 32].map { |number| found.px(number) })
    end

    # The formula itself, worked out here in another way: by logarithms.
    def test_any_curve_follows_the_formula
      [[2, 20, 10, -500], [7, 12, 40, 1000], [3, 50, 25, 250]].each do |delta, most, over, curve|
        power = 1 + (curve / 1000.0)
        found = steps(delta_px: delta, after_ms: 160, every_ms: 40, most:, over:, curve:)
        (1...over).each do |number|
          exact = Math.exp(Math.log(delta * most) + (power * Math.log(number / over.to_f)))
          assert_includes exact.floor..(exact.ceil + 1), found.px(number + 1)
          assert_operator found.px(number + 1), :>=, exact - 1e-6
        end
        assert_equal delta * most, found.px(over + 1)
      end
    end

    def test_distance_over_time_without_acceleration
      even = steps(delta_px: 15, after_ms: 400, every_ms: 50)
      assert_equal [[0, 15], [400, 30], [450, 45]], even.curve(until_ms: 470)
      # 1280 px are 86 steps: the first at once, the second after 400 ms, then 84 times 50 ms.
      assert_equal 400 + (84 * 50), even.time_for(1280)
      assert_equal 30, even.runs_on(1000, 100)
      assert_nil steps(delta_px: 15).time_for(1280)
      assert_equal 0, steps(delta_px: 15).runs_on(1000, 500)
    end

    def test_a_curved_one_as_the_x_server_gives_it
      seen = [1, 1, 1, 1, 2, 3, 3, 4, 5, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 16, 17, 18, 19, 21, 22, 23, 25, 26, 28, 29, 30, 30]
      assert_equal(seen, (1..32).map { |number| steps(delta_px: 1, curve: 500, **X).px(number) })
    end
  end
end
