# frozen_string_literal: true

require_relative "hands"

module Kippen
  # What is promised, on presses that the timing had not seen, and what stands beside it.
  class PromiseTest < CoreTest
    include Hands

    USUAL = Fitting::Timing::USUAL

    def promise(series, **more) = Tuning::Promise.new(series, **more)

    def press(intended, *edges)
      { "intended" => intended, "trace" => edges.each_with_index.map { |ms, index| [ms * 1000, index.even? ? "down" : "up"] } }
    end

    def file(offered, trials, **more)
      Formats::TrialsJson.read(JSON.generate({ "kippen" => "trials/1", "offered" => offered,
                                               "trials" => trials }.merge(more.transform_keys(&:to_s))))
    end

    def test_each_press_is_judged_by_a_timing_that_was_fitted_without_it
      series = series(TREMOR, 20, 5)
      told = promise(series)
      folds = told.send(:folds)
      assert_equal (0...20).to_a, folds.flatten.sort
      copies = Tuning::Copies.of_both(series.trials, [])
      expected = folds.flat_map do |held|
        without = series.with(series.trials.values_at(*((0...20).to_a - held)))
        timing = Tuning::Fit.new(without, evidence: Tuning::Evidence.new(without, beside_weight: 0, copies:)).timing
        held.map { |place| [series.trials[place], Tuning::Replays.new(series).score(series.trials[place], timing)] }
      end
      assert_equal(expected.to_h { |trial, score| [trial.rows, score.to_a] },
                   told.unseen.to_h { |trial, score| [trial.rows, score.to_a] })
    end

    def test_how_far_it_has_come_is_told_evenly
      { [] => 6, series(STEADY, 12, 9).trials => 16 }.each do |beside, fits|
        told = []
        Tuning::Answer.new(series(STEADY, 12, 1), beside:, progress: Progress.new { |done, of| told << (done / of.to_f) }).to_h
        assert_equal told.sort, told
        assert_in_delta 1, told.last, 1e-9
        # No fit is skipped over.
        assert_operator told.each_cons(2).map { |one, other| other - one }.max, :<=, (1.0 / fits) + 1e-9
      end
    end

    # What a fit has seen looks better than what it will see.
    def test_the_promise_is_not_what_was_seen
      differ = [3, 4, 5].map { |seed| series(TREMOR, 12, seed) }.sum do |series|
        answer = Tuning::Answer.new(series).to_h
        assert_equal(%w[unseen seen], answer.values_at("expected", "seen").map { |one| one["from"] })
        answer["seen"]["right"] - answer["expected"]["right"]
      end
      assert_operator differ, :>, 0
    end

    def test_each_sort_of_prompt_is_spread_over_all_folds
      trials = series(STEADY, 43, 6).trials
      promise(series(STEADY, 43, 6)).send(:folds).each do |held|
        trials.group_by(&:intended).each do |sort, list|
          assert_in_delta list.size / 5.0, held.count { |place| trials[place].intended == sort }, 1, sort
        end
      end
    end

    # Ten times nothing, while resting: each is a trial of its own.
    def test_traces_that_are_the_same_are_held_out_one_by_one
      series = file(%w[tap], Array.new(10) { press("rest") } + Array.new(10) { press("tap", 0, 100) })
      told = promise(series)
      assert_equal 20, told.unseen.size
      assert_equal([4] * 5, told.send(:folds).map(&:size))
    end

    def test_another_order_of_the_same_presses_gives_the_same
      series = series(TREMOR, 24, 8)
      other = series.with(series.trials.shuffle(random: Random.new(4)))
      one, two = [series, other].map { |given| Tuning::Answer.new(given).to_h }
      assert_equal one.slice("timing", "expected", "confusion", "compared", "notes"),
                   two.slice("timing", "expected", "confusion", "compared", "notes")
    end

    # R, formula of Zou, Huang and Zhang with prop.test(correct = FALSE)$conf.int of each: 30 of 30, 2 of 4, 30 of 30.
    def test_the_interval_of_the_whole_takes_each_gestures_own_number
      by = { "tap" => { "right" => 1.0, "n" => 30 }, "double_tap" => { "right" => 0.5, "n" => 4 },
             "long_press" => { "right" => 1.0, "n" => 30 } }
      assert_equal({ "right" => 0.8333, "low" => 0.705, "high" => 0.95 }, Tuning::Judged.whole(by, nil))
    end

    # Over numbers and rates, exactly: every outcome with its chance.
    def test_that_interval_holds_as_often_as_it_says
      covered = [[30, 4], [8, 8], [12, 6],
                 [20, 5]].product([[1, 0.5], [0.9, 0.7], [0.95, 0.85], [0.7, 0.7]]).map do |numbers, rates|
        coverage(numbers, rates)
      end
      assert_operator covered.sum / covered.size, :>=, 0.94
    end

    def coverage(numbers, rates)
      truth = rates.sum / 2
      (0..numbers[0]).to_a.product((0..numbers[1]).to_a).sum do |hits|
        shares = hits.zip(numbers).map { |hit, of| [hit / of.to_f, of, 0.5] }
        low, high = Statistics.weighed(shares)
        if truth.between?(low - 1e-9, high + 1e-9)
          hits.zip(numbers, rates).inject(1) { |chance, (hit, of, rate)| chance * binomial(hit, of, rate) }
        else
          0
        end
      end
    end

    def binomial(hits, of, rate)
      (1..hits).inject(1.0) { |all, index| all * (of - hits + index) / index } * (rate**hits) * ((1 - rate)**(of - hits))
    end

    def test_what_is_compared_says_from_which_presses
      today = { "timing" => { "tap_gap_ms" => 400 } }
      rows = ->(**more) { Tuning::Answer.new(series(STEADY, 12, 1, **more)).to_h["compared"].to_h { |one| [one["name"], one] } }
      assert_equal(%w[seen unseen unseen unseen],
                   rows[**today].values_at("today's", "unfitted", "found by hand", "fitted").map { |one| one["from"] })
      assert_equal "unseen", rows[]["today's"]["from"]
      dated = trials(STEADY, 12, 1).then do |one|
        one.merge("timing" => { "tap_gap_ms" => 400 }, "timing_from" => "2026-11-03T12:00:00Z")
      end
      dated["trials"].each_with_index { |trial, index| trial["at"] = index < 4 ? "2026-11-03T11:00:00Z" : "2026-11-03T13:00:00Z" }
      told = Tuning::Answer.new(Formats::TrialsJson.read(JSON.generate(dated))).to_h["compared"].first
      assert_equal ["unseen", 8], told.values_at("from", "n")
    end

    # Its guard is found on the others, never on the press that is judged by it.
    def test_what_is_found_by_hand_is_judged_on_presses_it_was_not_found_on
      one_late = Array.new(9) { |index| press("tap", 0, 60 + index, 110, 150) } + [press("tap", 0, 60, 260, 300)]
      told = promise(file(%w[tap double_tap], one_late)).by_hand(USUAL)
      assert_equal %w[double_tap], told.map { |_, score| score.got }.uniq - %w[tap]
      assert_equal 300, Tuning::ByHand.guard(file(%w[tap double_tap], one_late).trials,
                                             Tuning::Replays.new(file(%w[tap double_tap], one_late)), USUAL)
    end

    def test_presses_beside_are_taken_as_far_as_ones_own_agree
      own = series(SLOW, 10, 3)
      alike, unlike = [SLOW, STEADY].map { |hand| promise(own, beside: series(hand, 40, 9).trials).weight }
      assert_operator alike, :>, 0
      assert_operator unlike, :<=, 0.3
      unseen = series(SLOW, 200, 900)
      assert_operator right(unseen, promise(own, beside: series(SLOW, 40, 9).trials).fit.timing), :>=, 0.94
    end

    def test_no_timing_saves_is_said_only_where_none_does
      doubles = Array.new(10) { |index| press("double_tap", 0, 90, 330 + index, 420) }
      taps = Array.new(10) { |index| press("tap", 0, 80 + index) }
      notes = ->(series, **more) { Tuning::Answer.new(series, **more).to_h["notes"].grep(/No timing tells/) }
      assert_empty notes[file(%w[tap double_tap], taps + doubles), fixed: { "tap_gap_ms" => 100 }]
      twice = Array.new(10) { |index| press("tap", 0, 90, 330 + index, 420) }
      assert_match(/tap/, notes[file(%w[tap double_tap], twice + doubles)].first)
    end

    def test_what_is_held_and_costs_presses_is_told
      trials = Array.new(10) { |index| [press("double_tap", 0, 90, 330 + index, 420), press("tap", 0, 80 + index)] }.flatten(1)
      notes = ->(fixed) { Tuning::Answer.new(file(%w[tap double_tap], trials), fixed:).to_h["notes"].grep(/nothing held/) }
      assert_equal ["With nothing held more would come out right: 100 % in place of 50 %."], notes[{ "tap_gap_ms" => 100 }]
      assert_empty notes[{ "tap_gap_ms" => 500 }]
      assert_empty notes[{}]
    end

    def test_a_heavy_want_is_spared_at_the_price_of_a_light_one
      brushes = Array.new(6) { |index| press("rest", 0, 60 + index) }
      taps = Array.new(6) { |index| press("tap", 0, 55 + index) }
      guard = lambda { |weight|
        Tuning::Fit.new(file(%w[tap], taps + brushes.map { |one| one.merge("weight" => weight) })).timing["brush_guard_ms"]
      }
      assert_operator guard[9], :>, 60
      assert_operator guard[0.1], :<, 55
    end

    # Today's lies close to what was pressed: tomorrow's presses would fall beyond it.
    def test_a_boundary_close_to_the_presses_moves_away_from_them
      trials = Array.new(8) { |index| press("tap", 0, 280 + (index * 3)) } + Array.new(8) do |index|
        press("long_press", 0, 900 + index)
      end
      series = file(%w[tap long_press], trials, timing: { "long_press_ms" => 310 })
      assert_operator Tuning::Fit.new(series, evidence: Tuning::Evidence.new(series, general: 0)).timing["long_press_ms"], :>, 350
    end

    # Of holds that drop out, all right before: there is nothing to gain.
    def test_what_no_press_asks_for_stays_as_it_is
      holds = Array.new(11) { |index| press("long_press", 0, 500, 530, 1200 + index) }
      today = { "gap_bridge_ms" => 60, "long_press_ms" => 700 }
      series = file(%w[tap long_press], holds + Array.new(11) { |index| press("tap", 0, 120 + index) }, timing: today)
      answer = Tuning::Answer.new(series).to_h
      assert_equal today, answer["timing"].slice("gap_bridge_ms", "long_press_ms")
      assert_includes answer["notes"], "Nothing to gain: no other timing does better on these presses, so all stays as it is."
      assert_empty answer["risks"]
    end

    def test_what_is_dear_and_becomes_easier_is_a_risk
      presses = Array.new(10) { |index| press("long_press", 0, 420 + index).merge("weight" => 4) } + Array.new(10) do |index|
        press("tap", 0, 90 + index)
      end
      told = Tuning::Answer.new(file(%w[tap long_press], presses, timing: { "long_press_ms" => 700 })).to_h["risks"]
      assert_equal([["long_press", ["long_press_ms"]]], told.map { |one| one.values_at("gesture", "settings") })
      assert_match(/Long-press is dear .* Long-press 700 ms → \d+ ms/, told[0]["words"])
    end

    # Wilson's interval where none of n was wrong ends at n / (n + z²) (Wilson 1927).
    def test_where_none_was_wrong_the_interval_alone_says_how_sure_that_is
      answer = Tuning::Answer.new(series(STEADY, 12, 1)).to_h
      assert_equal 1.0, answer["expected"]["right"]
      assert_in_delta 12 / (12 + (1.96**2)), answer["expected"]["low"], 0.001
      assert_empty answer["notes"].grep(/wrong/)
    end

    def test_what_it_rests_on_is_told
      told = Tuning::Answer.new(series(STEADY, 12, 1, offered: %w[tap long_press]).then do |one|
        one.dup.tap { |other| other.offered = %w[tap double_tap long_press] }.freeze
      end).to_h
      assert_equal({ "own" => 12, "beside" => { "presses" => 0, "weight" => 0 }, "general" => 4,
                     "never_asked" => ["double_tap"] }, told["rests_on"])
      assert(told["notes"].any? { |note| note.start_with?("Double-tap is offered and was never asked for") })
    end
  end
end
