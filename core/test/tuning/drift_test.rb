# frozen_string_literal: true

require_relative "hands"

module Kippen
  # Trials of another day against these.
  class DriftTest < CoreTest
    include Hands

    TIMING = Fitting::Timing::SETTINGS.values.to_h { |setting| [setting.name, setting.default] }.freeze

    def told(before, after) = Tuning::Drift.of(before, after, TIMING).to_h { |one| [one.what, one] }

    def test_the_same_hand_on_another_day_has_not_changed
      changes = told(series(STEADY, 60, 1), series(STEADY, 60, 2))
      assert_equal [false, false, false], changes.values.map(&:changed?)
      assert_in_delta 140, changes["length"].before, 20
      assert_in_delta 170, changes["gap"].after, 25
    end

    def test_a_hand_that_has_become_slower_is_found_and_its_timing_fits_no_more
      slower = STEADY.merge("press_ms" => { "median" => 420, "spread" => 0.25 },
                            "apart_ms" => { "median" => 320, "spread" => 0.2 })
      changes = told(series(STEADY, 60, 1), series(slower, 60, 2))
      assert_equal [true, true, true], changes.values.map(&:changed?)
      assert_operator changes["wrong"].after, :>, changes["wrong"].before + 0.2
    end

    # Between .05 and .2: no change yet.
    def test_what_may_be_chance_is_not_told_as_a_change
      presses = ->(lengths) { lengths.map { |ms| { "intended" => "tap", "trace" => [[0, "down"], [ms * 1000, "up"]] } } }
      of = lambda { |lengths|
        Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => %w[tap], "trials" => presses[lengths]))
      }
      change = told(of[[100, 120, 140, 160, 180, 200]], of[[140, 160, 180, 200, 220, 240]])["length"]
      assert_includes 0.06..0.2, change.p
      refute change.changed?
    end

    # Levels are touches there, too.
    def test_a_force_button_is_compared_by_how_long_its_levels_hold
      squeezes = lambda { |ms|
        Array.new(10) { |index| [[0, 0.8], [(ms + index) * 1000, 0.1]].map { |at, level| [at, "level", level] } }
      }
      of = lambda do |ms|
        Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "kind" => "force" }, "offered" => %w[tap],
                                               "trials" => squeezes[ms]
                                                 .map { |trace| { "intended" => "tap", "trace" => trace } }))
      end
      change = told(of[200], of[400])["length"]
      assert_equal [204.5, 404.5, true], [change.before, change.after, change.changed?]
    end

    def test_tiring_within_a_sitting
      tiring = STEADY.merge("slowing" => 0.02)
      assert_equal([true, false],
                   [series(tiring, 60, 3), series(STEADY, 60, 3)].map { |one| Tuning::Drift.tiring(one).first.changed? })
      assert_equal [nil, nil], Tuning::Drift.tiring(series(STEADY, 0, 1)).map(&:p)
    end
  end
end
