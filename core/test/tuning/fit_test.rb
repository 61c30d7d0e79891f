# frozen_string_literal: true

require_relative "hands"

module Kippen
  # A fit is judged on presses that it has not seen.
  class FitTest < CoreTest
    include Hands

    UNFITTED = Fitting::Timing::SETTINGS.values.to_h { |setting| [setting.name, setting.default] }.freeze

    # hand => [least right-rate of 200 unseen trials from 24, from 40, what it must be better by than unfitted from 40]
    { "STEADY" => [0.93, 0.95, -0.02], "TREMOR" => [0.83, 0.86, 0.3],
      "SLOW" => [0.93, 0.94, 0.3] }.each do |name, (few, more, better)|
      define_method("test_#{name.downcase} hand is fitted from few presses") do
        hand = Hands.const_get(name)
        unseen = series(hand, 200, 900)
        rates = [24, 40].map { |count| right(unseen, Tuning::Fit.new(series(hand, count, 7)).timing) }
        assert_operator rates[0], :>=, few, "from 24"
        assert_operator rates[1], :>=, more, "from 40"
        assert_operator rates[1], :>=, right(unseen, UNFITTED) + better, "against unfitted"
      end
    end

    # A ghost comes soon after a long press is let go, a second press soon after a short one begins.
    def test_a_bounce_guard_is_counted_the_way_that_helps
      edges = { "tap" => [0, 600, 640, 790], "double_tap" => [0, 120, 370, 490] }
      trials = Array.new(12) do |index|
        edges.keys[index % 2].then { |one| { "intended" => one, "trace" => trace(edges[one], index) } }
      end
      filters = { "gap_bridge_ms" => { "fixed" => 0 }, "brush_guard_ms" => { "fixed" => 0 } }
      given = Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => edges.keys, "trials" => trials,
                                                     "settable" => filters))
      timing = Tuning::Fit.new(given).timing
      assert_equal [1.0, "release"], [right(given, timing), timing["bounce_guard_from"]]
      only = Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => edges.keys, "trials" => trials,
                                                    "settable" => filters.merge("bounce_guard_from" => { "fixed" => "press" })))
      assert_operator right(only, Tuning::Fit.new(only).timing), :<=, 0.5
    end

    def trace(edges, index)
      edges.each_with_index.map { |ms, place| [(ms + (place * index)) * 1000, place.even? ? "down" : "up"] }
    end

    def test_only_what_can_be_set_is_chosen_and_what_is_fixed_stays
      settable = { "bounce_guard_ms" => { "values" => [0, 250, 500] },
                   "tap_gap_ms" => { "from" => 100, "to" => 900, "step" => 50 },
                   "gap_bridge_ms" => { "fixed" => 0 },
                   "brush_guard_ms" => { "values" => [0, 250, 500] }, "long_press_ms" => { "values" => [400, 700] },
                   "bounce_guard_from" => { "values" => ["press"] } }
      given = series(TREMOR, 40, 3, settable:)
      timing = Tuning::Fit.new(given).timing
      settable.each do |setting, allowed|
        assert_equal timing[setting], Kinds::Settable.nearest(allowed, timing[setting]), setting
      end
      fixed = Tuning::Fit.new(given, fixed: { "tap_gap_ms" => 300 }).timing
      assert_equal 300, fixed["tap_gap_ms"]
      assert_equal timing, Tuning::Fit.new(series(TREMOR, 40, 3, settable:)).timing, "the same for the same"
    end

    def test_a_filter_that_gains_nothing_is_off
      timing = Tuning::Fit.new(series(STEADY, 40, 5)).timing
      assert_equal [0, 0, 0], timing.values_at("gap_bridge_ms", "bounce_guard_ms", "brush_guard_ms")
    end

    def test_a_worn_mouse_is_cured_and_keeps_its_double_click
      offered = %w[click double_click drag]
      unseen = series(WORN, 200, 901, offered:, host: { "double_click_ms" => 500 })
      timing = UNFITTED.merge(Tuning::Fit.new(series(WORN, 40, 8, offered:, host: { "double_click_ms" => 500 })).timing)
      assert_operator right(unseen, UNFITTED), :<, 0.75
      assert_operator right(unseen, timing), :>=, 0.93
      doubles = unseen.with(unseen.trials.select { |trial| trial.intended == "double_click" })
      assert_operator right(doubles, timing), :>=, 0.9
    end

    # A weak squeeze, and a grip that is carried about: rest and carry give levels of their own.
    def squeezes(count, seed)
      hand = Standins::Hand.new(SLOW.merge("press_ms" => { "median" => 260, "spread" => 0.3 },
                                           "force" => { "press" => 0.55, "wobble" => 0.05 }), seed)
      chance = Random.new(seed)
      list = Array.new(count) do |index|
        intended = %w[tap long_press rest carry][index % 4]
        next { "intended" => intended, "trace" => idle(chance, intended == "rest" ? 0.15 : 0.3) } if index % 4 > 1

        events = hand.play("force", [intended]).reject { |event| event.kind == "told" }
        { "intended" => intended, "trace" => events.map { |event| [event.time_us, "level", Float(event.value)] } }
      end
      file = { "kippen" => "trials/1", "button" => { "id" => "grip/squeeze", "kind" => "force" },
               "offered" => %w[tap long_press], "trials" => list }
      Formats::TrialsJson.read(JSON.generate(file))
    end

    def idle(chance, most) = Array.new(10) { |index| [index * 50_000, "level", (most * chance.rand).round(2)] }

    def test_levels_lie_above_what_carrying_reaches_and_below_a_weak_squeeze
      timing = Tuning::Fit.new(squeezes(32, 3)).timing
      assert_operator timing["press_at"], :>, 0.3
      assert_operator timing["release_at"], :<, timing["press_at"]
      assert_operator right(squeezes(120, 99), UNFITTED.merge(timing)), :>=, 0.95
      assert_operator right(squeezes(120, 99), UNFITTED), :<, 0.85
    end

    # Long-presses that a weak hand ends after 700 ms, and squeezes of 300: told apart by how long the levels hold.
    def test_a_force_button_is_fitted_by_how_long_its_levels_hold
      series = squeezes(32, 3)
      timing = UNFITTED.merge(Tuning::Fit
        .new(series.with(series.trials.reject { |trial| Tuning::STILL.include?(trial.intended) })).timing)
      slow = squeezes(120, 98)
      assert_operator right(slow.with(slow.trials.select { |trial| %w[tap long_press].include?(trial.intended) }), timing), :>=,
                      0.97
    end

    def test_a_dear_wait_makes_it_quick_and_a_cheap_one_safe
      quick, safe = [0.5, 0.01].map { |price| Tuning::Fit.new(series(TREMOR, 40, 3), price:).timing }
      assert_operator quick["tap_gap_ms"], :<=, safe["tap_gap_ms"]
    end
  end
end
