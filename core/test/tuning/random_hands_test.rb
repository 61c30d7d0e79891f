# frozen_string_literal: true

require_relative "hands"

module Kippen
  # What must hold of a fit whoever presses: hands drawn at random (invented). bin/siege hands has more of them.
  class RandomHandsTest < CoreTest
    include Hands

    HANDS = Integer(ENV.fetch("KIPPEN_HANDS", "4"), 10)
    RESTARTS = Integer(ENV.fetch("KIPPEN_RESTARTS", "5"), 10)
    SEED = Integer(ENV.fetch("KIPPEN_SEED", "1"), 10)
    COUNTS = [12, 24, 40].freeze
    # Of a least cost. The search may end further above the best of all restarts with one hand in so many, and there not
    # much further.
    NEAR = 0.01
    STUCK = 40
    FAR = 0.03

    def between(random, low, high) = Math.exp(Math.log(low) + (random.rand * (Math.log(high) - Math.log(low))))
    def lengths(random, low, high, spread) = { "median" => between(random, low, high), "spread" => spread }

    def hand(random)
      press = between(random, 90, 650)
      odd = { "restrike" => { "chance" => 0.4, "after_ms" => lengths(random, 40, 200, 0.3),
                              "length_ms" => lengths(random, 25, 70, 0.3) },
              "brush" => { "chance" => 0.5, "length_ms" => lengths(random, 20, 70, 0.4) },
              "drop_out" => { "per_second" => 2, "gap_ms" => lengths(random, 15, 45, 0.4) },
              "bounce" => { "chance" => 0.5, "gap_ms" => lengths(random, 4, 14, 0.4) } }.select { random.rand < 0.3 }
      { "press_ms" => { "median" => press, "spread" => 0.12 + (random.rand * 0.25) },
        "long_ms" => lengths(random, [750, press * 2.2].max, 2000, 0.2),
        "apart_ms" => lengths(random, 140, 700, 0.25) }.merge(odd)
    end

    def each_hand
      HANDS.times do |index|
        random = Random.new((SEED * 10_000) + index)
        drawn = hand(random)
        yield series(drawn, COUNTS[index % 3], index), drawn, random
      end
    end

    def anywhere(random)
      Fitting::Timing::USUAL.merge("gap_bridge_ms" => random.rand(0..200),
                                   "bounce_guard_ms" => [0, random.rand(0..600)].sample(random:),
                                   "bounce_guard_from" => %w[press release].sample(random:),
                                   "brush_guard_ms" => [0, random.rand(0..400)].sample(random:),
                                   "long_press_ms" => random.rand(150..1500), "tap_gap_ms" => random.rand(80..1500))
    end

    # From anywhere the search may end elsewhere; from where it begins it must end as low.
    def test_the_search_is_hardly_ever_stuck
      behind = []
      each_hand do |series, _, random|
        fit = Tuning::Fit.new(series)
        search = fit.search
        best = Array.new(RESTARTS) { search.from(anywhere(random))[1] }.min
        behind << (fit.best[1] - best)
      end
      puts format("stuck: %<far>d of %<all>d hands more than %<near>.2f above the best of %<restarts>d restarts, at most " \
                  "%<most>.4f",
                  far: behind.count { |one| one > NEAR }, all: HANDS, near: NEAR, restarts: RESTARTS, most: behind.max)
      assert_operator behind.count { |one| one > NEAR }, :<=, HANDS / STUCK, behind.inspect
      assert_operator behind.max, :<=, FAR
    end

    def test_another_order_gives_the_same_timing
      each_hand do |series, _, random|
        other = series.with(series.trials.shuffle(random:))
        assert_equal Tuning::Fit.new(series).timing, Tuning::Fit.new(other).timing
      end
    end

    def test_what_was_never_asked_for_loses_no_more_than_today
      each_hand do |_, drawn, random|
        asked = trials(drawn, 24, random.rand(1000),
                       offered: %w[tap long_press]).merge("offered" => %w[tap double_tap long_press])
        series = Formats::TrialsJson.read(JSON.generate(asked))
        evidence = Tuning::Evidence.new(series)
        fit = Tuning::Fit.new(series, evidence:)
        wrong = [fit.today, series.whole.merge(fit.timing)].map { |timing| fit.replays.cost(evidence.unasked, timing, price: 0) }
        assert_operator wrong[1], :<=, wrong[0] + (Tuning::Costs::SPARED * evidence.unasked.sum(&:last)) + 1e-6
      end
    end

    # The same presses again ask for nothing else; those of another day only for what they gain by.
    def test_from_day_to_day_a_fit_moves_only_as_far_as_presses_ask
      each_hand do |series, drawn, random|
        first = Tuning::Fit.new(series).timing
        again = series.dup.tap { |one| one.given = series.whole.merge(first) }.freeze
        assert_equal first, Tuning::Fit.new(again).timing.slice(*first.keys), "the same presses"
        later = Tuning::Fit.new(series(drawn, 24, random.rand(1000), timing: series.whole.merge(first)))
        next if later.timing == later.today.slice(*later.timing.keys)

        assert_operator later.cost(later.today) - later.cost(later.timing), :>, 0.2 / 40, "moved for next to nothing"
      end
    end
  end
end
