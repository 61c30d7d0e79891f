# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Which cues an outcome gives.
  class CuesTest < CoreTest
    include KindsData

    TIMING = Fitting::Timing.from("long_press_ms" => 500)

    def events(phase, gesture, at_ms, action = { "kind" => "volume", "direction" => "up" })
      outcome = Press::Outcome.new(at_ms * 1000, "b/b", 0, "base")
        .coming_to(gesture, phase, Press::Outcome::From.new("everywhere", action))
      Cues.events(outcome, KNOWLEDGE.catalogue.entry(action), TIMING)
    end

    def test_a_long_press_is_told_when_it_is_reached_and_what_shows_nothing_when_it_is_done
      help = { "kind" => "help" }
      { ["fire", "tap", 100] => [], ["fire", "long_press", 500] => %w[long_press], ["fire", "tap", 100, help] => %w[done],
        ["fire", "long_press", 500, help] => %w[long_press done], ["repeat", "long_press", 900] => [],
        ["start", "hold", 500] => %w[long_press] }
        .each { |given, expected| assert_equal expected, events(*given), given.inspect }
    end

    def test_a_hold_that_begins_with_the_press_has_reached_nothing
      assert_equal [], events("start", "hold", 20)
    end
  end
end
