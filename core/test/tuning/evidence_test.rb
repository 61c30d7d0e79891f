# frozen_string_literal: true

require_relative "hands"

module Kippen
  # What a fit rests on besides a person's own presses.
  class EvidenceTest < CoreTest
    include Hands

    USUAL = Fitting::Timing::USUAL

    # R: x = log(c(200, 220, 260)); m = log(180); v = (6 * .25^2 + sum((x - median(x))^2)) / 9; p = 1 / .55^2 + 3 / v;
    # (m / .55^2 + median(x) * 3 / v) / p; sqrt(v + 1 / p)
    def test_few_presses_are_pulled_towards_people_in_general
      mean, spread = Tuning::General.predict([200, 220, 260].map { |ms| Math.log(ms) }, Math.log(180), 0.55, 0.25)
      assert_in_delta 5.383991, mean, 1e-6
      assert_in_delta 0.245567, spread, 1e-6
      none = Tuning::General.predict([], 5.0, 0.3, 0.4)
      assert_equal([5.0, 0.5], none.map { |value| value.round(9) })
      many = Tuning::General.predict(Array.new(200) { |index| Math.log(600 + (index % 3)) }, Math.log(180), 0.55, 0.25)
      assert_in_delta Math.log(601), many[0], 0.01
    end

    def test_a_slow_hand_is_expected_to_be_slow_at_what_was_never_asked
      gap = lambda { |hand|
        Tuning::Evidence.new(series(hand, 12, 3, offered: %w[tap double_tap]),
                             copies: Tuning::Copies.of_both([], [])).people.next_of("gap")[0]
      }
      only_taps = ->(hand) { series(hand, 16, 3, offered: %w[tap]).with(series(hand, 16, 3, offered: %w[tap]).trials) }
      slow, quick = [SLOW, STEADY].map { |hand| Tuning::Evidence.new(only_taps[hand]).people.next_of("gap")[0] }
      assert_operator slow, :>, quick + 0.2
      assert_in_delta Math.log(170), gap[STEADY], 0.35
    end

    def test_copies_belong_to_the_press_and_not_to_its_place
      trials = series(TREMOR, 20, 4).trials
      copied = trials.to_h { |trial| [trial.rows, Tuning::Copies.new(20).of(trial).map(&:rows)] }
      assert_equal(copied, trials.reverse.to_h { |trial| [trial.rows, Tuning::Copies.new(20).of(trial).map(&:rows)] })
      assert_operator copied.values.flatten(1).uniq.size, :>, 40
      assert_equal [0, 7], [Tuning::Copies.new(500).of(trials[0]).size, Tuning::Copies.new(8).of(trials[0]).size]
    end

    # Log-normal about the press itself: as many are longer as are shorter.
    def test_copies_lie_about_their_press
      lengths = Array.new(300) do |index|
        trial = Tuning::Trial.new(intended: "tap", rows: [[0, "down"], [200_000 + index, "up"]], weight: 1, data: {})
        Tuning::Copies.new(12).of(trial).map { |copy| Math.log(copy.rows[1][0] / 200_000.0) }
      end.flatten
      assert_in_delta 0, Statistics.quantile(lengths, 0.5), 0.02
      assert_in_delta 0.28 * (3**-0.2), Math.sqrt(lengths.sum { |one| one**2 } / lengths.size), 0.015
    end

    def test_ghosts_seen_with_one_gesture_are_expected_with_another
      haunted = TREMOR.merge("restrike" => TREMOR["restrike"].merge("chance" => 1.0,
                                                                    "after_ms" => { "median" => 150, "spread" => 0.1 }))
      people = ->(hand) { Tuning::Evidence.new(series(hand, 20, 5, offered: %w[double_tap])).people }
      rows = ->(hand) { people[hand].trials("tap").map { |trial| trial.rows.size } }
      assert_equal [4], rows[haunted].uniq
      assert_equal [2], rows[STEADY].uniq
    end

    # Tremor's ghosts would have a guard that no second press gets through, if only taps were thought of.
    def test_what_is_offered_and_was_never_asked_for_is_not_fitted_away
      [1, 2, 3, 4].each do |seed|
        asked = trials(TREMOR, 40, seed, offered: %w[tap]).merge("offered" => %w[tap double_tap])
        timing = Tuning::Fit.new(Formats::TrialsJson.read(JSON.generate(asked))).timing
        doubles = series(TREMOR.merge("restrike" => nil), 100, 77, offered: %w[double_tap]).trials.reject do |trial|
          trial.intended == "rest"
        end
        offered = series(TREMOR, 4, 1, offered: %w[tap double_tap]).with(doubles)
        assert_operator right(offered, USUAL.merge(timing)), :>=, right(offered, USUAL) - 0.1, seed
      end
    end

    # A guard of 450 ms would put every tap right, and end most double-taps.
    def test_however_much_it_would_gain_what_was_never_asked_for_loses_no_more_than_today
      taps = Array.new(40) do |index|
        { "intended" => "tap", "weight" => 9,
          "trace" => [[0, "down"], [100_000, "up"], [380_000 + (index * 500), "down"], [500_000, "up"]] }
      end
      series = Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => %w[tap double_tap], "trials" => taps))
      evidence = Tuning::Evidence.new(series)
      timing = Tuning::Fit.new(series, evidence:).timing
      wrong = [USUAL, USUAL.merge(timing)].map { |one| Tuning::Replays.new(series).cost(evidence.unasked, one, price: 0) }
      assert_operator wrong[1], :<=, wrong[0] + (0.02 * evidence.unasked.sum(&:last)) + 1e-9
    end

    def test_of_nothing_pressed_all_stays_as_it_is_but_what_resting_asks_for
      none = series(STEADY, 0, 1)
      still = %w[tap_gap_ms long_press_ms brush_guard_ms]
      assert_equal USUAL.slice(*still), Tuning::Fit.new(none).timing.slice(*still)
      brushed = series(TREMOR, 40, 2).then { |one| one.with(one.trials.select { |trial| trial.intended == "rest" }) }
      timing = Tuning::Fit.new(brushed).timing
      assert_operator timing["brush_guard_ms"], :>, 30
      assert_equal 300, timing["tap_gap_ms"]
    end

    def test_of_one_press_of_only_rest_and_of_nothing_a_fit_is_sensible
      one = series(STEADY, 1, 1)
      still = series(TREMOR, 12, 2).with(series(TREMOR, 40, 2).trials.select { |trial| trial.intended == "rest" })
      [one, still, one.with([])].each do |given|
        timing = USUAL.merge(Tuning::Fit.new(given).timing)
        assert_operator right(series(STEADY, 80, 9), timing), :>=, 0.9, given.trials.map(&:intended)
      end
    end
  end
end
