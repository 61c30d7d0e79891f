# frozen_string_literal: true

require_relative "hands"

module Kippen
  # What is kept of replays is what the engine says of each trace by itself, whatever the timing.
  class CellsTest < CoreTest
    OFFERED = [%w[tap], %w[tap double_tap], %w[tap long_press], %w[tap double_tap triple_tap long_press],
               %w[click double_click drag], %w[long_press]].freeze
    PRICE = 0.05

    def setup
      @random = Random.new(ENV.fetch("SEED", "1").to_i)
    end

    def pick(list) = list.sample(random: @random)

    # Rows of a contact that now and then gives the same edge twice, or of levels; in steps, so that times meet.
    def trace(force)
      at = 0
      down = false
      grain = pick([37, 1_000, 10_000])
      Array.new(@random.rand(0..12)) do
        at += @random.rand(0..(pick([40, 600]) * 1_000 / grain)) * grain
        down = !down unless @random.rand < 0.05
        next [at, "level", @random.rand.round(2)] if force

        [at, down ? "down" : "up"]
      end
    end

    def some_series
      offered = pick(OFFERED)
      kind = pick(%w[contact contact force])
      trials = Array.new(5) { { "intended" => pick([*offered, "rest"]), "trace" => trace(kind == "force") } }
      Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "kind" => kind }, "offered" => offered,
                                             "trials" => trials))
    end

    def some_timing
      { "gap_bridge_ms" => pick([0, @random.rand(0..300)]), "bounce_guard_ms" => pick([0, @random.rand(0..600)]),
        "bounce_guard_from" => pick(%w[press release]), "brush_guard_ms" => pick([0, @random.rand(0..700)]),
        "long_press_ms" => @random.rand(100..1000),
        "tap_gap_ms" => @random.rand(50..700), "tap_gap_from" => pick(%w[press release]), "press_at" => 0.6,
        "release_at" => pick([0.3, 0.5]) }
    end

    # As a button of that kind gets it, an engine for each.
    def engine_says(series, trial, timing)
      gestures = series.pass_through? ? %w[hold] : series.offered
      fitting = fitting("devices" => [{ "id" => "d", "buttons" => [{ "id" => "b", "kind" => series.kind }] }],
                        "assignments" => gestures
                          .map { |gesture| { "button" => "d/b", "gesture" => gesture, "action" => { "kind" => "nothing" } } })
      engine = Press::Engine.new(Press::Timed.new(fitting, Fitting::Timing.from(timing)), resolver: Press::Resolver.new(fitting))
      trial.rows.each { |at, kind, level| kind == "level" ? engine.level(at, 0, level) : engine.public_send(kind, at, 0) }
      engine.tell((trial.rows.last&.first || 0) + 10_000_000)
      Tuning::Judge.new(series).score(trial.intended, engine.take.select { |row| %w[fire start unassigned].include?(row.phase) })
    end

    def test_what_is_kept_is_what_the_engine_says
      60.times do
        series = some_series
        replays = Tuning::Replays.new(series)
        Array.new(25) { some_timing }.each do |timing|
          series.trials.each do |trial|
            said = "#{series.offered} #{trial.intended} #{trial.rows} #{timing}"
            assert_equal engine_says(series, trial, timing).to_a, replays.score(trial, timing).to_a, said
          end
        end
      end
    end

    def test_costs_along_a_setting_are_those_of_each_timing
      40.times do
        series = some_series
        weighed = series.trials.map { |trial| [trial, @random.rand] }
        setting = pick(%w[gap_bridge_ms bounce_guard_ms brush_guard_ms long_press_ms tap_gap_ms press_at])
        here = some_timing
        values = setting == "press_at" ? [0.55, 0.7, 0.9] : Array.new(12) { some_timing[setting] }.uniq.sort
        replays = Tuning::Replays.new(series)
        costs = replays.costs_along(weighed, here, setting, values, price: PRICE)
        values.zip(costs) do |value, cost|
          expected = weighed.sum { |trial, weight| weight * one(series, trial, here.merge(setting => value)) }
          assert_in_delta expected, cost, 1e-9, "#{setting} #{value} #{here}"
          assert_in_delta expected, replays.cost(weighed, here.merge(setting => value), price: PRICE), 1e-9
        end
      end
    end

    def one(series, trial, timing)
      score = engine_says(series, trial, timing)
      score.right? ? PRICE * (score.total_us || 0) / 1e6 : 1
    end

    # The first click is known when its drop-out is over, the second when the brush guard is: how far apart they are for the
    # host depends on that guard.
    def test_clicks_that_are_known_at_moments_of_two_kinds
      edges = [0, 50, 70, 300, 450, 550].each_with_index.map { |ms, index| [ms * 1000, index.even? ? "down" : "up"] }
      series = Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => %w[click double_click drag],
                                                      "host" => { "double_click_ms" => 445 },
                                                      "trials" => [{ "intended" => "double_click", "trace" => edges }]))
      replays = Tuning::Replays.new(series)
      verdicts = [52, 68].map do |ms|
        replays.score(series.trials[0], Fitting::Timing::USUAL.merge("gap_bridge_ms" => 30, "brush_guard_ms" => ms)).verdict
      end
      assert_equal %w[right missed], verdicts
    end

    # So that a fit costs what it can change, not what it tries.
    def test_traces_of_one_shape_share_what_was_replayed
      presses = Array.new(40) { |index| { "intended" => "tap", "trace" => [[0, "down"], [100_000 + (index * 1_000), "up"]] } }
      series = Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "offered" => %w[tap long_press],
                                                      "trials" => presses))
      replays = Tuning::Replays.new(series)
      [200, 300, 400].each { |ms| replays.scores(series.trials, Fitting::Timing::USUAL.merge("long_press_ms" => ms)) }
      assert_equal 1, replays.count
    end
  end
end
